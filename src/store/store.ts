import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { agreedSlice } from './agreedSlice';
import { draftsSlice } from './draftsSlice';
import { makingSlice } from './makingSlice';
import { persistenceMiddleware } from './persistence';
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
  wash: washSlice.reducer,
});

export function makeStore(storage: RecordStorage) {
  return configureStore({
    reducer,
    middleware: (defaults) =>
      // The development checks walk all records at each action; with years of them that is seconds.
      defaults({
        serializableCheck: false,
        immutableCheck: false,
        thunk: { extraArgument: storage },
      }).prepend(persistenceMiddleware(storage)),
  });
}

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<typeof reducer>;
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppStore = useStore.withTypes<AppStore>();
