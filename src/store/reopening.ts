import type { AsyncStorage } from '@react-native-async-storage/async-storage';
import { storageProblemIn } from './storageProblem';

type Method = keyof AsyncStorage;
const METHODS: readonly Method[] = [
  'getItem',
  'setItem',
  'removeItem',
  'getMany',
  'setMany',
  'removeMany',
  'getAllKeys',
  'clear',
];

/**
 * The same storage, that opens its database again where the browser has closed it (a cleared site, a sleeping device, a
 * crash of its storage process) and asks once more.
 * @param forget lets go of the connection that is closed, so that the next question opens another
 * @param onReopened told each time it worked: what was stored may be gone
 */
export function reopening(
  storage: AsyncStorage,
  forget: () => void,
  onReopened: () => void = () => undefined,
): AsyncStorage {
  const again = Object.fromEntries(
    METHODS.map((method) => [
      method,
      async (...asked: readonly unknown[]) => {
        const ask = storage[method].bind(storage) as (...asked: readonly unknown[]) => Promise<unknown>;
        try {
          return await ask(...asked);
        } catch (error) {
          if (storageProblemIn(error) !== 'closed') throw error;
          forget();
          const answer = await ask(...asked);
          onReopened();
          return answer;
        }
      },
    ]),
  );
  return again as unknown as AsyncStorage;
}
