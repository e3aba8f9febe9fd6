export { CAUTIONS, cautionSchema, cautionsFor, type Caution, type WhoseHead } from './cautions';
export {
  firstUse,
  PATCH_TEST_DAYS,
  patchTestOf,
  patchTestSchema,
  type FirstUse,
  type PatchTest,
} from './patchTest';
