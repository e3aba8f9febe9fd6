import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** The tokens of one row that is not blank. */
export interface Row {
  readonly index: number;
  readonly from: number;
  readonly to: number;
  /** After a blank row, or the first. */
  readonly isParted: boolean;
}

export interface Sentence {
  readonly from: number;
  readonly to: number;
}

/** "Phase A", "Water phase (A)", "B. Oil phase", "Cool-down phase". */
const PHASE_HEADING =
  /^(?:phase\s+([a-d])\b.*|([a-d])[.):]?\s*[-–]?\s*(?:water|oil|heated|heat|cool[- ]?down|cooling)?\s*phase\b.*|(water|aqueous|oil|fat|cool[- ]?down|cooling)\s+phase\s*(?:\(?([a-d])\)?)?)\s*:?$/i;
const PHASE_OF_WORD: Readonly<Record<string, string>> = { water: 'A', aqueous: 'A', oil: 'B', fat: 'B' };

export function rowsOf(tokens: readonly Token[]): Row[] {
  const rows: Row[] = [];
  let breaks = 2;
  for (let at = 0; at < tokens.length;) {
    if (tokens[at]!.kind === 'break') {
      breaks++;
      at++;
      continue;
    }
    const from = at;
    while (at < tokens.length && tokens[at]!.kind !== 'break') at++;
    rows.push({ index: rows.length, from, to: at, isParted: breaks > 1 });
    breaks = 0;
  }
  return rows;
}

const isSign = (token: Token | undefined, ...signs: readonly string[]) =>
  token?.kind === 'sign' && signs.includes(token.word);
/** Joiners and selectors of emoji, and the enclosing keycap. */
const isJoiner = (token: Token | undefined) =>
  token?.kind === 'sign' && /^[\u200d\ufe0e\ufe0f\u20e3\p{M}\p{Cf}]$/u.test(token.word);

/** After bullets, boxes, arrows, stars, emoji and list numbers: where the row begins to say something. */
export function startOfRow(tokens: readonly Token[], { from, to }: Row): number {
  let at = from;
  const skipSigns = () => {
    while (
      at < to &&
      tokens[at]!.kind === 'sign' &&
      !isSign(tokens[at], '(', '[', '~', '≈', '"', '“', '„', '«')
    ) {
      // A minus that touches its number belongs to it.
      if (
        isSign(tokens[at], '-', '−') &&
        tokens[at + 1]?.kind === 'number' &&
        tokens[at + 1]!.start === tokens[at]!.end
      )
        return;
      at++;
    }
    // "[ ]", "[x]", "( )"
    if (isSign(tokens[at], '[', '(')) {
      const close = tokens.slice(at + 1, at + 3).findIndex((token) => isSign(token, ']', ')'));
      const inside = close > 0 ? tokens[at + 1]! : undefined;
      if (
        close === 0 ||
        (inside && (inside.word === 'x' || (inside.kind === 'number' && isSign(tokens[at + 2], ')'))))
      ) {
        at += close + 2;
        skipSigns();
      }
    }
  };
  skipSigns();
  const first = tokens[at];
  const second = tokens[at + 1];
  if (at + 1 >= to || !first || !second) return at;
  const isListNumber = first.kind === 'number' && /^\d{1,2}$/.test(first.raw);
  if (isListNumber && isJoiner(second)) {
    at++;
    while (at < to && isJoiner(tokens[at])) at++;
    skipSigns();
    return at;
  }
  const isLetter = first.kind === 'word' && /^[a-zA-Z]$/.test(first.raw);
  const marked = isSign(second, ')', ':') || (isSign(second, '.') && second.start === first.end);
  if ((isListNumber && marked) || (isLetter && isSign(second, ')'))) {
    if (at + 2 < to) {
      at += 2;
      skipSigns();
    }
    return at;
  }
  // "Step 2:", "Schritt 2."
  if (
    first.kind === 'word' &&
    /^(?:step|passo|paso|etape|schritt|fase)$/.test(first.word) &&
    second.kind === 'number'
  ) {
    at += 2;
    skipSigns();
  }
  return at;
}

export interface Heading {
  readonly what: 'ingredients' | 'method' | 'noise' | 'phase' | 'part';
  /** Of a phase: "A", "B", … */
  readonly phase?: string;
  /** Where the row goes on after it: "Ingredients: 2 tbsp honey". */
  readonly rest: number;
}

/** What a row announces, if it is a heading or begins with one. */
export function headingOf(
  tokens: readonly Token[],
  row: Row,
  text: string,
  words: Vocabulary,
  namesSomething: (from: number, to: number) => boolean,
): Heading | undefined {
  const start = startOfRow(tokens, row);
  const plain = text.slice(tokens[start]?.start ?? 0, tokens[row.to - 1]?.end ?? 0).replace(/[*\s:]+$/g, '');
  // "Phase A: water 77 %, glycerin 3 %"
  const inline = /^phase\s+([a-d])\s*[:.)–-]/i.exec(plain);
  if (inline) {
    const rest = tokens.findIndex(
      (token, index) => index >= start && token.start >= tokens[start]!.start + inline[0].length,
    );
    if (
      rest > 0 &&
      rest < row.to &&
      tokens.slice(rest, row.to).some(({ kind }) => kind === 'number') &&
      namesSomething(rest, row.to)
    )
      return { what: 'phase', phase: inline[1]!.toUpperCase(), rest };
  }
  const phase = PHASE_HEADING.exec(plain);
  if (phase) {
    const word = phase[3]?.toLowerCase();
    const letter = phase[1] ?? phase[2] ?? phase[4];
    return {
      what: 'phase',
      phase: letter?.toUpperCase() ?? (word && PHASE_OF_WORD[word]) ?? 'C',
      rest: row.to,
    };
  }
  const found = words.headings.at(tokens, start);
  if (found) {
    const rest = found.to;
    const colon = isSign(tokens[rest], ':', '-', '–', '—');
    const isAlone = tokens.slice(rest, row.to).every(({ kind }) => kind === 'sign');
    if (found.value === 'noise') return { what: 'noise', rest: row.to };
    if (isAlone) return { what: found.value, rest: row.to };
    if (colon && found.value === 'ingredients') return { what: 'ingredients', rest: rest + 1 };
    if (colon && found.value === 'method') return { what: 'method', rest: rest + 1 };
    const isTail = found.value === 'method' && row.to - rest <= 4 && isSign(tokens[row.to - 1], ':');
    if (isTail) return { what: 'method', rest: row.to };
  }
  // "For the gel:" announces a part.
  if (isSign(tokens[row.to - 1], ':') && !tokens.slice(start, row.to).some(({ kind }) => kind === 'number'))
    return { what: 'part', rest: row.to };
  return undefined;
}

/** Full stops, question marks, semicolons: where a sentence ends. Those of a number, a unit or an ellipsis end none. */
export function sentencesOf(tokens: readonly Token[], from: number, to: number): Sentence[] {
  const sentences: Sentence[] = [];
  let begin = from;
  let bracket = 0;
  for (let at = from; at < to; at++) {
    const token = tokens[at]!;
    if (isSign(token, '(')) bracket = tokens.slice(at, to).some((later) => isSign(later, ')')) ? 1 : 0;
    if (isSign(token, ')')) bracket = 0;
    if (bracket > 0 || token.kind !== 'sign' || !/^[.!?;]$/.test(token.word)) continue;
    const next = tokens[at + 1];
    const before = tokens[at - 1];
    const isDots = token.word === '.' && (next?.word === '.' || before?.word === '.');
    if (isDots) continue;
    if (token.word === '.') {
      // "c. à soupe", "2 tbsp. of honey", "e.o.": nothing ends there.
      const isSpaced = !next || next.start > token.end || at + 1 >= to;
      const isLetter = before?.kind === 'word' && before.word.length === 1;
      const isShort =
        before?.kind === 'word' &&
        before.word.length <= 4 &&
        before.end === token.start &&
        next?.kind === 'word' &&
        /^\p{Ll}/u.test(next.raw);
      if (!isSpaced || isShort || (isLetter && at + 1 < to)) continue;
    }
    while (at + 1 < to && tokens[at + 1]!.kind === 'sign' && /^[.!?;]$/.test(tokens[at + 1]!.word)) at++;
    sentences.push({ from: begin, to: at + 1 });
    begin = at + 1;
  }
  if (begin < to) sentences.push({ from: begin, to });
  return sentences;
}
