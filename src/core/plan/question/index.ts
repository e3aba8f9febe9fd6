export {
  answerOf,
  problemOf,
  type HairQuestion,
  type HeadOfPlan,
  type PlanAnswer,
  type PlanQuestion,
  type ShelfNote,
} from './planAnswer';
export { decidedProblem, planProblemFrom, type HeadToPlan } from './planQuestion';
export { todayAnswer, type CheckToTake, type TodayAnswer, type TodayChoice } from './todayAnswer';
