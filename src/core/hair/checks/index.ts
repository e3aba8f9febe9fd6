export { countLogLikelihood, type Count } from './counts';
export { DRY_READING_DAYS, isDryReadingDay, isDryReadingDue } from './dryReading';
export { likelihoodsAt, type GridLikelihood } from './likelihood';
export { measurementsOf, type Measurement, type TestId } from './measure';
export { usualDryMinutes, type HairFacts, type PorosityIndex } from './porosityIndex';
export {
  FEEL,
  POROSITY_TESTS,
  SHED_ORDINARY_PER_DAY,
  SHED_REFERRAL_PER_DAY,
  SIGNS,
  STRETCH,
  TALLY,
} from './protocols';
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
export { referralFrom, referralOf } from './referral';
export { BALL_MM, ballLike, ballWords, SHED_IN_BALL, shedCounts, stylesWorn, type ShedCount } from './shed';
export { feelWords, scalpWords } from './signWords';
export {
  returnPercentOf,
  strandFigures,
  strandsTogether,
  strandsToSettle,
  stretchPercentOf,
  type StrandFigures,
  type StrandsTogether,
} from './strands';
export { strandShape, snapsAt } from './strandModel';
export { sectionsOf, TAPS, type Tap } from './taps';
