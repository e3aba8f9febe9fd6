export { FEEL, MIST, READING_LIMITS, SHED_REFERRAL_PER_DAY, STRETCH } from './protocols';
export { FEEL_WORDS, readingSchema, type Reading, type Strand } from './reading';
export {
  callsForDoctor,
  measurementsOf,
  SIGNAL_IDS,
  strandFigures,
  type Measurement,
  type SignalId,
  type StrandFigures,
} from './measure';
export { readingFromDraft, strandFromDraft, type ReadingDraft, type StrandDraft } from './readingDraft';
export { headEventSchema, type EventKind, type HeadEvent } from './headEvent';
