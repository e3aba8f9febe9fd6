export { planProblemFrom, type HeadToPlan } from './planQuestion';
