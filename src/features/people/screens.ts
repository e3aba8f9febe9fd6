/** The screens of *People* in one file, fetched together. */
export { CountsScreen } from './CountsScreen';
export { NewPersonScreen } from './NewPersonScreen';
export { PersonScreen } from './PersonScreen';
export { PeopleScreen } from './PeopleScreen';
export { FirstRecipesScreen } from './FirstRecipesScreen';
export { OpinionsScreen } from './OpinionsScreen';
export { SettingsScreen } from './SettingsScreen';
export { RegularsScreen } from './RegularsScreen';
export { UnknownScreen } from './UnknownScreen';
