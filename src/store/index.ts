export { browserStorage, type RecordStorage } from './recordStorage';
export { startPersistence } from './persistence';
export {
  allDone,
  lineWeighed,
  makingEnded,
  makingStarted,
  selectMaking,
  stepDone,
  waterAdded,
  type MakingRun,
} from './makingSlice';
export { personKept, selectNewPerson, type HeadDraft } from './personSlice';
export { draftDropped, draftKept, NEW_RECIPE, selectDrafts, type RecipeDraft } from './draftsSlice';
export { planNoteSeen, selectAgreed } from './agreedSlice';
export type { Answerer } from './answering';
export {
  answerWanted,
  dayBegan,
  languageSpoken,
  searchedOn,
  selectAnswer,
  selectFailure,
  selectHairState,
  selectKnownStates,
  selectHead,
  selectPending,
  selectSearch,
  selectTaken,
  selectToday,
  USUAL_WEEKS,
  weeksLookedAt,
  type HeadAnswer,
} from './hairSlice';
export {
  headChosen,
  prefsChanged,
  selectOwnMeasures,
  selectPrefs,
  TEXT_SIZES,
  WEEK_START_DAYS,
  WEEK_STARTS,
  type Prefs,
  LOUDNESSES,
  type Loudness,
} from './prefsSlice';
export {
  dryingStarted,
  selectUnderway,
  strandDropped,
  strandTaken,
  tapped,
  underwayEnded,
  untapped,
  type Underway,
} from './underwaySlice';
export {
  recordsAdded,
  recordsTaken,
  saveRetried,
  selectAllRecords,
  selectDamaged,
  selectHeads,
  selectHealed,
  selectHistory,
  selectLarder,
  selectLarderContents,
  selectLiveRecords,
  selectNewer,
  selectOwnIngredients,
  selectPantry,
  selectProblem,
  selectRecipes,
  selectStatus,
  selectUnkept,
  selectUnsaved,
} from './recordsSlice';
export {
  copiesListed,
  copyKept,
  copyLookedAt,
  everythingDeleted,
  everythingReplaced,
  type LookedAt,
} from './safekeeping';
export { selectUndo, undoClosed, undoOffered } from './undoSlice';
export { selectWashRuns, washChanged, washClosed, washStarted } from './washSlice';
export {
  makeStore,
  useAppDispatch,
  useAppSelector,
  useAppStore,
  type AppStore,
  type RootState,
} from './store';
