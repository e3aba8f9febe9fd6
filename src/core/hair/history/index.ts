export { batchUses, gramsUsed, keyOfUse, type BatchUse } from './batchUses';
export { firstUses, firstUsesTogether, type FirstUse } from './firstUses';
export { EMPTY_HISTORY, type HeadHistory } from './history';
export { headsIn, historyFrom, historyOf, larderOf, recordsFor, withInner } from './selectHistory';
export { learnedWashMinutes, stepsDone, wornIn, type Worn } from './washDay';
export {
  washRunSchema,
  type DayTreatment,
  type Noted,
  type RunEvent,
  type RunState,
  type StepState,
  type TimerState,
  type WashRun,
} from './washRun';
