export {
  parsedOf,
  STAMP,
  testHead,
  testHistory,
  testReading,
  testRecipe,
  testSession,
  testStrand,
  testTally,
  valueOf,
  verdictOf,
  weighedOf,
} from './records';
export { ALL, BALM, CREAM, FROM, GUMMY, KNOWN, LIGHT, problemOf, strands, STRONG, type Asked } from './planProblems';
