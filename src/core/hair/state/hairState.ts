import type { CalendarDay } from '../../base/measures';
import type { Complaint, EventKind, SignalId } from '../../records/shapes';
import type { Measurement, TestId } from '../checks';
import type { ComfortZone } from './signals';

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
  /** Probably a slip (a mistyped length): it counted little. */
  readonly off: boolean;
}

/** 0 to 1 each; they add to 1. */
export interface ZoneProbabilities {
  readonly below: number;
  readonly within: number;
  readonly above: number;
}

/** What one dose of something does to a signal on this head. */
interface Learned extends Estimate {
  /** Times it has been seen. */
  readonly uses: number;
  /** What was expected before this head had shown anything. */
  readonly expected: Estimate;
}

export interface Response extends Learned {
  readonly recipeId: string;
}

export interface EventResponse extends Learned {
  readonly event: EventKind;
  /** Share of it that stays until that hair is cut off, 0 to 1; the rest fades. */
  readonly stays: number;
}

/** Two recipes whose effects the log cannot tell apart. */
export interface Entangled {
  readonly recipeIds: readonly [string, string];
  /** −1 to 1, of what is known of their effects. */
  readonly correlation: number;
}

export interface SignalState extends Estimate {
  readonly signal: SignalId;
  /** What is comfortable for this head. */
  readonly comfortZone: ComfortZone;
  readonly probabilities: ZoneProbabilities;
  /** One value a day from the first record to today, each known from all readings before and after it. */
  readonly path: readonly DatedEstimate[];
  /** If nothing is done: one value a day from tomorrow on. */
  readonly ahead: readonly DatedEstimate[];
  readonly measurements: readonly DatedMeasurement[];
  readonly responses: readonly Response[];
  readonly eventResponses: readonly EventResponse[];
  readonly entangled: readonly Entangled[];
  /** What is left of a departure from rest after one day, 0 to 1, averaged over the half-lives. */
  readonly retentionPerDay: number;
  readonly halfLifeDays: number;
  /** Between these nine times in ten. */
  readonly halfLifeRange: { readonly low: number; readonly high: number };
  /** How much larger the errors of this head's measurements are than usual. */
  readonly errorFactor: number;
}

export const NEEDS = ['protein', 'moisture', 'both', 'oil', 'keep'] as const;
export type NeedKind = (typeof NEEDS)[number] | 'unclear';
/** 0 to 1 each; they add to 1. */
export type NeedProbabilities = Readonly<Record<(typeof NEEDS)[number], number>>;

export interface Need {
  readonly kind: NeedKind;
  readonly probabilities: NeedProbabilities;
  /** The answer in words: "A little too soft". */
  readonly headline: string;
  readonly reasons: readonly string[];
  /** Set when a sign is a doctor's matter. */
  readonly referral: string | null;
  /** Null where nothing troubles her. */
  readonly complaint: ComplaintAnswer | null;
}

/** The answer to what troubles her most. */
export interface ComplaintAnswer {
  readonly complaint: Complaint;
  /** It begins with her words. */
  readonly headline: string;
  /** What the checks say to it, and what would settle it; empty where the headline says all. */
  readonly reason: string;
  /** What does no harm until it is settled. */
  readonly meanwhile: string;
  /** The checks show it. */
  readonly isShown: boolean;
}

/** What one more reading would do to the doubt about the need. */
export interface NextReading {
  readonly test: TestId;
  readonly signal: SignalId;
  /** Doubt about the need that it is expected to take away, bits; 0 where it would tell nothing new. */
  readonly bits: number;
  /** Doubt that is there now, bits. */
  readonly ofBits: number;
}

/** A forecast that was stored before its reading, beside what the reading found. */
export interface HeldForecast {
  readonly day: CalendarDay;
  readonly signal: SignalId;
  /** Found less forecast, in errors of the two together: between −1.64 and 1.64 nine times in ten. */
  readonly off: number;
  readonly held: boolean;
}

export interface ForecastsHeld {
  /** The latest, in order of their days. */
  readonly points: readonly HeldForecast[];
  readonly held: number;
  /** How many times as wide the intervals are made because too few held; 1 where enough did. */
  readonly widenedBy: number;
}

export interface HairState {
  readonly headId: string;
  readonly asOf: CalendarDay;
  readonly signals: Readonly<Record<SignalId, SignalState>>;
  readonly need: Need;
  /** Every test that can be taken, the one that settles the need fastest first. */
  readonly nextReadings: readonly NextReading[];
  readonly readingCount: number;
  /** How what was forecast before readings held. */
  readonly forecasts: ForecastsHeld;
}
