import { clamp, rounded, saturating, sum } from '../measures';
import { HALF_LOAD, KIND_EDGES } from './constants';
import { LOAD_KINDS, type LineLoads, type LoadKind, type Loads } from './loads';

export const TREATMENT_KINDS = ['protein', 'moisture', 'balanced', 'oil', 'rinse'] as const;
export type TreatmentKind = (typeof TREATMENT_KINDS)[number];

export interface SchoolVerdict {
  readonly kind: TreatmentKind;
  /** 0 to 5 */
  readonly strength: number;
  /** 0 to 1 each: how hard it pushes toward firm, toward soft, and how much oil it leaves. */
  readonly push: { readonly firm: number; readonly soft: number; readonly oil: number };
}

/** Grams per 100 g of what is left to put on. */
export function perHundredGrams(lines: readonly LineLoads[]): Loads {
  const finished = sum(lines.map((line) => line.remainingGrams));
  return byKind((kind) =>
    finished === 0 ? 0 : (100 * sum(lines.map((line) => line.loads[kind]))) / finished,
  );
}

export function byKind(valueOf: (kind: LoadKind) => number): Loads {
  return Object.fromEntries(LOAD_KINDS.map((kind) => [kind, valueOf(kind)])) as Loads;
}

/** Kind, strength and pushes of a mixture whose lines were loaded under one school. */
export function schoolVerdict(lines: readonly LineLoads[]): SchoolVerdict {
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
