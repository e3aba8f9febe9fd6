/**
 * Every screen but Today and the plan in one file, fetched when the first of them is opened. What two files share comes with
 * the first screen of the application, so that many small files would make that one heavy.
 */
export {
  BenchScreen,
  CardScreen,
  CompareScreen,
  MakeScreen,
  RecipeEditor,
  RecipeScreen,
} from './bench/screens';
export {
  FirstRecipesScreen,
  HeadEditor,
  HeadScreen,
  HeadsScreen,
  SchoolsScreen,
  SettingsScreen,
} from './heads/screens';
export { KeepingScreen } from './keeping/screens';
export { KeyHelp, Palette } from './keys/screens';
export { IngredientScreen, OwnIngredientScreen, PantryScreen } from './pantry/screens';
export { WashBar, WashScreen } from './session/screens';
export { LabelScreen, ShelfScreen } from './shelf/screens';
export {
  EventScreen,
  FeelScreen,
  LengthScreen,
  LogScreen,
  PhotoScreen,
  PorosityScreen,
  ReadingScreen,
  ReportScreen,
  StrandScreen,
  StretchScreen,
  TakeScreen,
  TallyScreen,
  TreatmentScreen,
  TrialScreen,
  TrialsScreen,
  NewTrialScreen,
  WorksScreen,
} from './strand/screens';
export { DaysScreen, RulesScreen, TryScreen } from './week/screens';
