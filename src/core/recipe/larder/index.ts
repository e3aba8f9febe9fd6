export { compareLines, type ComparedPart } from './compare';
export { CATALOGUE_LARDER, makeLarder, type Larder } from './larder';
export { MADE_GRAMS_PER_ML } from './limits';
export {
  guessedLines,
  readLines,
  unreadLines,
  unreadShare,
  type Alternative,
  type Assumption,
  type Fate,
  type MadeRef,
  type NamedOnly,
  type ParsedLine,
  type ParsedRecipe,
  type ReadLine,
  type Span,
  type Stretch,
  type ToldStep,
  type ToldUse,
  type UnreadLine,
} from './parsedLine';
export { savedLine } from './savedLine';
export { isUnnamed, UNNAMED, type Unnamed } from './unnamed';
export { newestVersions, usedVersion, usesOf } from './versions';
export {
  checkNoCycle,
  failedDepth,
  partGrams,
  remainingGrams,
  surviving,
  usualLine,
  weighedLines,
  type WeighedLine,
} from './weighedLine';
