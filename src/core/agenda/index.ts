export { calendarExportSchema, type CalendarEntry, type CalendarExport } from './calendarExport';
export {
  CHALLENGE_COUNTS,
  challengeSchema,
  challengeState,
  type Challenge,
  type ChallengeCounts,
  type ChallengeState,
  type ChallengeWeek,
} from './challenge';
export { decisionSchema, SLOTS, type Decision, type Slot } from './decision';
export { isOn, OCCASIONS, occasionSchema, occasionsOf, type Occasion, type OccasionKind } from './occasion';
export {
  choicesOf,
  LEANING_MOST,
  LEANINGS,
  PLAN_SCHOOLS,
  planSettingsSchema,
  USUAL_CHOICES,
  type Leaning,
  type PlanChoices,
  type PlanSettings,
} from './planSettings';
