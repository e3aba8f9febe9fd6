import type { Plan, UnmetPromise, UnmetRule } from '@/core/plan/planning';

/** A promise of a rhythm of hers that these weeks do not hold. */
export interface AtRisk extends UnmetPromise {
  readonly rhythmId: string;
}

export const isOfRhythm = ({ promise }: UnmetRule): boolean => (promise?.rhythmId ?? null) !== null;

/** Her rhythms that are at risk, each once, with what is in its way first. */
export function promisesAtRisk({ unmet }: Pick<Plan, 'unmet'>): AtRisk[] {
  const found = new Map<string, AtRisk>();
  for (const { promise } of unmet)
    if (promise && promise.rhythmId !== null && !found.has(promise.rhythmId))
      found.set(promise.rhythmId, { ...promise, rhythmId: promise.rhythmId });
  return [...found.values()];
}
