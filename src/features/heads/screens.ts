/** The screens of the heads in one file, fetched together. */
export { CountsScreen } from './CountsScreen';
export { NewPersonScreen } from './NewPersonScreen';
export { HeadScreen } from './HeadScreen';
export { HeadsScreen } from './HeadsScreen';
export { FirstRecipesScreen } from './FirstRecipesScreen';
export { SchoolsScreen } from './SchoolsScreen';
export { SettingsScreen } from './SettingsScreen';
export { RegularsScreen } from './RegularsScreen';
export { UnknownScreen } from './UnknownScreen';
