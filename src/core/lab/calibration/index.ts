export { AS_FEARED, AS_PROMISED, calibrated } from './calibrated';
export { fiveYears } from './fiveYears';
export { livedRhythm, RHYTHM_IDS, RHYTHM_WORDS, type RhythmId, type RhythmOutcome } from './rhythms';
