import { addDays } from '../../base/measures';
import type { Terms } from '../../base/programme';
import type { HeadProblem, PlanProblem } from '../planning';
import { placementsOf, type Placement } from './placements';

/** That a placement takes a portion from the shelf. */
export interface BatchUse {
  readonly name: string;
  readonly placement: Placement;
  readonly batchId: string;
}

/** One head's part of the programme. */
export interface HeadPart {
  readonly head: HeadProblem;
  readonly index: number;
  readonly days: number;
  readonly placements: readonly Placement[];
  readonly batchUses: readonly BatchUse[];
  /** Those of one slot, on one day. */
  readonly on: (slot: Placement['slot'], at: number) => readonly Placement[];
}

export function headPart(problem: PlanProblem, index: number, brokenAt?: (at: number) => boolean): HeadPart {
  const head = problem.heads[index] as HeadProblem;
  const placements = placementsOf(problem, index, brokenAt);
  const bySlot = new Map<string, Placement[]>();
  for (const placement of placements) {
    const key = `${placement.slot}/${placement.at}`;
    bySlot.set(key, [...(bySlot.get(key) ?? []), placement]);
  }
  const batchUses = placements.flatMap((placement) =>
    placement.treatment.batches
      .filter(({ useBy }) => useBy >= addDays(problem.from, placement.at))
      .map(({ batchId }, order): BatchUse => ({ name: `${placement.name}b${order}`, placement, batchId })),
  );
  return {
    head,
    index,
    days: 7 * problem.weeks,
    placements,
    batchUses,
    on: (slot, at) => bySlot.get(`${slot}/${at}`) ?? [],
  };
}

export const terms = (placements: readonly { readonly name: string }[], factor = 1): Terms =>
  placements.map(({ name }) => ({ name, factor }));
