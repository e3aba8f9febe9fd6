/**
 * Every screen but Today in one file, fetched when the first of them is opened, and what computes where no worker can start. What two files share comes with
 * the first screen of the application, so that many small files would make that one heavy.
 */
export {
  BenchScreen,
  CardScreen,
  CompareScreen,
  MakeScreen,
  RecipeEditor,
  RecipeScreen,
} from './features/bench/screens';
export {
  FirstRecipesScreen,
  HeadEditor,
  HeadScreen,
  HeadsScreen,
  SchoolsScreen,
  SettingsScreen,
} from './features/heads/screens';
export { KeepingScreen } from './features/keeping/screens';
export { KeyHelp, Palette } from './features/keys/screens';
export { IngredientScreen, OwnIngredientScreen, PantryScreen } from './features/pantry/screens';
export { WashBar, WashScreen } from './features/session/screens';
export { LabelScreen, ShelfScreen } from './features/shelf/screens';
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
} from './features/strand/screens';
export { DaysScreen, RulesScreen, TryScreen, WeekScreen } from './features/week/screens';
export { estimatorApi } from './workers/estimating';
export { solverApi } from './workers/solving';
