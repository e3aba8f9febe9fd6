export { agreementAfter } from './agreement';
export { whyNotIn } from './whyNot';
export { questionLimits, wondered, type Wondered, type Wondering } from './ask';
export { loosened, type Fix, type Loosening } from './loosen';
export { RHYTHM_IDS, triedRhythm, type OwnPart, type RhythmId, type TriedRhythm } from './tryRhythm';
export { plansOf, scheduled, searched, type Plans, type Schedule, type ScheduleOptions } from './schedule';
export { weekSearch } from './weekSearch';
