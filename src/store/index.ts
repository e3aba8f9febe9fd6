export { browserStorage, type RecordStorage } from './recordStorage';
export { startPersistence } from './persistence';
export { headChosen, selectPrefs, themeChosen, type Prefs } from './prefsSlice';
export {
  recordsAdded,
  saveRetried,
  selectAllRecords,
  selectDamaged,
  selectHeads,
  selectLiveRecords,
  selectProblem,
  selectRecipes,
  selectStatus,
  selectUnsaved,
} from './recordsSlice';
export { selectUndo, undoClosed, undoOffered } from './undoSlice';
export { makeStore, useAppDispatch, useAppSelector, type AppStore, type RootState } from './store';
