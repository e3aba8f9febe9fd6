export { agreementAfter } from './agreement';
export { withTodayDecided, withTodayOpen } from './decideToday';
export { questionLimits, answerWhatIf, type WhatIfAnswer, type WhatIfQuestion } from './ask';
export { type Fix, type Relaxation } from './relax';
export {
  plansOf,
  solveSchedule,
  searchSchedule,
  type Plans,
  type Schedule,
  type ScheduleOptions,
} from './schedule';
export { TRYOUT_RHYTHMS, tryRhythm, type OwnPart, type TryoutRhythmId, type RhythmTryout } from './tryRhythm';
export { weekSearch } from './weekSearch';
export { whyNotIn } from './whyNot';
export { todayOptions, TODAY, type TodayOption } from './today';
