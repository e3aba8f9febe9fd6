import { t } from '@lingui/core/macro';
import { ok, sum, type CupKind, type Result } from '../../base/measures';
import {
  detailsOf,
  trustOf,
  verdictHeadline,
  type Verdict,
  type VerdictDetails,
} from '../../recipe/classification';
import { guessedLines, readLines, unreadLines, type Larder, type ParsedRecipe } from '../../recipe/larder';
import { parseRecipe } from '../../recipe/parsing';
import { judge, type Caution } from '../../recipe/safety';
import type { Head, School } from '../../records/shapes';
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
  /** 0 to 1: weight that is a guess, and lines that are not understood. */
  readonly guessedShare: number;
  /** Null where it is no formula of percents and phases. */
  readonly formula: Formula | null;
}

/** Of a recipe of which more than this is guessed or not understood no verdict is headlined. */
const MOST_GUESSED = 0.5;

/** 0 to 1: the weight of lines without an amount of their own, and the lines that are not understood, whichever is more. */
function guessedShareOf(recipe: ParsedRecipe): number {
  const read = readLines(recipe);
  const grams = sum(read.map((line) => line.grams));
  const guessed = grams === 0 ? 1 : sum(guessedLines(recipe).map((line) => line.grams)) / grams;
  const unread = unreadLines(recipe).length;
  return Math.max(guessed, unread / Math.max(1, unread + read.length));
}

export const isTooGuessed = ({ guessedShare }: Pick<JudgedText, 'guessedShare'>): boolean =>
  guessedShare > MOST_GUESSED;

/** What it is, in a few words, where enough of it is said. */
export const toldHeadline = (verdict: Verdict, read: Pick<JudgedText, 'guessedShare'>): string =>
  isTooGuessed(read) ? t`Too much is guessed to say` : verdictHeadline(verdict);

/** Lines, verdict and cautions of a text as it is told; what comes out of it can be cloned. */
export function judgedText(
  text: string,
  {
    larder,
    cup,
    head,
    hairGrams,
    school,
  }: {
    readonly larder: Larder;
    readonly cup: CupKind;
    readonly head: Head | undefined;
    /** Mass of her hair, g: what guesses are made for. */
    readonly hairGrams?: number | undefined;
    /** Where none is given, that of the head. */
    readonly school?: School | undefined;
  },
): JudgedText {
  const parsed = parseRecipe(text, { larder, cup, hairGrams });
  if (!parsed.ok) return { text, parsed, judged: parsed, guessedShare: 1, formula: null };
  const formula = isFormula(parsed.value) ? checkFormula(parsed.value, larder) : null;
  const judgement = judge(readLines(parsed.value), head, larder, {
    school,
    trust: trustOf(parsed.value),
    texts: parsed.value.lines.map((line) => line.text),
  });
  const judged = judgement.ok
    ? ok({ ...judgement.value, details: detailsOf(judgement.value.verdict, judgement.value.lines) })
    : judgement;
  return { text, parsed, judged, guessedShare: guessedShareOf(parsed.value), formula };
}
