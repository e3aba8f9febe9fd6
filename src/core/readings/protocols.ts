/**
 * How a raw measurement becomes a signal. Every figure here is a working assumption unless a source stands beside
 * it; docs/model.md says how each was reached.
 */

/** Comfortable wet stretch of hair, about 30 % (Robbins C. R., Chemical and Physical Behavior of Human Hair, ch. 9). */
export const STRETCH = {
  comfortablePercent: 30,
  comfortableReturnPercent: 92,
  /** Stretch points away from comfortable that move firmness by 1. */
  stretchPerFirmness: 20,
  /** Return points lost that move firmness by −1. */
  returnPerFirmness: 25,
  /** What snapping adds, beyond the short stretch itself. */
  snapFirmness: 0.5,
  /** The stretch taken when a strand snapped and nobody saw where. */
  unseenSnapPercent: 15,
  /** A ruler read with wet hands, 1 standard deviation, mm. */
  lengthErrorMm: 1,
  /** How much strands of one head differ, 1 sd of firmness. */
  strandSpread: 0.5,
  /** One strand cannot say more than this, either way. */
  mostFirmness: 2.5,
} as const;

/** Feel, a scale of seven from gummy to straw: each step is half a unit of firmness. */
export const FEEL = { firmnessPerStep: 0.5, sd: 0.5 } as const;

/** Counts of one head vary more than a Poisson count: extra variance of the logarithm. */
export const TALLY = { overdispersion: 0.1 } as const;

/** Mist soak-in time, on a logarithmic scale; longer means lower porosity. */
export const MIST = { middleSeconds: 45, logSecondsPerUnit: 1, sd: 0.5 } as const;

export const READING_LIMITS = {
  strands: 20,
  restMm: { least: 20, most: 600 },
  /** Hair breaks long before it is three times its length. */
  mostStretchFactor: 3,
  pieces: 5000,
  days: 60,
  mistSeconds: { least: 1, most: 3600 },
  feelSteps: 3,
} as const;

/** Shed hairs a day above which the app speaks of a doctor; 50 to 100 a day is ordinary (American Academy of Dermatology). */
export const SHED_REFERRAL_PER_DAY = 150;
