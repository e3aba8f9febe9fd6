export {
  CAUTIONS,
  cautionSchema,
  cautionsFor,
  isChild,
  stopsFor,
  type Caution,
  type WhoseHead,
} from './cautions';
export { judgedFor, type JudgedRecipe } from './judgedFor';
export { firstUse, patchTestOf, patchTestSchema, type FirstUse, type PatchTest } from './patchTest';
