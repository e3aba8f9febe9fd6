export { calibrated, type CalibrationRow } from './calibrated';
export { fiveYears } from './fiveYears';
export { livedUnder, type Outcome } from './lived';
export { POLICY_IDS, POLICY_WORDS, policyOf, type PolicyId } from './policies';
export { WORLD_IDS, WORLDS, type WorldId } from './worlds';
