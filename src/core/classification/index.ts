export { SCHOOLS, STRONG_FROM, type School } from './constants';
export { LOAD_KINDS, lineLoads, type LoadKind, type Loads } from './loads';
export {
  classify,
  classifyLines,
  classifyVersion,
  strengthWord,
  trustOf,
  type LedgerRow,
  type Verdict,
} from './verdict';
export { detailsOf, type VerdictDetails } from './details';
export { verdictOfPush, type SchoolVerdict, type TreatmentKind } from './schoolVerdict';
export {
  acidityWords,
  confidenceWord,
  flipWords,
  kindWords,
  KIND_WORDS,
  SCHOOL_WORDS,
  verdictHeadline,
  verdictReasons,
} from './words';
export { doseOf, POROSITIES, type PorosityGuess, type Warmth } from './contact';
export { acidityOf, type Acidity } from './acidity';
export type { Flip } from './flips';
export { leavesGrit, ROLE_WORDS, type RoleFit, type TreatmentRole } from './fitness';
export type { LineTrust } from './confidence';
export { HALF_LOAD, TANNIN_FIRMING } from './constants';
