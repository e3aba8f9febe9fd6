export { armOn, shortestDays, trialOrder } from './trial';
export { armsAhead, readingsFor, sideReadingOf, trialState, type TrialState } from './trialState';
