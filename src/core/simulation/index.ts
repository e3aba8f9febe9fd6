export { demoRecords } from './demoData';
export { VirtualHead, type VirtualHeadOptions } from './virtualHead';
export {
  AS_FEARED,
  AS_PROMISED,
  calibrated,
  type CalibrationRow,
  type CalibrationSetting,
} from './calibration';
export { fiveYears } from './fiveYears';
