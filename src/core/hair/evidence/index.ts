export {
  halfWords,
  rateOf,
  rateRatio,
  rateRatioWords,
  type Rate,
  type RateRatio,
  type VaryingCount,
} from './rates';
export { changeWords, sessionChange, type SessionChange } from './sessionChange';
export { expectedHalfWidth, trialReport, type TrialAnswer, type TrialReport } from './trialReport';
