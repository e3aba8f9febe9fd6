import { clamp, rounded, saturating, sum } from '../../base/measures';
import { AS_WRITTEN, type Science } from '../../records/shapes';
import { HALF_LOAD, KIND_EDGES, MOST_STRENGTH, SOFTENING, STRONG_FROM } from './constants';
import type { LineLoads } from './loads';

export const TREATMENT_KINDS = ['protein', 'moisture', 'balanced', 'oil', 'rinse'] as const;
export type TreatmentKind = (typeof TREATMENT_KINDS)[number];

export interface SchoolVerdict {
  readonly kind: TreatmentKind;
  /** 0 to 5 */
  readonly strength: number;
  /** Of protein or moisture, what it does of the other beside it; null where that is too little to be named. */
  readonly also: { readonly kind: 'protein' | 'moisture'; readonly strength: number } | null;
  /** 0 to 1 each: how hard it pushes toward firm, toward soft, and how much oil it leaves. */
  readonly push: { readonly firm: number; readonly soft: number; readonly oil: number };
}

/** What decides a verdict, in grams of the whole mixture. Mixtures add, and scale, part by part. */
export interface Mix {
  readonly finished: number;
  readonly firm: number;
  /** Of `firm`, what comes of intact food protein, and of tannin. */
  readonly intact: number;
  readonly tannin: number;
  /** What would come of intact food protein if all of it acted. */
  readonly intactInAll: number;
  readonly soft: number;
  readonly fat: number;
  readonly water: number;
}

const MIX_PARTS = ['finished', 'firm', 'intact', 'tannin', 'intactInAll', 'soft', 'fat', 'water'] as const;

export function mixOf(lines: readonly LineLoads[]): Mix {
  const total = (of: (line: LineLoads) => number) => sum(lines.map(of));
  return {
    finished: total((line) => line.remainingGrams),
    firm: total(({ loads }) => loads.firm),
    intact: total(({ firmOf }) => firmOf.intact),
    tannin: total(({ firmOf }) => firmOf.tannin),
    intactInAll: total(({ intactInAll }) => intactInAll),
    soft: total(({ loads }) => loads.soft),
    fat: total(({ loads }) => loads.penetratingOil + loads.sealingOil),
    water: total(({ loads }) => loads.water),
  };
}

/** `a` and `factor` times `b` in one bowl. */
export function mixed(a: Mix, b: Mix, factor: number): Mix {
  const parts = MIX_PARTS.map((part) => [part, a[part] + factor * b[part]]);
  return Object.fromEntries(parts) as Record<(typeof MIX_PARTS)[number], number>;
}

/**
 * Kind, strength and pushes of a mixture whose lines were loaded under one school.
 * @param science how its constants are read
 */
export function schoolVerdict(mix: Mix, science: Science = AS_WRITTEN): SchoolVerdict {
  const per100 = (grams: number) => (mix.finished <= 0 ? 0 : (100 * grams) / mix.finished);
  const intact = Math.min(science.intact * mix.intact, mix.intactInAll);
  const firm = mix.firm - mix.intact + intact + (science.tannin - 1) * mix.tannin;
  const soft = mix.soft + (science.water - 1) * SOFTENING.water * mix.water;
  const fat = per100(mix.fat);
  const push = {
    firm: saturating(per100(firm), HALF_LOAD.firm * science.firm),
    soft: saturating(per100(soft), HALF_LOAD.soft * science.soft),
    oil: saturating(fat, HALF_LOAD.oil * science.oil),
  };
  return verdictOfPush(push, fat, per100(mix.water), science);
}

/**
 * Kind and strength of pushes.
 * @param fat g per 100 g of finished mask, as is `water`
 */
export function verdictOfPush(
  push: SchoolVerdict['push'],
  fat: number,
  water: number,
  science: Science = AS_WRITTEN,
): SchoolVerdict {
  const kind = kindOf(push, fat, water, science);
  const strongest = Math.max(push.firm, push.soft);
  const leading = {
    protein: push.firm,
    moisture: push.soft,
    oil: push.oil,
    balanced: strongest,
    rinse: strongest,
  };
  return { kind, strength: strengthOf(leading[kind]), also: alsoOf(kind, push), push };
}

const strengthOf = (push: number) => clamp(rounded(MOST_STRENGTH * push, 1), 0, MOST_STRENGTH);

function alsoOf(kind: TreatmentKind, { firm, soft }: SchoolVerdict['push']): SchoolVerdict['also'] {
  if (kind === 'protein' && soft >= KIND_EDGES.named) return { kind: 'moisture', strength: strengthOf(soft) };
  if (kind === 'moisture' && firm >= KIND_EDGES.named) return { kind: 'protein', strength: strengthOf(firm) };
  return null;
}

/** Strong protein is strong whatever else is in the bowl; a rinse leaves too little of it. */
export function hasStrongProtein({ kind, push }: Pick<SchoolVerdict, 'kind' | 'push'>): boolean {
  return kind !== 'rinse' && strengthOf(push.firm) >= STRONG_FROM;
}

function kindOf(push: SchoolVerdict['push'], fat: number, water: number, science: Science): TreatmentKind {
  const { firm, soft, oil } = push;
  const strongest = Math.max(firm, soft);
  if (fat >= KIND_EDGES.oilFat && oil > strongest) return 'oil';
  if (fat >= KIND_EDGES.someOilFat && oil >= KIND_EDGES.oilLead * strongest) return 'oil';
  const thin = 100 - water < KIND_EDGES.rinseDryMatter;
  if (thin && strongest < KIND_EDGES.rinsePush) return 'rinse';
  if (Math.max(strongest, oil) < KIND_EDGES.idlePush) return 'rinse';
  if (Math.max(firm, softWithoutWater(soft, water, science), oil) < KIND_EDGES.wetPush) return 'rinse';
  if (firm >= KIND_EDGES.lead * soft) return 'protein';
  if (soft >= KIND_EDGES.lead * firm) return 'moisture';
  // Neither leads. What is strong keeps its name, protein first, because it is what must not come too often.
  if (strengthOf(firm) >= STRONG_FROM) return 'protein';
  return strengthOf(soft) >= STRONG_FROM ? 'moisture' : 'balanced';
}

/** Salt water and clay are wet, and no moisture treatment for it. */
function softWithoutWater(soft: number, water: number, science: Science): number {
  const half = HALF_LOAD.soft * science.soft;
  const load = (half * soft) / Math.max(1e-9, 1 - soft);
  return saturating(Math.max(0, load - SOFTENING.water * science.water * water), half);
}
