export { shortestDays, trialOrder } from './trial';
export { armsAhead, trialState, type TrialState } from './trialState';
