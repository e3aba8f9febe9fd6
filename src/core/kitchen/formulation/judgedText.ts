import { t } from '@lingui/core/macro';
import { ok, sum, type CupKind, type Result } from '../../base/measures';
import {
  argued,
  detailsOf,
  trustOf,
  verdictHeadline,
  type Argument,
  type Verdict,
  type VerdictDetails,
} from '../../recipe/classification';
import {
  guessedLines,
  readLines,
  unreadShare,
  type Larder,
  type ParsedRecipe,
  type ToldUse,
} from '../../recipe/larder';
import { parseRecipe, recipesIn, type OwnMeasures } from '../../recipe/parsing';
import { looksLikeLabel } from '../../recipe/products';
import { dosesBeyondUse, judge, type Caution, type Dose, type Judgement } from '../../recipe/safety';
import type { Head, School } from '../../records/shapes';
import { checkFormula, isFormula, type Formula } from './formula';

/** What is said of a recipe on one head. */
export interface Judged {
  readonly verdict: Verdict;
  readonly details: VerdictDetails;
  readonly cautions: readonly Caution[];
  /** Amounts to be looked at before the verdict means anything. */
  readonly doses: readonly Dose[];
  /** Why it is not what she calls it; null where the figures say the same. */
  readonly argument: Argument | null;
}

/** A text and all that is read out of it. */
export interface JudgedText {
  readonly text: string;
  readonly parsed: Result<ParsedRecipe>;
  readonly judged: Result<Judged>;
  /** 0 to 1: weight that is a guess or not understood. */
  readonly guessedShare: number;
  /** Null where it is no formula of percents and phases. */
  readonly formula: Formula | null;
  /** The recipes that the text holds; one where nothing parts it. */
  readonly recipes: readonly string[];
  /** It reads like the list on a bought product. */
  readonly isLabel: boolean;
}

/** Of a recipe of which more than this is guessed or not understood no verdict is headlined. */
const MOST_GUESSED = 0.5;

/** 0 to 1: the weight that is not understood, and that of the lines without an amount of their own. */
function guessedShareOf(recipe: ParsedRecipe): number {
  const grams = sum(readLines(recipe).map((line) => line.grams));
  const guessed = grams === 0 ? 1 : sum(guessedLines(recipe).map((line) => line.grams)) / grams;
  const unread = unreadShare(recipe);
  return unread + guessed * (1 - unread);
}

export const isTooGuessed = ({ guessedShare }: Pick<JudgedText, 'guessedShare'>): boolean =>
  guessedShare > MOST_GUESSED;

/** What it is, in a few words, where enough of it is said and no amount has to be looked at first. */
export const toldHeadline = (
  { verdict, doses }: Pick<Judged, 'verdict' | 'doses'>,
  read: Pick<JudgedText, 'guessedShare'>,
): string =>
  isTooGuessed(read)
    ? t`Too much is guessed to say`
    : doses.length > 0
      ? t`First: is that amount right?`
      : verdictHeadline(verdict);

function judgedOf(judgement: Judgement, claim: ToldUse['claim']): Judged {
  const { verdict, cautions, lines } = judgement;
  return {
    verdict,
    cautions,
    details: detailsOf(verdict, lines),
    doses: dosesBeyondUse(lines, verdict.finishedGrams),
    argument: argued(claim, verdict, lines),
  };
}

/** Lines, verdict and cautions of a text as it is told; what comes out of it can be cloned. */
export function judgedText(
  text: string,
  {
    larder,
    cup,
    own,
    head,
    hairGrams,
    school,
  }: {
    readonly larder: Larder;
    readonly cup: CupKind;
    readonly own?: OwnMeasures | undefined;
    readonly head: Head | undefined;
    /** Mass of her hair, g: what guesses are made for. */
    readonly hairGrams?: number | undefined;
    /** Where none is given, that of the head. */
    readonly school?: School | undefined;
  },
): JudgedText {
  const parsed = parseRecipe(text, { larder, cup, own, hairGrams });
  if (!parsed.ok)
    return { text, parsed, judged: parsed, guessedShare: 1, formula: null, recipes: [text], isLabel: false };
  const formula = isFormula(parsed.value) ? checkFormula(parsed.value, larder) : null;
  const judgement = judge(readLines(parsed.value), head, larder, {
    school,
    trust: trustOf(parsed.value),
    strained: parsed.value.told.strained,
    texts: parsed.value.lines.map((line) => line.text),
  });
  const judged = judgement.ok ? ok(judgedOf(judgement.value, parsed.value.told.claim)) : judgement;
  const isLabel = looksLikeLabel(text);
  return {
    text,
    parsed,
    judged,
    guessedShare: isLabel ? 1 : guessedShareOf(parsed.value),
    formula,
    recipes: recipesIn(text, larder),
    isLabel,
  };
}
