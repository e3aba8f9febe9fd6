/**
 * Every screen but Today and the plan in one file, fetched when the first of them is opened. What two files share comes with
 * the first screen of the application, so that many small files would make that one heavy.
 */
export { BenchScreen, CompareScreen, MakeScreen, RecipeEditor, RecipeScreen } from './bench/screens';
export { FirstRecipesScreen, HeadEditor, HeadScreen, HeadsScreen } from './heads/screens';
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
