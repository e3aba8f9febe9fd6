import { t } from '@lingui/core/macro';
import { failed, ok, sum, type Result } from '../../base/measures';
import { AS_WRITTEN, SCHOOLS, type RecipeVersion, type School, type Science } from '../../records/shapes';
import {
  CATALOGUE_LARDER,
  readLines,
  unreadShare,
  weighedLines,
  type Larder,
  type ParsedRecipe,
  type ReadLine,
  type WeighedLine,
} from '../larder';
import { confidenceIn, type Confidence, type LineTrust } from './confidence';
import { STRENGTH_WORDS } from './constants';
import { lineGroups } from './lineGroups';
import { byKind, lineLoads, perHundredGrams, type LineLoads, type Loads } from './loads';
import { mixOf, schoolVerdict, type SchoolVerdict } from './schoolVerdict';

export interface LedgerRow {
  /** Index of the recipe line. */
  readonly line: number;
  readonly text: string;
  /** Null for a recipe that is used as an ingredient. */
  readonly ingredient: string | null;
  readonly name: string;
  /** As measured out. */
  readonly grams: number;
  /** 0 to 1: this line's part of each load of the whole; each load's shares add to 1, or to 0 where there is none. */
  readonly shares: Loads;
  /** This line's part of the three pushes, 0 to 1, for drawing. */
  readonly push: SchoolVerdict['push'];
}

export interface Verdict extends SchoolVerdict, Confidence {
  readonly school: School;
  /** How the constants were read. */
  readonly science: Science;
  /** Grams measured out. */
  readonly grams: number;
  /** Grams that are left to put on after straining. */
  readonly finishedGrams: number;
  /** Grams per 100 g of finished mask. */
  readonly loads: Loads;
  readonly ledger: readonly LedgerRow[];
  readonly schools: Readonly<Record<School, SchoolVerdict>>;
}

/**
 * The verdict on a recipe under one school, with all schools beside it.
 * @returns a problem when no line could be weighed, or the recipe is made of itself
 */
export function classify(
  recipe: ParsedRecipe,
  school: School = 'my-hair',
  larder: Larder = CATALOGUE_LARDER,
): Result<Verdict> {
  const weighed = weighedLines(readLines(recipe), larder);
  return weighed.ok ? classifyLines(weighed.value, school, trustOf(recipe), larder.science) : weighed;
}

/**
 * The verdict on a version as it was saved: the reading is not in doubt any more.
 * @returns a problem when no line could be weighed, or the recipe is made of itself
 */
export function classifyVersion(
  { lines }: Pick<RecipeVersion, 'lines'>,
  school: School,
  larder: Larder,
): Result<Verdict> {
  const weighed = weighedLines(lines, larder);
  return weighed.ok ? classifyLines(weighed.value, school, undefined, larder.science) : weighed;
}

/** How far the reading of a recipe's lines can be trusted. */
export function trustOf(recipe: ParsedRecipe): LineTrust {
  const lines = readLines(recipe);
  return {
    unreadShare: unreadShare(recipe),
    assumedAmountShare: shareOfGrams(lines, amountIsAssumed),
  };
}

const SURE_ENOUGH: readonly string[] = ['usual-preparation', 'pack-size', 'to-balance', 'equal-parts'];

function amountIsAssumed(line: ReadLine): boolean {
  return line.assumptions.some(({ code }) => !SURE_ENOUGH.includes(code));
}

const NOTHING_IN_DOUBT: LineTrust = { unreadShare: 0, assumedAmountShare: 0 };

/** As {@link classify}, for lines that are already weighed. @param science how its constants are read */
export function classifyLines(
  lines: readonly WeighedLine[],
  school: School,
  trust: LineTrust = NOTHING_IN_DOUBT,
  science: Science = AS_WRITTEN,
): Result<Verdict> {
  if (lines.length === 0) {
    return failed('nothing-weighed', t`No line of this text could be read as an ingredient with an amount.`);
  }
  const mine = lines.map((line) => lineLoads(line, school));
  const mix = mixOf(mine);
  const own = schoolVerdict(mix, science);
  const schools = Object.fromEntries(
    SCHOOLS.map((name) => [
      name,
      name === school ? own : schoolVerdict(mixOf(lines.map((line) => lineLoads(line, name))), science),
    ]),
  ) as Record<School, SchoolVerdict>;
  const ledger = ledgerOf(mine, own);
  return ok({
    ...own,
    school,
    science,
    ...confidenceIn(own, mix, mine, trust, science),
    grams: sum(ledger.map((row) => row.grams)),
    finishedGrams: sum(mine.map((line) => line.remainingGrams)),
    loads: perHundredGrams(mine),
    ledger,
    schools,
  });
}

function shareOfGrams<T extends { readonly grams: number }>(
  lines: readonly T[],
  holds: (line: T) => boolean,
): number {
  const total = sum(lines.map((line) => line.grams));
  return total === 0 ? 0 : sum(lines.filter(holds).map((line) => line.grams)) / total;
}

function ledgerOf(lines: readonly LineLoads[], own: SchoolVerdict): LedgerRow[] {
  const loadsOf = (some: readonly LineLoads[]) => byKind((kind) => sum(some.map((line) => line.loads[kind])));
  const totals = loadsOf(lines);
  const fatOf = (loads: Loads) => loads.penetratingOil + loads.sealingOil;
  const part = (amount: number, total: number) => (total === 0 ? 0 : amount / total);
  return lineGroups(lines).map(({ line, text, name, ingredientId, grams, loads }) => {
    const mine = loadsOf(loads);
    return {
      line,
      text,
      ingredient: ingredientId,
      name,
      grams,
      shares: byKind((kind) => part(mine[kind], totals[kind])),
      push: {
        firm: own.push.firm * part(mine.firm, totals.firm),
        soft: own.push.soft * part(mine.soft, totals.soft),
        oil: own.push.oil * part(fatOf(mine), fatOf(totals)),
      },
    };
  });
}

export function strengthWord(strength: number): string {
  return STRENGTH_WORDS.findLast(({ from }) => strength >= from)?.word ?? STRENGTH_WORDS[0].word;
}
