import { clamp, rounded, saturating, sum } from '../../base/measures';
import { HALF_LOAD, KIND_EDGES } from './constants';
import type { LineLoads } from './loads';

export const TREATMENT_KINDS = ['protein', 'moisture', 'balanced', 'oil', 'rinse'] as const;
export type TreatmentKind = (typeof TREATMENT_KINDS)[number];

export interface SchoolVerdict {
  readonly kind: TreatmentKind;
  /** 0 to 5 */
  readonly strength: number;
  /** 0 to 1 each: how hard it pushes toward firm, toward soft, and how much oil it leaves. */
  readonly push: { readonly firm: number; readonly soft: number; readonly oil: number };
}

/** What decides a verdict, in grams of the whole mixture. Mixtures add, and scale, part by part. */
export interface Mix {
  readonly finished: number;
  readonly firm: number;
  readonly soft: number;
  readonly fat: number;
  readonly water: number;
}

export function mixOf(lines: readonly LineLoads[]): Mix {
  const total = (of: (line: LineLoads) => number) => sum(lines.map(of));
  return {
    finished: total((line) => line.remainingGrams),
    firm: total(({ loads }) => loads.firm),
    soft: total(({ loads }) => loads.soft),
    fat: total(({ loads }) => loads.penetratingOil + loads.sealingOil),
    water: total(({ loads }) => loads.water),
  };
}

/** `a` and `factor` times `b` in one bowl. */
export function mixed(a: Mix, b: Mix, factor: number): Mix {
  return {
    finished: a.finished + factor * b.finished,
    firm: a.firm + factor * b.firm,
    soft: a.soft + factor * b.soft,
    fat: a.fat + factor * b.fat,
    water: a.water + factor * b.water,
  };
}

/** Kind, strength and pushes of a mixture whose lines were loaded under one school. */
export function schoolVerdict(mix: Mix): SchoolVerdict {
  const per100 = (grams: number) => (mix.finished <= 0 ? 0 : (100 * grams) / mix.finished);
  const fat = per100(mix.fat);
  const push = {
    firm: saturating(per100(mix.firm), HALF_LOAD.firm),
    soft: saturating(per100(mix.soft), HALF_LOAD.soft),
    oil: saturating(fat, HALF_LOAD.oil),
  };
  return verdictOfPush(push, fat, per100(mix.water));
}

/**
 * Kind and strength of pushes.
 * @param fat g per 100 g of finished mask, as is `water`
 */
export function verdictOfPush(push: SchoolVerdict['push'], fat: number, water: number): SchoolVerdict {
  const kind = kindOf(push, fat, water);
  const strongest = Math.max(push.firm, push.soft);
  const leading = {
    protein: push.firm,
    moisture: push.soft,
    oil: push.oil,
    balanced: strongest,
    rinse: strongest,
  };
  return { kind, strength: clamp(rounded(5 * leading[kind], 1), 0, 5), push };
}

function kindOf(push: SchoolVerdict['push'], fat: number, water: number): TreatmentKind {
  const { firm, soft, oil } = push;
  const strongest = Math.max(firm, soft);
  if (fat >= KIND_EDGES.oilFat && oil > strongest) return 'oil';
  if (fat >= KIND_EDGES.someOilFat && oil >= KIND_EDGES.oilLead * strongest) return 'oil';
  const thin = 100 - water < KIND_EDGES.rinseDryMatter;
  if ((thin && strongest < KIND_EDGES.rinsePush) || Math.max(strongest, oil) < KIND_EDGES.idlePush)
    return 'rinse';
  if (firm >= KIND_EDGES.lead * soft) return 'protein';
  if (soft >= KIND_EDGES.lead * firm) return 'moisture';
  return 'balanced';
}
