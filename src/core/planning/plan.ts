import type { TreatmentKind } from '../classification';
import type { DatedEstimate, Estimate, Head, SignalState } from '../hair';
import type { CalendarDay } from '../measures';
import type { SignalId } from '../readings';
import type { LeadTask, RecipeVersion } from '../recipes';

/** A recipe as the planner sees it. */
export interface Treatment {
  readonly recipeId: string;
  readonly version: number;
  readonly name: string;
  readonly use: RecipeVersion['use'];
  readonly kind: TreatmentKind;
  readonly strength: number;
  /** Protein, or firming like protein: spaced and held back when the hair is firm. */
  readonly firms: boolean;
  /** Spaced by weeks and followed by moisture the same day. */
  readonly strong: boolean;
  readonly moistens: boolean;
  readonly contactMinutes: number;
  readonly warmth: RecipeVersion['warmth'];
  readonly leadTasks: readonly LeadTask[];
  /** What one use as written moves each signal, on this head. */
  readonly effect: Readonly<Record<SignalId, Estimate>>;
  /** Never used on this head. */
  readonly isNew: boolean;
  /** Its patch test is clear, so it may be used at once. */
  readonly isTested: boolean;
}

/** What spacing asks of a treatment. */
export type Spacing = Pick<Treatment, 'use' | 'firms' | 'strong' | 'moistens'>;

/** A treatment that was done, as the version that was used was: it counts whether or not it may be planned again. */
export interface PastUse extends Spacing {
  readonly day: CalendarDay;
}

export interface PlanProblem {
  readonly head: Head;
  readonly from: CalendarDay;
  readonly weeks: number;
  readonly treatments: readonly Treatment[];
  readonly signals: Readonly<Record<SignalId, SignalState>>;
  /** The day of which `signals` speaks; not after `from`. */
  readonly asOf: CalendarDay;
  readonly past: readonly PastUse[];
}

export interface Reason {
  /** Which rule or which part of the objective. */
  readonly code: string;
  readonly text: string;
}

export type Slot = 'main' | 'pre-poo' | 'follow-up' | 'refresh';

export interface Beat {
  readonly day: CalendarDay;
  readonly slot: Slot;
  readonly recipeId: string;
  readonly name: string;
  readonly kind: TreatmentKind;
  readonly strength: number;
  /** Of her time, waiting included. */
  readonly minutes: number;
  readonly overnight: boolean;
  readonly reasons: readonly Reason[];
}

/** Something to begin ahead of a beat. */
export interface PrepTask {
  readonly day: CalendarDay;
  readonly text: string;
  readonly forRecipeId: string;
  readonly forDay: CalendarDay;
}

export interface PlanDay {
  readonly day: CalendarDay;
  readonly freeMinutes: number;
  readonly beats: readonly Beat[];
  readonly preparation: readonly PrepTask[];
  /** Firmness as expected at the end of the day, with this plan. */
  readonly forecast: DatedEstimate;
}

/** Something the plan could not do, and what would change that. */
export interface UnmetRule {
  readonly rule: string;
  readonly text: string;
}

export interface Plan {
  readonly headId: string;
  readonly from: CalendarDay;
  readonly weeks: number;
  /** Which method answered. */
  readonly planner: 'week-search';
  /** Proven distance from the best plan, 0 to 1; null where the method proves none over the whole horizon. */
  readonly gap: number | null;
  readonly headline: string;
  readonly days: readonly PlanDay[];
  readonly unmet: readonly UnmetRule[];
}

/** Any planner: the same problem gives the same plan. */
export type Planner = (problem: PlanProblem) => Plan;

export const MOST_WEEKS = 12;
