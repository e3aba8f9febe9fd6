export { FEEL, POROSITY_TESTS, READING_LIMITS, SIGNS, STRETCH, TALLY } from './protocols';
export {
  FEEL_WORDS,
  MARKS,
  NO_MARKS,
  NOTHING_MEASURED,
  porositySchema,
  readingSchema,
  REGIONS,
  SCALP_SIGNS,
  SINKS,
  SLIDES,
  strandSchema,
  tallyTotals,
  type MarkId,
  type Measured,
  type Moment,
  type PorosityTests,
  type Reading,
  type Region,
  type ScalpSign,
  type Strand,
  type Tally,
} from './reading';
export { PHOTO_LIMITS, photoBytes, photoSchema, photosOf, type Photo } from './photo';
export { isDryReadingDay, isDryReadingDue } from './dryReading';
export { sectionsOf, TAPS, type Tap } from './taps';
export { countLogLikelihood, type Count } from './counts';
export { measurementsOf, SIGNAL_IDS, type Measurement, type SignalId, type TestId } from './measure';
export { porosityIndex, usualDryMinutes, type HairFacts, type PorosityIndex } from './porosityIndex';
export { SCALP_WORDS } from './signWords';
export { referralFrom, referralOf } from './referral';
export {
  returnPercentOf,
  strandErrorSd,
  strandFigures,
  strandsTogether,
  strandsToSettle,
  stretchPercentOf,
  type StrandFigures,
  type StrandsTogether,
} from './strands';
export {
  BLANK_DRAFT,
  BLANK_STRAND,
  draftFromReading,
  readingFromDraft,
  readingOf,
  strandCheck,
  strandFromDraft,
  type ReadingDraft,
  type StrandDraft,
} from './readingDraft';
export { EVENT_KINDS, headEventSchema, type EventKind, type HeadEvent } from './headEvent';
