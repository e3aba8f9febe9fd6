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
  /** The stretch below which no strand is: it gives a little before it snaps. */
  leastPercent: 4,
  /** Firmness at which every second strand snaps before it stops giving, and how much strands differ in that, 1 sd. */
  snapsFrom: 1.1,
  snapsSpread: 0.3,
  /** A length read with wet hands, 1 standard deviation, mm. */
  lengthErrorMm: 1,
  /** How much strands of one head differ, 1 sd of firmness. */
  strandSpread: 0.5,
  /** Share of strands that are mistyped, or hair of somebody else. */
  strayShare: 0.05,
} as const;

/** Feel, a scale of seven from gummy to straw: each step is half a unit of firmness. */
export const FEEL = { firmnessPerStep: 0.5, sd: 0.5, mostSteps: 3 } as const;

/**
 * Slip, tangles, shine and clumping, five steps each with 2 in the middle: firm hair slips less, tangles more, shines less and its
 * curls part; soft hair the other way round, but they say little: half the error of feel again, however many were given.
 */
export const SIGNS = { firmnessPerStep: 0.25, sd: 0.9 } as const;

/** Counts of one head vary more than a Poisson count: extra variance of the logarithm. */
export const TALLY = { overdispersion: 0.1 } as const;

/** Each porosity test on the one index: 0 middle, +1 clearly high, −1 clearly low. */
export const POROSITY_TESTS = {
  /** Mist soak-in time, on a logarithmic scale; longer means lower porosity. */
  mist: { middleSeconds: 45, logSecondsPerUnit: 1, sd: 0.5 },
  /**
   * From blotted to dry, against what is usual for this much hair: open hair lets go of water sooner. The air of the room
   * decides as much as the hair does, so the error is wide.
   */
  dryTime: { middleMinutes: 120, atHairGrams: 75, powerOfMass: 0.5, logMinutesPerUnit: 0.6, sd: 0.8 },
  /** A finger slid up the strand, from the end to the root. */
  slide: { value: { smooth: -0.8, ridges: 0, catches: 0.8 }, sd: 0.8 },
  /** Where a clean shed strand is after four minutes in water: oil left on it and the skin of the water decide it as much as porosity. */
  sink: { value: { floats: -0.7, hovers: 0, sinks: 0.7 }, afterMinutes: 4, sd: 1.3 },
} as const;

/** Shed hairs a day that are ordinary (American Academy of Dermatology). */
export const SHED_ORDINARY_PER_DAY = { low: 50, high: 100 } as const;
/** Shed hairs a day above which the app speaks of a doctor. */
export const SHED_REFERRAL_PER_DAY = 150;
