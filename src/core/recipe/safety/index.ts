export { CAUTIONS, cautionsFor, isChild, type Caution, type WhoseHead } from './cautions';
export { dosesBeyondUse, type Dose } from './doses';
export { judge, judgeWeighed, type Judgement } from './judge';
export {
  daysText,
  firstUsePermit,
  patchTestOf,
  patchTestState,
  type FirstUsePermit,
  type PatchTestState,
} from './patchTest';
