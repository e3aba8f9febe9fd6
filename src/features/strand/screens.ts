/** The screens of the strand in one file, fetched together. */
export { EventScreen } from './EventScreen';
export { FeelScreen } from './FeelScreen';
export { LengthScreen } from './LengthScreen';
export { LogScreen } from './LogScreen';
export { PhotoScreen } from './PhotoScreen';
export { PorosityScreen } from './PorosityScreen';
export { ReadingScreen } from './ReadingScreen';
export { StrandScreen } from './StrandScreen';
export { StretchScreen } from './StretchScreen';
export { TakeScreen } from './TakeScreen';
export { TallyScreen } from './TallyScreen';
export { TrialScreen } from './TrialScreen';
export { TrialsScreen } from './TrialsScreen';
export { NewTrialScreen } from './NewTrialScreen';
export { WorksScreen } from './WorksScreen';
export { ReportScreen } from './ReportScreen';
export { TreatmentScreen } from './TreatmentScreen';
