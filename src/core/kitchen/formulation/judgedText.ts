import { ok, type CupKind, type Result } from '../../base/measures';
import { detailsOf, trustOf, type Verdict, type VerdictDetails } from '../../recipe/classification';
import { readLines, type Larder, type ParsedRecipe } from '../../recipe/larder';
import { parseRecipe } from '../../recipe/parsing';
import { judge, type Caution } from '../../recipe/safety';
import type { Head } from '../../records/shapes';
import { checkFormula, isFormula, type Formula } from './formula';

/** What is said of a recipe on one head. */
export interface Judged {
  readonly verdict: Verdict;
  readonly details: VerdictDetails;
  readonly cautions: readonly Caution[];
}

/** A text and all that is read out of it. */
export interface JudgedText {
  readonly text: string;
  readonly parsed: Result<ParsedRecipe>;
  readonly judged: Result<Judged>;
  /** Null where it is no formula of percents and phases. */
  readonly formula: Formula | null;
}

/** Lines, verdict and cautions of a text as it is told; what comes out of it can be cloned. */
export function judgedText(
  text: string,
  { larder, cup, head }: { readonly larder: Larder; readonly cup: CupKind; readonly head: Head | undefined },
): JudgedText {
  const parsed = parseRecipe(text, { larder, cup });
  if (!parsed.ok) return { text, parsed, judged: parsed, formula: null };
  const formula = isFormula(parsed.value) ? checkFormula(parsed.value, larder) : null;
  const judgement = judge(readLines(parsed.value), head, larder, {
    trust: trustOf(parsed.value),
    texts: parsed.value.lines.map((line) => line.text),
  });
  const judged = judgement.ok
    ? ok({ ...judgement.value, details: detailsOf(judgement.value.verdict, judgement.value.lines) })
    : judgement;
  return { text, parsed, judged, formula };
}
