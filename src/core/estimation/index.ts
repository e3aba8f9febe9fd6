export { estimateHair } from './estimate';
export { estimateLevel } from './levelEstimate';
export type { LevelModel, LevelStep } from './filterRun';
