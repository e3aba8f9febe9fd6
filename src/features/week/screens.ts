/** The rooms beside the week in one file, fetched together. */
export { DaysScreen } from './DaysScreen';
export { RulesScreen } from './RulesScreen';
export { TryScreen } from './TryScreen';
export { WeekScreen } from './WeekScreen';
