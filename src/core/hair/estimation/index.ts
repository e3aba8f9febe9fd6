export { amountFactor, sessionDose } from './dose';
export { estimateHair } from './estimate';
export type { LevelModel, LevelStep } from './filterRun';
export { estimateLevel } from './levelEstimate';
