export { rateRatio, rateRatioWords, type Rate, type RateRatio } from './rates';
export { changeWords, sessionChange, type SessionChange } from './sessionChange';
export { shortestDays, trialOrder } from './trial';
export { expectedHalfWidth, trialReport, type TrialAnswer, type TrialReport } from './trialReport';
export { armsAhead, trialState, type TrialState } from './trialState';
