export { CAUTIONS, cautionSchema, cautionsFor, type Caution, type WhoseHead } from './cautions';
export { firstUse, patchTestOf, patchTestSchema, type FirstUse, type PatchTest } from './patchTest';
