export { SCHOOLS, STRONG_FROM, type School } from './constants';
export { LOAD_KINDS, type LoadKind, type Loads, type WeighedLine } from './loads';
export { classify, classifyLines, strengthWord, type LedgerRow, type Verdict } from './verdict';
export type { SchoolVerdict, TreatmentKind } from './schoolVerdict';
export { confidenceWord, KIND_WORDS, SCHOOL_WORDS, verdictHeadline, verdictReasons } from './words';
export { doseOf, type Warmth } from './contact';
