export { FEEL, MIST, READING_LIMITS, SHED_REFERRAL_PER_DAY, STRETCH } from './protocols';
export { FEEL_WORDS, MOMENTS, readingSchema, type Reading, type Strand } from './reading';
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
export { EVENT_KINDS, headEventSchema, type EventKind, type HeadEvent } from './headEvent';
