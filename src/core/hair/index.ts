export {
  ALLERGIES,
  AGE_BANDS,
  CHEMISTRY,
  HEALTH,
  headSchema,
  newestHeads,
  type Allergy,
  type Head,
} from './head';
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
export { laneProbabilities } from './lane';

export { expectedExcess, normalCdf, normalDensity, Z90 } from './normal';
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
export { EMPTY_HISTORY, type HeadHistory } from './history';
export { expectedMaskGrams, hairMassGrams, hairMassReason, MASK_PER_HAIR } from './hairMass';
export { airAdvice, forecastSchema, type AirDay } from './air';
export { placeInWords } from './placeInWords';
export { lastingDays, type Lasting } from './lasting';
export { NEEDS } from './hairState';
