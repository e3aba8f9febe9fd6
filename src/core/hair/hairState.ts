import type { CalendarDay } from '../measures';
import type { Measurement, SignalId } from '../readings';

export interface Estimate {
  readonly mean: number;
  /** One standard deviation, the same scale. */
  readonly sd: number;
}

export interface DatedEstimate extends Estimate {
  readonly day: CalendarDay;
}

export interface DatedMeasurement extends Measurement {
  readonly day: CalendarDay;
  readonly readingId: string;
}

/** 0 to 1 each; they add to 1. */
export interface LaneProbabilities {
  readonly below: number;
  readonly within: number;
  readonly above: number;
}

/** What one dose of a recipe does to a signal on this head. */
export interface Response extends Estimate {
  readonly recipeId: string;
  /** Uses it has been seen in. */
  readonly uses: number;
}

export interface SignalState extends Estimate {
  readonly signal: SignalId;
  readonly probabilities: LaneProbabilities;
  /** One value a day from the first record to today. */
  readonly path: readonly DatedEstimate[];
  /** If nothing is done: one value a day from tomorrow on. */
  readonly ahead: readonly DatedEstimate[];
  readonly measurements: readonly DatedMeasurement[];
  readonly responses: readonly Response[];
  /** What is left of a departure from rest after one day, 0 to 1, averaged over the half-lives. */
  readonly retentionPerDay: number;
  readonly halfLifeDays: number;
}

export type NeedKind = 'protein' | 'moisture' | 'both' | 'keep' | 'unclear';

export interface Need {
  readonly kind: NeedKind;
  /** The answer in words: "A little too soft". */
  readonly headline: string;
  readonly reasons: readonly string[];
  /** Set when a sign is a doctor's matter. */
  readonly referral: string | null;
}

export interface HairState {
  readonly headId: string;
  readonly asOf: CalendarDay;
  readonly signals: Readonly<Record<SignalId, SignalState>>;
  readonly need: Need;
  readonly readingCount: number;
}
