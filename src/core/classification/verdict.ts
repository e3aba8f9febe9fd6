import { clamp, failed, ok, rounded, saturating, sum, type Result } from '../measures';
import { readLines, type ParsedRecipe, type ReadLine } from '../recipes';
import { CONFIDENCE, HALF_LOAD, KIND_EDGES, SCHOOLS, STRENGTH_WORDS, type School } from './constants';
import { lineLoads, LOAD_KINDS, type LineLoads, type LoadKind, type Loads, type WeighedLine } from './loads';

export const TREATMENT_KINDS = ['protein', 'moisture', 'balanced', 'oil', 'rinse'] as const;
export type TreatmentKind = (typeof TREATMENT_KINDS)[number];

export interface SchoolVerdict {
  readonly kind: TreatmentKind;
  /** 0 to 5 */
  readonly strength: number;
  /** 0 to 1 each: how hard it pushes toward firm, toward soft, and how much oil it leaves. */
  readonly push: { readonly firm: number; readonly soft: number; readonly oil: number };
}

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

export interface Verdict extends SchoolVerdict {
  readonly school: School;
  /** 0 to 1 */
  readonly confidence: number;
  /** Grams measured out. */
  readonly grams: number;
  /** Grams that are left to put on after straining. */
  readonly finishedGrams: number;
  /** Grams per 100 g of finished mask. */
  readonly loads: Loads;
  readonly ledger: readonly LedgerRow[];
  readonly schools: Readonly<Record<School, SchoolVerdict>>;
}

/** How far the lines themselves can be trusted; see CONFIDENCE. */
export interface LineTrust {
  /** 0 to 1: lines that are not understood, of all ingredient lines. */
  readonly unreadShare: number;
  /** 0 to 1: weight whose amount rests on an assumption. */
  readonly assumedAmountShare: number;
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
    confidence: confidenceOf(own, mine, trust),
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

function perHundredGrams(lines: readonly LineLoads[]): Loads {
  const finished = sum(lines.map((line) => line.remainingGrams));
  return byKind((kind) =>
    finished === 0 ? 0 : (100 * sum(lines.map((line) => line.loads[kind]))) / finished,
  );
}

function byKind(valueOf: (kind: LoadKind) => number): Loads {
  return Object.fromEntries(LOAD_KINDS.map((kind) => [kind, valueOf(kind)])) as Loads;
}

function schoolVerdict(lines: readonly LineLoads[]): SchoolVerdict {
  const loads = perHundredGrams(lines);
  const fat = loads.penetratingOil + loads.sealingOil;
  const push = {
    firm: saturating(loads.firm, HALF_LOAD.firm),
    soft: saturating(loads.soft, HALF_LOAD.soft),
    oil: saturating(fat, HALF_LOAD.oil),
  };
  const kind = kindOf(push, fat, loads.water);
  const leading = { protein: push.firm, moisture: push.soft, oil: push.oil };
  const of =
    kind === 'balanced'
      ? Math.max(push.firm, push.soft)
      : kind === 'rinse'
        ? Math.max(push.firm, push.soft)
        : leading[kind];
  return { kind, strength: clamp(rounded(5 * of, 1), 0, 5), push };
}

function kindOf(push: SchoolVerdict['push'], fat: number, water: number): TreatmentKind {
  const { firm, soft, oil } = push;
  const strongest = Math.max(firm, soft);
  if (fat >= KIND_EDGES.oilFat && oil > strongest) return 'oil';
  const thin = 100 - water < KIND_EDGES.rinseDryMatter;
  if ((thin && strongest < KIND_EDGES.rinsePush) || Math.max(strongest, oil) < KIND_EDGES.idlePush)
    return 'rinse';
  if (firm >= KIND_EDGES.lead * soft) return 'protein';
  if (soft >= KIND_EDGES.lead * firm) return 'moisture';
  return 'balanced';
}

function confidenceOf(own: SchoolVerdict, lines: readonly LineLoads[], trust: LineTrust): number {
  const assumedFigures = assumedShare(own, lines);
  const { firm, soft } = own.push;
  // The distance from the nearest edge between two kinds, as a ratio of the pushes; 1 when far from any edge.
  const ratio = Math.max(firm, soft) / Math.max(0.01, Math.min(firm, soft));
  const margin = own.kind === 'oil' ? 1 : clamp(Math.abs(ratio - KIND_EDGES.lead) / KIND_EDGES.lead, 0, 1);
  const confidence =
    CONFIDENCE.start *
    (1 - CONFIDENCE.unread * trust.unreadShare) *
    (1 - CONFIDENCE.assumedFigures * assumedFigures) *
    (1 - CONFIDENCE.assumedAmounts * trust.assumedAmountShare) *
    (1 - CONFIDENCE.thinMargin * (1 - margin));
  return clamp(rounded(confidence, 2), 0.05, 0.95);
}

/** 0 to 1: how much of what decides the verdict rests on composition figures that are assumed. */
function assumedShare(own: SchoolVerdict, lines: readonly LineLoads[]): number {
  const part = (load: 'firm' | 'soft') => {
    const total = sum(lines.map((line) => line.loads[load]));
    return total === 0
      ? 0
      : sum(lines.filter((line) => line.assumed).map((line) => line.loads[load])) / total;
  };
  const { firm, soft } = own.push;
  return firm + soft === 0 ? 0 : (firm * part('firm') + soft * part('soft')) / (firm + soft);
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
