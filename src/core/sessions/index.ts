export { sessionSchema, type Session } from './session';
export { firstUses, firstUsesTogether, type FirstUse } from './firstUses';
export { FELT, SECTIONS, washStepSchema, type Felt, type Phase, type WashStep } from './washStep';
export {
  lateMinutes,
  quietSince,
  runState,
  washRunSchema,
  withEvent,
  type DayTreatment,
  type RunEvent,
  type RunState,
  type StepState,
  type TimerState,
  type WashRun,
} from './washRun';
export {
  learnedWashMinutes,
  stepsDone,
  washDaySchema,
  wornIn,
  type Rating,
  type WashDay,
  type WashDayStep,
  type Worn,
} from './washDay';
