export {
  type Bound,
  type Constraint,
  type Programme,
  type Solution,
  type SolveOptions,
  type SolveProgress,
  type SolveProgramme,
  type Terms,
} from './programme';
export { solverFrom } from './solverFrom';
