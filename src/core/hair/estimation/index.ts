export { amountFactor, sessionDose } from './dose';
export { estimateHair } from './estimate';
