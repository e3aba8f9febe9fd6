import type { Placement } from './placements';

/** Something that is asked of the plan beside its rules, for a question "what if". */
export interface Demand {
  /** Place of its head in the problem. */
  readonly head: number;
  readonly is: 'placed' | 'absent';
  readonly slot: Placement['slot'];
  /** Null for any treatment. */
  readonly recipeId: string | null;
  /** Places of days, both in it. */
  readonly first: number;
  readonly last: number;
}
