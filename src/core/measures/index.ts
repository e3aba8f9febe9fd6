export { failed, failedBySchema, invariant, ok, type Problem, type Result } from './result';
export { joinedByPrecision } from './precision';
export { clamp, mean, rounded, saturating, sum } from './numbers';
export {
  addDays,
  calendarDay,
  calendarDaySchema,
  dayOfDate,
  dayRange,
  daysBetween,
  formatDay,
  weekdayOf,
  type CalendarDay,
} from './calendarDay';
export {
  CUPS,
  UNITS,
  VAGUE_UNITS,
  VIEWS,
  type CupKind,
  type UnitId,
  type UnitKind,
  type View,
} from './units';
export { unitWord } from './unitWord';
export { scattered, textHash } from './hash';
export { countingIds, idSchema, type IdSource } from './ids';
export { formatInstant, instantAt, instantSchema, millisecondsOf, type Instant } from './instant';
export { weekdayOrDate, whenWords } from './dayWords';
export {
  inOrder,
  latestStamp,
  liveRecords,
  recordBaseSchema,
  stampAfter,
  stampedAhead,
  withdrawalSchema,
  withdrawalsOf,
  withOlder,
  type Withdrawal,
} from './record';
export { Stopped, TookTooLong } from './unanswered';
