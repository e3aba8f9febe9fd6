export { AS_FEARED, AS_PROMISED, calibrated } from './calibrated';
export { fiveYears } from './fiveYears';
