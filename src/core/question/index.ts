export { planProblemFrom, type HeadToPlan } from './planQuestion';
export {
  answerOf,
  problemOf,
  type HairQuestion,
  type HeadOfPlan,
  type PlanAnswer,
  type PlanQuestion,
  type ShelfNote,
} from './planAnswer';
