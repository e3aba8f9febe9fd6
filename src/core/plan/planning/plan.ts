import type { CalendarDay } from '../../base/measures';
import type { DatedEstimate, Estimate, SignalState } from '../../hair/state';
import type { LeadTask } from '../../kitchen/methods';
import type { TreatmentKind } from '../../recipe/classification';
import type {
  Decision,
  Head,
  Occasion,
  RecipeUse,
  RecipeVersion,
  Rhythm,
  SignalId,
  Slot,
} from '../../records/shapes';
import type {
  AgreedAssignment,
  PlanChoices,
  RhythmState,
  RhythmWindow,
  RuleValues,
  WeightValues,
} from '../agenda';

/** Portions of a batch that stand on the shelf. */
export interface ReadyBatch {
  readonly batchId: string;
  readonly portions: number;
  readonly useBy: CalendarDay;
}

/** A recipe as the planner sees it. */
export interface Treatment {
  readonly recipeId: string;
  readonly version: number;
  readonly name: string;
  readonly use: RecipeUse;
  /** All that it may be used as, `use` among them. */
  readonly uses: readonly RecipeUse[];
  readonly kind: TreatmentKind;
  readonly strength: number;
  /** Protein, or firming like protein: spaced and held back when the hair is firm. */
  readonly firms: boolean;
  /** Spaced by weeks and followed by moisture the same day. */
  readonly strong: boolean;
  readonly moistens: boolean;
  readonly contactMinutes: number;
  readonly warmth: RecipeVersion['warmth'];
  /** Share of what is usual for this head, 0 to 1. */
  readonly amount: number;
  /** What this dose does, as a share of what the recipe does as it is written; spacing counts it so. */
  readonly doseShare: number;
  readonly leadTasks: readonly LeadTask[];
  /** Minutes of her hands to make it, where no batch is there. */
  readonly makeMinutes: number;
  /** Of one use on this head, in her currency; null where prices are missing. */
  readonly cost: number | null;
  readonly batches: readonly ReadyBatch[];
  /** Draws water from the air or into it, depending on the air. */
  readonly humectant: boolean;
  /** What one use as written moves each signal, on this head. */
  readonly effect: Readonly<Record<SignalId, Estimate>>;
  /** What the recipe reads as still holds half of the weight of its effect on firmness, or more. */
  readonly isGuess: boolean;
  /** Never used on this head. */
  readonly isNew: boolean;
  /** "waits": it has to be tested first; "runs": since a day. */
  readonly patchTest: 'not-needed' | 'clear' | 'waits' | 'runs';
  /** It may not be used before this day. */
  readonly allowedFrom: CalendarDay;
}

/** What spacing asks of a treatment. */
export type Spacing = Pick<Treatment, 'use' | 'firms' | 'strong' | 'moistens'>;

/** A treatment that was done, as the version that was used was: it counts whether or not it may be planned again. */
export interface PastUse extends Spacing {
  readonly day: CalendarDay;
  readonly recipeId: string;
  /** What was done, as a share of what the recipe does as it is written. */
  readonly doseShare: number;
}

/** The washes that a running trial still asks for, in their order. */
export interface TrialDemand {
  readonly trialId: string;
  /** Null for a wash without any treatment. */
  readonly recipeIds: readonly (string | null)[];
  readonly from: CalendarDay;
  readonly washoutDays: number;
  readonly endsBy: CalendarDay;
}

/** What a rhythm of hers asks of the days of the plan. */
export interface RhythmDemand {
  readonly rhythm: Rhythm;
  /** In her words: "Oat balm: Fridays, until 20 March". */
  readonly says: string;
  /** With what is still wanted in each; 0 where it was done. None of what goes with each wash. */
  readonly windows: readonly RhythmWindow[];
  /** Slots that it may be met in. */
  readonly slots: readonly Slot[];
  /** Its own recipe goes on when she said, and not on other days beside. */
  readonly exact: boolean;
}

/** Everything about one head that its plan depends on. */
export interface HeadProblem {
  readonly head: Head;
  readonly treatments: readonly Treatment[];
  readonly signals: Readonly<Record<SignalId, SignalState>>;
  /** The day of which `signals` speaks; not after the plan's first. */
  readonly asOf: CalendarDay;
  /** Null where nothing was ever read. */
  readonly lastReading: CalendarDay | null;
  readonly past: readonly PastUse[];
  /** Days on which a recipe was used for the first time, of the last weeks. */
  readonly firstUses: readonly CalendarDay[];
  readonly rules: RuleValues;
  readonly weights: WeightValues;
  readonly choices: PlanChoices;
  readonly occasions: readonly Occasion[];
  readonly decisions: readonly Decision[];
  readonly agreed: readonly AgreedAssignment[];
  readonly trial: TrialDemand | null;
  readonly rhythms: readonly RhythmDemand[];
  /** Where every rhythm of this head stands, those that are over among them. */
  readonly rhythmStates: readonly RhythmState[];
  /** What the plan's first day has, decided from what was read on it; absent where nothing was. */
  readonly decidedToday?: DecidedDay;
}

/** A day that is decided: a main treatment in its dose with the moisture that follows it, or nothing. */
export interface DecidedDay {
  readonly main: Treatment | null;
  readonly followUp: Treatment | null;
}

/** What is planned together: heads that share one person's hours. */
export interface PlanProblem {
  readonly from: CalendarDay;
  readonly weeks: number;
  readonly heads: readonly HeadProblem[];
}

export interface Reason {
  /** Which rule or which part of the objective. */
  readonly code: string;
  readonly text: string;
}

/** How a treatment is done on a day. */
export interface Dose {
  /** On the hair. */
  readonly minutes: number;
  readonly warmth: RecipeVersion['warmth'];
  /** Share of the usual amount, above 0 to 1. */
  readonly amount: number;
}

export interface Assignment {
  readonly day: CalendarDay;
  readonly slot: Slot;
  readonly recipeId: string;
  readonly name: string;
  readonly kind: TreatmentKind;
  readonly strength: number;
  /** Of her time, waiting included. */
  readonly minutes: number;
  /** Null where it is done as the recipe says; with what is other than there in words: "10 minutes, half the usual amount". */
  readonly dose: (Dose & { readonly text: string }) | null;
  readonly overnight: boolean;
  /** She put it there. */
  readonly locked: boolean;
  /** The batch on the shelf that it uses. */
  readonly batchId: string | null;
  /** In her currency; null where prices are missing. */
  readonly cost: number | null;
  /** Firmness that it is expected to move: negative toward soft. */
  readonly moves: Estimate;
  /** What the recipe reads as still holds half of the weight of that, or more. */
  readonly isGuess: boolean;
  /** Much humectant: the air of the day matters. */
  readonly humectant: boolean;
  /** Only if the hair feels firm after the treatment before it. */
  readonly onlyIfFirm: boolean;
  readonly reasons: readonly Reason[];
}

/** Something to begin ahead of a treatment. */
export interface PrepTask {
  readonly day: CalendarDay;
  readonly text: string;
  /** Hours before the wash begins at which it has to be begun at the latest; null where the day is enough. */
  readonly leadHours: number | null;
  /** Minute of its day at which it has to be begun at the latest, counted back from the wash; null where the day is enough. */
  readonly startMinute: number | null;
  /** Nothing is made: it is tried on the skin. */
  readonly isPatchTest: boolean;
  readonly forRecipeId: string;
  readonly forDay: CalendarDay;
}

/** What a day is by itself: a style that is coming, in or down, days without a wash. */
export interface DayNote {
  readonly code: 'no-wash' | 'look-good' | 'style-ahead' | 'style-in' | 'style' | 'style-out' | 'style-after';
  readonly text: string;
}

export interface PlanDay {
  readonly day: CalendarDay;
  readonly notes: readonly DayNote[];
  readonly freeMinutes: number;
  readonly assignments: readonly Assignment[];
  readonly preparation: readonly PrepTask[];
  /** Firmness as expected at the end of the day, with this plan. */
  readonly forecast: DatedEstimate;
  /** The chances that it is too firm then, and that it is outside the comfort zone on either side, 0 to 1. */
  readonly tooFirm: number;
  readonly outside: number;
}

/** Something the plan could not do, and what would change that. */
export interface UnmetRule {
  /** The rule that stands in the way. */
  readonly rule: string;
  /** All of it in words. */
  readonly text: string;
  /** Of something that she asked for. */
  readonly promise?: UnmetPromise;
}

/** What she asked for and does not get. */
export interface UnmetPromise {
  /** In her words. */
  readonly asked: string;
  readonly rhythmId: string | null;
  /** The days within which it was wanted. */
  readonly from: CalendarDay;
  readonly to: CalendarDay;
  /** How many stretches of this plan it lacks in, for the same reason. */
  readonly times: number;
  readonly reason: string;
  /** The nearest way to it; `day` where it is a day of the plan on which it would fit. */
  readonly nearest: {
    readonly text: string;
    readonly day: CalendarDay | null;
    readonly recipeId: string | null;
  };
}

/** Overdue and too soon, for one sort of treatment. */
export interface Due {
  readonly what: 'protein' | 'strong protein' | 'moisture' | 'main treatment';
  /** Days since the last one; null where there was none. */
  readonly since: number | null;
  readonly allowedFrom: CalendarDay;
  /** Days until then, 0 where it is allowed today. */
  readonly tooSoonFor: number;
  readonly plannedOn: CalendarDay | null;
  readonly overdueBy: number;
}

/** What the objective of a plan is made of, each in its weighed units. */
export type ScoreParts = Readonly<Record<keyof WeightValues, number>>;

export interface Plan {
  readonly headId: string;
  readonly from: CalendarDay;
  readonly weeks: number;
  /** Which method answered: the programme, or the search that stands in for it. */
  readonly planner: 'programme' | 'week-search';
  /** Proven distance from the best plan, from 0; infinite where the time was too short to prove any; null where the method proves none. */
  readonly gap: number | null;
  /** What it was minimising, in days at one step outside the comfort zone. */
  readonly score: number;
  readonly parts: ScoreParts;
  readonly headline: string;
  readonly days: readonly PlanDay[];
  readonly unmet: readonly UnmetRule[];
  readonly dues: readonly Due[];
  readonly rhythms: readonly RhythmState[];
}

export const MOST_WEEKS = 12;

/** A hard rule that a plan breaks. */
export interface Breach {
  /** Its id, in RULES or FIXED_RULES. */
  readonly rule: string;
  readonly headId: string;
  readonly day: CalendarDay;
  /** By how much, where that can be said: minutes or days. */
  readonly by?: number;
}

/** All that a rule looks at in a treatment; as its recipe says where neither treatment nor dose is given. */
export type Standing = Pick<Assignment, 'day' | 'slot' | 'recipeId' | 'overnight' | 'batchId'> & {
  readonly dose?: Dose | null;
  /** Of a treatment while planning, in its dose. */
  readonly treatment?: Treatment;
};
