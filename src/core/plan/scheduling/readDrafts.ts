import { addDays } from '../../base/measures';
import type { PlanDraft, PlanProblem } from '../planning';
import type { WeekProgramme } from './weekProgramme';

/** What an answer's variables mean as treatments, head by head. */
export function readDrafts(
  { from, heads }: PlanProblem,
  { placements, batchUses }: WeekProgramme,
  values: Readonly<Record<string, number>>,
): PlanDraft[][] {
  const fromShelf = new Map(
    batchUses
      .filter(({ name }) => (values[name] ?? 0) > 0.5)
      .map(({ placement, batchId }) => [placement, batchId]),
  );
  return heads.map((_, index) =>
    placements
      .filter(({ head, name }) => head === index && (values[name] ?? 0) > 0.5)
      .map((placement): PlanDraft => ({
        day: addDays(from, placement.at),
        treatment: placement.treatment,
        recipeId: placement.treatment.recipeId,
        slot: placement.slot,
        overnight: placement.overnight,
        batchId: fromShelf.get(placement) ?? null,
      })),
  );
}
