import { createAsyncStorage, type AsyncStorage } from '@react-native-async-storage/async-storage';
import { packRecord, unpackRecord, type StoredRecord } from '@/core/exchange';

const DATABASE = 'velvet-rhythm';
const RECORD_PREFIX = 'record/';
/** Small things beside the records, one entry each, overwritten as they change. */
export type KeptKey = 'prefs' | 'making' | 'underway' | 'agreed' | 'wash';
/** Entries that are read and checked before the page may breathe again: some milliseconds' work. */
const CHUNK = 400;

export interface LoadedRecords {
  readonly records: readonly StoredRecord[];
  /** Entries that could not be read; they stay where they are. */
  readonly damaged: number;
}

/**
 * The browser's storage: one entry a record. Records are append-only, so an entry is written once and never
 * overwritten; a write that fails touches nothing that was saved before, and two tabs cannot undo each other.
 */
export interface RecordStorage {
  loadRecords(): Promise<LoadedRecords>;
  append(records: readonly StoredRecord[]): Promise<void>;
  /** Takes entries out for good: only pictures that were taken back. */
  erase(ids: readonly string[]): Promise<void>;
  loadKept(key: KeptKey): Promise<string | null>;
  saveKept(key: KeptKey, text: string): Promise<void>;
  /** Calls back with records that another tab has written. @returns a function that ends it */
  onOtherTab(listener: (records: readonly StoredRecord[]) => void): () => void;
}

export function browserStorage(storage: AsyncStorage = createAsyncStorage(DATABASE)): RecordStorage {
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(DATABASE);

  async function read(keys: string[]): Promise<LoadedRecords> {
    const records: StoredRecord[] = [];
    for (let start = 0; start < keys.length; start += CHUNK) {
      const entries = Object.values(await storage.getMany(keys.slice(start, start + CHUNK)));
      for (const text of entries) {
        const unpacked = unpackRecord(text ?? '');
        if (unpacked.ok) records.push(unpacked.value);
      }
    }
    return { records, damaged: keys.length - records.length };
  }

  return {
    async loadRecords() {
      const keys = await storage.getAllKeys();
      return read(keys.filter((key) => key.startsWith(RECORD_PREFIX)));
    },
    async append(records) {
      const entries = Object.fromEntries(
        records.map((record) => [RECORD_PREFIX + record.id, packRecord(record)]),
      );
      await storage.setMany(entries);
      channel?.postMessage(Object.keys(entries));
    },
    erase: (ids) => storage.removeMany(ids.map((id) => RECORD_PREFIX + id)),
    loadKept: (key) => storage.getItem(key),
    saveKept: (key, text) => storage.setItem(key, text),
    onOtherTab(listener) {
      const receive = (event: MessageEvent<unknown>) => {
        const keys = Array.isArray(event.data)
          ? event.data.filter((key): key is string => typeof key === 'string')
          : [];
        void read(keys).then(({ records }) => listener(records));
      };
      channel?.addEventListener('message', receive);
      return () => channel?.removeEventListener('message', receive);
    },
  };
}
