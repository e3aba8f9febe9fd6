import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { dayOfDate, showUnits } from '@/core/base/measures';
import { agreedSlice } from './agreedSlice';
import { answeringMiddleware, type Answerer } from './answering';
import { draftsSlice } from './draftsSlice';
import { dayBegan, hairSlice, searchSlice } from './hairSlice';
import { makingSlice } from './makingSlice';
import { persistenceMiddleware } from './persistence';
import { personSlice } from './personSlice';
import { prefsSlice } from './prefsSlice';
import { recordsSlice } from './recordsSlice';
import type { RecordStorage } from './recordStorage';
import { underwaySlice } from './underwaySlice';
import { undoSlice } from './undoSlice';
import { washSlice } from './washSlice';

const reducer = combineReducers({
  records: recordsSlice.reducer,
  prefs: prefsSlice.reducer,
  undo: undoSlice.reducer,
  making: makingSlice.reducer,
  underway: underwaySlice.reducer,
  agreed: agreedSlice.reducer,
  drafts: draftsSlice.reducer,
  person: personSlice.reducer,
  wash: washSlice.reducer,
  hair: hairSlice.reducer,
  search: searchSlice.reducer,
});

const unanswered = () => new Promise<never>(() => undefined);
/** Computes nothing: for a store whose states and plans nobody asks for. */
const NOBODY: Answerer = {
  estimate: unanswered,
  firstPlan: unanswered,
  plan: unanswered,
  stopPlan: () => undefined,
};

/**
 * @param answerer who computes states and plans
 * @param today in the person's zone
 */
export function makeStore(
  storage: RecordStorage,
  answerer: Answerer = NOBODY,
  today = dayOfDate(new Date()),
) {
  const store = configureStore({
    reducer,
    middleware: (defaults) =>
      // The development checks walk all records at each action; with years of them that is seconds.
      defaults({
        serializableCheck: false,
        immutableCheck: false,
        thunk: { extraArgument: storage },
      }).prepend(persistenceMiddleware(storage), answeringMiddleware(answerer)),
  });
  // Texts are made in these units from the moment on at which they are chosen, before anything is drawn again.
  store.subscribe(() => showUnits(store.getState().prefs.units));
  store.dispatch(dayBegan(today));
  return store;
}

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<typeof reducer>;
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppStore = useStore.withTypes<AppStore>();
