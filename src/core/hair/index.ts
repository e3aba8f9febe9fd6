export { ALLERGIES, headSchema, newestHeads, type Allergy, type Head } from './head';
export { estimateHair } from './estimate';
export type {
  DatedEstimate,
  DatedMeasurement,
  Estimate,
  HairState,
  LaneProbabilities,
  Need,
  NeedKind,
  NeedProbabilities,
  NextReading,
  EventResponse,
  Entangled,
  Response,
  SignalState,
} from './hairState';
export { laneProbabilities } from './need';
export { estimateLevel, type LevelEstimate } from './levelEstimate';
export type { LevelModel, LevelStep } from './filterRun';

export { expectedExcess, normalCdf, Z90 } from './normal';
export {
  EVENT_EFFECTS,
  priorEffect,
  shownValue,
  SIGNALS,
  startingLevel,
  type Lane,
  type SignalModel,
} from './signals';
export { ownVerdict, ownVerdictWords, type OwnVerdict } from './ownVerdict';
export type { HeadHistory } from './timeline';
export { expectedMaskGrams, hairMassGrams, hairMassReason, MASK_PER_HAIR } from './hairMass';
export { lastingDays, type Lasting } from './lasting';
export { NEEDS } from './hairState';
