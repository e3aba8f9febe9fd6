export { airAdvice, forecastSchema, type AirDay } from './air';
export { FLAT_FROM, isMostlyGuess, LIKELY_FROM } from './certainty';
export { amountFactor, sessionDose } from './dose';
export { expectedMaskGrams, hairMassGrams, hairMassReason, meanLengthCm } from './hairMass';
export {
  type ForecastsHeld,
  type HeldForecast,
  NEEDS,
  type ComplaintAnswer,
  type DatedEstimate,
  type DatedMeasurement,
  type Entangled,
  type Estimate,
  type EventResponse,
  type HairState,
  type ZoneProbabilities,
  type Need,
  type NeedKind,
  type NeedProbabilities,
  type NextReading,
  type Response,
  type SignalState,
} from './hairState';
export { zoneProbabilities } from './comfortZone';
export { lastingDays, type Lasting } from './lasting';
export { ownVerdict, ownVerdictWords, type OwnVerdict } from './ownVerdict';
export { placeInWords } from './placeInWords';
export {
  EVENT_EFFECTS,
  EVENT_SPREAD,
  EVENT_STAYS,
  comfortZoneOf,
  oldHairShare,
  priorEffect,
  shownValue,
  SIGNALS,
  startingLevel,
  type ComfortZone,
  type SignalModel,
} from './signals';
