import { t } from '@lingui/core/macro';
import { rounded } from '../../base/measures';
import { ingredientById } from '../ingredients';
import { usualLine, type WeighedLine } from '../larder';
import { flipsOf } from './flips';
import { kindLabels } from './kindLabels';
import { lineLoads, type LineLoads } from './loads';
import { mixed, mixOf, schoolVerdict } from './schoolVerdict';
import type { Verdict } from './verdict';
import { CARRIED_BY, flipWords, leader } from './words';

/** What a maker can call a mixture. */
export type Claim = 'protein' | 'moisture';

/** Why a mixture is not what it is called, in two sentences. */
export interface Argument {
  readonly claim: Claim;
  /** What is in it. */
  readonly reason: string;
  /** What would make it true. */
  readonly wouldTake: string;
}

/** What makers reach for to make one of a mixture. */
const MADE_WITH: Readonly<Record<Claim, string>> = { protein: 'gelatin', moisture: 'honey' };
/** More than this share of the bowl is another recipe. */
const MOST_ADDED = 0.4;

/**
 * "You call it protein. Is it?"
 * @returns null where the figures say the same, or say both
 */
export function argued(
  claim: Claim | null,
  verdict: Verdict,
  lines: readonly WeighedLine[],
): Argument | null {
  if (claim === null || verdict.kind === claim || verdict.kind === 'balanced') return null;
  const mine = lines.map((line) => lineLoads(line, verdict.school));
  return { claim, reason: reasonOf(claim, verdict), wouldTake: wouldTake(claim, verdict, mine) };
}

function reasonOf(claim: Claim, verdict: Verdict): string {
  const kind = kindLabels()[verdict.kind].toLowerCase();
  const [load] = CARRIED_BY[verdict.kind];
  const name = load === undefined ? undefined : leader(verdict.ledger, load)?.name;
  const protein = rounded(verdict.loads.protein, 1);
  if (claim === 'moisture')
    return name === undefined
      ? t`By what is in it, it is ${kind}.`
      : t`By what is in it, it is ${kind}: most of that comes from the ${name}.`;
  return name === undefined
    ? t`By what is in it, it is ${kind}: only ${protein} g in 100 g is protein that counts.`
    : t`By what is in it, it is ${kind}: most of that comes from the ${name}, and only ${protein} g in 100 g is protein that counts.`;
}

function wouldTake(claim: Claim, verdict: Verdict, mine: readonly LineLoads[]): string {
  const flip = flipsOf(mine).find(({ to }) => to === claim);
  if (flip) return flipWords(flip);
  const ingredient = ingredientById(MADE_WITH[claim]);
  const grams = ingredient && leastAdded(claim, mine, lineLoads(usualLine(ingredient, 1), verdict.school));
  return grams
    ? t`With about ${{ grams }} g of ${{ name: ingredient.name }} in it, it would be ${{ claim: kindLabels()[claim].toLowerCase() }}.`
    : t`Nothing added makes it that; it would be another recipe.`;
}

/** Whole grams of something that make the kind of it; null where so much is another recipe. */
function leastAdded(claim: Claim, mine: readonly LineLoads[], one: LineLoads): number | null {
  const [bowl, gram] = [mixOf(mine), mixOf([one])];
  const most = Math.ceil(MOST_ADDED * bowl.finished);
  for (let grams = 1; grams <= most; grams++)
    if (schoolVerdict(mixed(bowl, gram, grams)).kind === claim) return grams;
  return null;
}
