import type { Verdict } from '../../recipe/classification';
import type { WeighedLine } from '../../recipe/larder';
import type { Head, RecipeVersion } from '../../records/shapes';
import type { PlanChoices } from '../agenda';

/** A treatment of the day, with what is known of its mixture. */
export interface DayUse {
  readonly version: RecipeVersion;
  readonly lines: readonly WeighedLine[];
  readonly verdict: Verdict;
  /** Minutes that it stays on; the recipe's own unless the day is short. */
  readonly minutes: number;
  /** Share of the usual amount that goes on; all of it where it is not said. */
  readonly amount?: number;
  /** With a cap, a dryer or a warm towel. */
  readonly withHeat: boolean;
  /** Taken from the shelf, not made today. */
  readonly fromShelf: boolean;
}

/** What goes on each side of the parting for a trial of two sides; null for nothing. One of them is the main treatment. */
export interface WashSides {
  readonly left: DayUse | null;
  readonly right: DayUse | null;
}

/** Everything that a wash day is put together from. */
export interface WashPlan {
  readonly head: Pick<
    Head,
    | 'lengthCm'
    | 'curl'
    | 'density'
    | 'ageBand'
    | 'allergies'
    | 'health'
    | 'chemistry'
    | 'proteinSensitive'
    | 'porosityGuess'
  >;
  readonly choices: Pick<
    PlanChoices,
    'maskOrder' | 'afterProtein' | 'zones' | 'rinse' | 'finish' | 'conditioner'
  >;
  /** Minutes of a wash of this head, waiting and making apart. */
  readonly washMinutes: number;
  /** Oil that goes on today before the shampoo; null where none does. */
  readonly prePoo: DayUse | null;
  /** It was put on the evening before. */
  readonly oiledOvernight: boolean;
  /** Null for a wash without a treatment. */
  readonly main: DayUse | null;
  /** Null where the main treatment goes on all of it. */
  readonly sides: WashSides | null;
  /** Moisture that follows a protein; null where there is none to follow with. */
  readonly followUp: DayUse | null;
  readonly sections: number;
  /** With a dryer on low, after a heat protectant, or by itself. */
  readonly drying: 'air' | 'blow-dry';
}
