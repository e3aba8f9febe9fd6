export { acidityOf, type Acidity } from './acidity';
export { argued, type Argument, type Claim } from './claims';
export type { LineTrust } from './confidence';
export { AVAILABILITY, HALF_LOAD, KIND_EDGES, SOFTENING, STRONG_FROM, TANNIN_FIRMING } from './constants';
export { doseOf, type Warmth } from './contact';
export { detailsOf, type VerdictDetails } from './details';
export { leavesGrit, roleWords, type RoleFit, type TreatmentRole } from './fitness';
export type { Flip } from './flips';
export { kindLabels } from './kindLabels';
export { lineLoads, type LoadKind, type Loads } from './loads';
export { hasStrongProtein, verdictOfPush, type SchoolVerdict, type TreatmentKind } from './schoolVerdict';
export {
  classify,
  classifyLines,
  classifyVersion,
  strengthWord,
  trustOf,
  type LedgerRow,
  type Verdict,
} from './verdict';
export {
  acidityWords,
  confidenceWord,
  flipWords,
  kindWords,
  schoolWords,
  verdictHeadline,
  verdictReasons,
} from './words';
