import type { Fate, Span } from '../larder';
import type { TokenRange } from './item';
import type { Token } from './tokens';

/** What a range of tokens becomes. */
export interface Paint extends TokenRange {
  readonly fate: Fate;
  /** Number of the line or the step that it belongs to. */
  readonly line: number | null;
  readonly step: number | null;
}

/** Where two claim a token, the one that tells more has it. */
const RANK: Readonly<Record<Fate, number>> = { remark: 0, step: 1, title: 2, unread: 3, ingredient: 4 };

/** The whole text in spans: what is blank goes with the token before it, what nothing claims is a remark. */
export function spansOf(text: string, tokens: readonly Token[], paints: readonly Paint[]): Span[] {
  const owners: (Paint | undefined)[] = tokens.map(() => undefined);
  for (const paint of [...paints].sort((a, b) => RANK[a.fate] - RANK[b.fate]))
    owners.fill(paint, paint.from, paint.to);
  const spans: Span[] = [];
  for (const [index, token] of tokens.entries()) {
    const { fate, line, step } = owners[index] ?? { fate: 'remark' as const, line: null, step: null };
    const end = tokens[index + 1]?.start ?? text.length;
    const last = spans.at(-1);
    const goesOn = last !== undefined && last.fate === fate && last.line === line && last.step === step;
    if (goesOn) spans.pop();
    const start = goesOn ? last.start : last ? token.start : 0;
    spans.push({ start, end, fate, line, step });
  }
  if (spans.length > 0) return spans;
  return [{ start: 0, end: text.length, fate: 'remark', line: null, step: null }];
}
