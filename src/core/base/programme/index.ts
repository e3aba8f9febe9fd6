export type {
  Bound,
  Constraint,
  Programme,
  Solution,
  SolveOptions,
  SolveProgramme,
  SolveProgress,
  Terms,
} from './programme';
export { solverFrom } from './solverFrom';
