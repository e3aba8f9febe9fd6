export {
  ALL,
  BALM,
  CREAM,
  FROM,
  GUMMY,
  KNOWN,
  LIGHT,
  problemOf,
  strands,
  STRONG,
  type Asked,
} from './planProblems';
export {
  parsedOf,
  STAMP,
  testBatch,
  testRhythm,
  testHead,
  testHistory,
  testOccasion,
  testReading,
  testRecipe,
  testSession,
  testStrand,
  testTally,
  testWashRun,
  testWashStep,
  valueOf,
  verdictOf,
  weighedOf,
} from './records';
export { modelRows } from './modelRows';
export { assignment, openProblem, RULE_CASES, settings } from './ruleCases';
