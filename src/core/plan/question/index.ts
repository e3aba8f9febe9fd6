export {
  answerOf,
  problemOf,
  type HairQuestion,
  type HeadOfPlan,
  type PlanAnswer,
  type PlanQuestion,
  type ShelfNote,
} from './planAnswer';
export { planProblemFrom, type HeadToPlan } from './planQuestion';
