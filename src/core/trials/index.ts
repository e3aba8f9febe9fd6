export {
  shortestDays,
  TRIAL_LIMITS,
  trialOrder,
  trialSchema,
  trialWashSchema,
  type Arm,
  type Trial,
  type TrialWash,
} from './trial';
export { armsAhead, trialState, type TrialState } from './trialState';
