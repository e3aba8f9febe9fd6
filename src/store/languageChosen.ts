import { PREFS_KEY } from './database';
import { prefsChanged, readPrefs, type Prefs } from './prefsSlice';
import type { RecordStorage } from './recordStorage';

/** Stores the choice at once: the page is opened anew in that language as soon as this has resolved. */
export const languageChosen =
  (language: Prefs['language']) =>
  async (
    dispatch: (action: { readonly type: string }) => unknown,
    _getState: () => unknown,
    storage: RecordStorage,
  ): Promise<void> => {
    dispatch(prefsChanged({ language }));
    // Where nothing can be stored the message of the store says so, and the page stays as it is.
    await storage.saveKept(PREFS_KEY, (stored) => JSON.stringify({ ...readPrefs(stored), language }));
  };
