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
export { weekdayOrDate, whenWords } from './dayWords';
export { scattered, textHash } from './hash';
export { countingIds, idSchema, type IdSource } from './ids';
export { formatInstant, instantAt, instantSchema, millisecondsOf, type Instant } from './instant';
export { doneDay, isBeforeAllHair } from './doneDay';
export { expectedExcess, normalCdf, normalDensity, Z90 } from './normal';
export { clamp, mean, rounded, saturating, sum } from './numbers';
export { joinedByPrecision } from './precision';
export { failed, failedBySchema, invariant, ok, type Problem, type Result } from './result';
export { Stopped, TookTooLong } from './unanswered';
export { unitWord } from './unitWord';
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
export {
  fromShown,
  inShown,
  lengthText,
  massText,
  SHOWN_UNITS,
  shownUnits,
  showUnits,
  unitShown,
  type Measure,
} from './shownUnits';
