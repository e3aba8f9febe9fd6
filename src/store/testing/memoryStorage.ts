import { makeStore, startPersistence } from '..';
import { browserStorage, type RecordStorage } from '../recordStorage';

/** A storage in memory with the interface of the real one, and switches to break it. */
export function memoryStorage(entries = new Map<string, string>()) {
  const storage = {
    failWith: null as string | null,
    entries,
    getAllKeys: async () => [...entries.keys()],
    removeMany: async (keys: string[]) => keys.forEach((key) => entries.delete(key)),
    getItem: async (key: string) => entries.get(key) ?? null,
    getMany: async (keys: string[]) => Object.fromEntries(keys.map((key) => [key, entries.get(key) ?? null])),
    setItem: async (key: string, value: string) => storage.setMany({ [key]: value }),
    setMany: async (values: Record<string, string>) => {
      if (storage.failWith) throw new Error(storage.failWith);
      for (const [key, value] of Object.entries(values)) entries.set(key, value);
    },
  };
  return storage;
}

export type Memory = ReturnType<typeof memoryStorage>;
/** @param forget lets go of a connection that was closed */
export const over = (memory: Memory, forget: () => void = () => undefined): RecordStorage =>
  browserStorage(memory as unknown as Parameters<typeof browserStorage>[0], forget);

/** A page that is opened on this store. @param ended is given what ends it */
export async function opened(memory: Memory, ended: (() => void)[]) {
  const storage = over(memory);
  const store = makeStore(storage);
  ended.push(await startPersistence(store, storage));
  return store;
}

export const settle = () => new Promise((resolve) => setTimeout(resolve, 0));
