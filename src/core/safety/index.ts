export { CAUTIONS, cautionSchema, cautionsFor, isChild, type Caution, type WhoseHead } from './cautions';
export { judge, judgeWeighed, type Judgement } from './judge';
export {
  daysText,
  firstUse,
  patchTestOf,
  patchTestState,
  patchTestSchema,
  type FirstUse,
  type PatchTest,
  type PatchTestState,
} from './patchTest';
