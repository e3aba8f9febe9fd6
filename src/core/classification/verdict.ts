import { failed, ok, sum, type Result } from '../measures';
import { readLines, type ParsedRecipe, type ReadLine } from '../recipes';
import { confidenceIn, type Confidence, type LineTrust } from './confidence';
import { SCHOOLS, STRENGTH_WORDS, type School } from './constants';
import { lineLoads, type LineLoads, type Loads, type WeighedLine } from './loads';
import { byKind, perHundredGrams, schoolVerdict, type SchoolVerdict } from './schoolVerdict';

export interface LedgerRow {
  readonly text: string;
  readonly ingredient: string;
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
 * @returns a problem when no line could be weighed
 */
export function classify(recipe: ParsedRecipe, school: School = 'my-hair'): Result<Verdict> {
  const lines = readLines(recipe);
  const unread = recipe.lines.filter((line) => line.status === 'unread').length;
  return classifyLines(lines, school, {
    unreadShare: unread / Math.max(1, unread + lines.length),
    assumedAmountShare: shareOfGrams(lines, amountIsAssumed),
  });
}

function amountIsAssumed(line: ReadLine): boolean {
  return line.assumptions.some(({ code }) => code !== 'usual-preparation' && code !== 'pack-size');
}

const NOTHING_IN_DOUBT: LineTrust = { unreadShare: 0, assumedAmountShare: 0 };

/** As {@link classify}, for lines that are already weighed. */
export function classifyLines(
  lines: readonly WeighedLine[],
  school: School,
  trust: LineTrust = NOTHING_IN_DOUBT,
): Result<Verdict> {
  if (lines.length === 0) {
    return failed('nothing-weighed', 'No line of this text could be read as an ingredient with an amount.');
  }
  const mine = lines.map((line) => lineLoads(line, school));
  const finishedGrams = sum(mine.map((line) => line.remainingGrams));
  const own = schoolVerdict(mine);
  const schools = Object.fromEntries(
    SCHOOLS.map((name) => [
      name,
      name === school ? own : schoolVerdict(lines.map((line) => lineLoads(line, name))),
    ]),
  ) as Record<School, SchoolVerdict>;
  return ok({
    ...own,
    school,
    ...confidenceIn(own, mine, trust),
    grams: sum(lines.map((line) => line.grams)),
    finishedGrams,
    loads: perHundredGrams(mine),
    ledger: ledgerOf(mine, own),
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
  const totals = byKind((kind) => sum(lines.map((line) => line.loads[kind])));
  const fatOf = (loads: Loads) => loads.penetratingOil + loads.sealingOil;
  const part = (amount: number, total: number) => (total === 0 ? 0 : amount / total);
  return lines.map(({ line, ingredient, loads }) => ({
    text: line.text,
    ingredient: ingredient.id,
    name: ingredient.name,
    grams: line.grams,
    shares: byKind((kind) => part(loads[kind], totals[kind])),
    push: {
      firm: own.push.firm * part(loads.firm, totals.firm),
      soft: own.push.soft * part(loads.soft, totals.soft),
      oil: own.push.oil * part(fatOf(loads), fatOf(totals)),
    },
  }));
}

export function strengthWord(strength: number): string {
  return STRENGTH_WORDS.findLast(({ from }) => strength >= from)?.word ?? STRENGTH_WORDS[0].word;
}
