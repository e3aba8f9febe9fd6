import { z } from 'zod';

/** How long a plan may be looked for. */
export const EFFORTS = ['brief', 'usual', 'long'] as const;
export const effortSchema = z.enum(EFFORTS);
export type Effort = z.infer<typeof effortSchema>;

/** Where looking for a plan ends: at the limit of time, or when the answer is near enough to the best possible. */
export interface EffortLimits {
  /** Seconds of work after which the best plan so far is taken. */
  readonly seconds: number;
  /** Relative distance from the best possible plan that is good enough. */
  readonly gap: number;
}

/** Weeks up to which a plan is a short one. */
const SHORT_WEEKS = 4;

/**
 * Working assumptions, from what `npm run bench` measures: four weeks of one head of the demo are proven to 8 % in a second and a
 * half, to 1 % in eight; a phone takes four times as long. The gap ends the search, the time only what would take too long: a plan
 * that the clock cut off differs from one device to the next.
 */
const LIMITS: Readonly<Record<Effort, { readonly short: EffortLimits; readonly long: EffortLimits }>> = {
  brief: { short: { seconds: 5, gap: 0.08 }, long: { seconds: 20, gap: 0.1 } },
  usual: { short: { seconds: 8, gap: 0.01 }, long: { seconds: 20, gap: 0.02 } },
  long: { short: { seconds: 30, gap: 0.001 }, long: { seconds: 60, gap: 0.005 } },
};

export function effortLimits(effort: Effort, weeks: number): EffortLimits {
  return LIMITS[effort][weeks <= SHORT_WEEKS ? 'short' : 'long'];
}
