import { createAsyncStorage, type AsyncStorage } from '@react-native-async-storage/async-storage';
import connections from 'async-storage-connections';
import { z } from 'zod';
import { copyListSchema, packRecord, unpackRecord, type Copy } from '@/core/records/files';
import type { StoredRecord } from '@/core/records/shapes';
import { DATABASE, PREFS_KEY, RECORD_PREFIX } from './database';
import { reopening } from './reopening';

/** Texts of entries that could not be read, put aside when a copy takes their place. */
const DAMAGED_PREFIX = 'damaged/';
const COPY_PREFIX = 'copy/';
const COPY_LIST = 'copies';
/** Keys that a replacement has still to take out; there only while one is under way. */
const LEAVING = 'leaving';
/** Small things beside the records, one entry each, overwritten as they change. */
const KEPT_KEYS = [PREFS_KEY, 'making', 'underway', 'agreed', 'wash', 'drafts', 'person'] as const;
export type KeptKey = (typeof KEPT_KEYS)[number];
/** Entries that are read and checked before the page may breathe again: some milliseconds' work. */
const CHUNK = 400;

export interface LoadedRecords {
  readonly records: readonly StoredRecord[];
  /** Ids of entries that could not be read; they stay where they are. */
  readonly damaged: readonly string[];
  /** How many a newer version of the application has written; they stay where they are, too. */
  readonly newer: number;
}

/** What another tab has done. */
export type OtherTab =
  | { readonly what: 'records'; readonly records: readonly StoredRecord[] }
  | { readonly what: 'kept'; readonly key: KeptKey }
  /** All records were replaced, or deleted: what is in memory here is of no use any more. */
  | { readonly what: 'anew' };

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
  /**
   * Writes an entry beside the records.
   * @param textAfter what to write, from what stands there: another tab may have written since it was read here
   */
  saveKept(key: KeptKey, textAfter: (stored: string | null) => string): Promise<void>;
  /** Whether the browser had closed the database since the last time this was asked. */
  wasReopened(): boolean;
  /** How many records are stored, read or not. */
  countRecords(): Promise<number>;
  /** Calls back with what another tab has done. @returns a function that ends it */
  onOtherTab(listener: (news: OtherTab) => void): () => void;
  /** These records and no others. What was there stays whole until all of them are written. */
  replaceRecords(records: readonly StoredRecord[]): Promise<void>;
  /** Writes records over entries that could not be read; the unreadable texts are put aside. */
  heal(records: readonly StoredRecord[]): Promise<void>;
  /** Copies that are kept beside the records, oldest first. */
  copies(): Promise<readonly Copy[]>;
  /** Keeps a copy, and lets those go that are named. */
  keepCopy(
    copy: Omit<Copy, 'characters'>,
    records: readonly StoredRecord[],
    drop: readonly string[],
  ): Promise<void>;
  /** The records of a copy; what cannot be read of it is left out. */
  copied(id: string): Promise<readonly StoredRecord[]>;
  /** Everything that this application has stored here is gone. */
  deleteAll(): Promise<void>;
}

/** What tabs tell one another. */
const messageSchema = z.union([
  z.strictObject({ what: z.literal('records'), keys: z.array(z.string()) }),
  z.strictObject({ what: z.literal('kept'), key: z.enum(KEPT_KEYS) }),
  z.strictObject({ what: z.literal('anew') }),
]);
type Message = z.infer<typeof messageSchema>;

/** One tab at a time, where the browser can see to that (it does so over HTTPS and on localhost). */
function alone<T>(work: () => Promise<T>): Promise<T> {
  const locks = globalThis.navigator?.locks;
  return locks ? locks.request(`${DATABASE}/kept`, work) : work();
}

/** So that a page with years of records can breathe between two chunks. */
const breath = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

export function browserStorage(
  database: AsyncStorage = createAsyncStorage(DATABASE),
  forget: () => void = () => connections.registry.delete(DATABASE),
): RecordStorage {
  let reopened = false;
  const storage = reopening(database, forget, () => (reopened = true));
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(DATABASE);

  const tell = (message: Message) => channel?.postMessage(message);
  const keyOf = (id: string) => RECORD_PREFIX + id;
  const entriesOf = (records: readonly StoredRecord[]) =>
    Object.fromEntries(records.map((record) => [keyOf(record.id), packRecord(record)]));
  const recordKeys = async () => (await storage.getAllKeys()).filter((key) => key.startsWith(RECORD_PREFIX));

  async function read(keys: readonly string[]): Promise<LoadedRecords> {
    const records: StoredRecord[] = [];
    const damaged: string[] = [];
    let newer = 0;
    for (let start = 0; start < keys.length; start += CHUNK) {
      const entries = await storage.getMany(keys.slice(start, start + CHUNK));
      for (const [key, text] of Object.entries(entries)) {
        const unpacked = unpackRecord(text ?? '');
        if (unpacked.ok) records.push(unpacked.value);
        else if (unpacked.problems[0].code === 'newer-version') newer++;
        else damaged.push(key.slice(RECORD_PREFIX.length));
      }
    }
    return { records, damaged, newer };
  }

  /** Takes out what a replacement left behind. */
  async function finishLeaving(): Promise<void> {
    const leaving = parsedOr<unknown>(await storage.getItem(LEAVING), null);
    if (!Array.isArray(leaving)) return;
    await storage.removeMany([...leaving.filter((key) => typeof key === 'string'), LEAVING]);
  }

  async function copies(): Promise<readonly Copy[]> {
    const listed = copyListSchema.safeParse(parsedOr<unknown>(await storage.getItem(COPY_LIST), []));
    return listed.success ? listed.data : [];
  }

  return {
    async loadRecords() {
      await finishLeaving();
      return read(await recordKeys());
    },
    async append(records) {
      const entries = entriesOf(records);
      await storage.setMany(entries);
      tell({ what: 'records', keys: Object.keys(entries) });
    },
    erase: (ids) => storage.removeMany(ids.map(keyOf)),
    loadKept: (key) => storage.getItem(key),
    async saveKept(key, textAfter) {
      await alone(async () => storage.setItem(key, textAfter(await storage.getItem(key))));
      tell({ what: 'kept', key });
    },
    wasReopened() {
      const was = reopened;
      reopened = false;
      return was;
    },
    countRecords: async () => (await recordKeys()).length,
    onOtherTab(listener) {
      const receive = (event: MessageEvent<unknown>) => {
        const message = messageSchema.safeParse(event.data);
        if (!message.success) return;
        const { data } = message;
        if (data.what === 'records')
          void read(data.keys).then(({ records }) => listener({ what: 'records', records }));
        else listener(data);
      };
      channel?.addEventListener('message', receive);
      return () => channel?.removeEventListener('message', receive);
    },
    async replaceRecords(records) {
      const entries = entriesOf(records);
      const leaving = (await recordKeys()).filter((key) => !Object.hasOwn(entries, key));
      // One transaction: either all of the new ones are there and what has to go is known, or nothing has changed.
      await storage.setMany({ ...entries, [LEAVING]: JSON.stringify(leaving) });
      await finishLeaving();
      tell({ what: 'anew' });
    },
    async heal(records) {
      const keys = records.map(({ id }) => keyOf(id));
      const texts = await storage.getMany(keys);
      const aside = Object.entries(texts).map(([key, text]) => [DAMAGED_PREFIX + key, text ?? '']);
      await storage.setMany({ ...Object.fromEntries(aside), ...entriesOf(records) });
    },
    copies,
    async keepCopy(copy, records, drop) {
      const texts: string[] = [];
      for (const [index, record] of records.entries()) {
        if (index % CHUNK === 0) await breath();
        texts.push(packRecord(record));
      }
      const text = texts.join('\n');
      const kept = (await copies()).filter(({ id }) => !drop.includes(id));
      const list = [...kept, { ...copy, characters: text.length }];
      await storage.setMany({ [COPY_PREFIX + copy.id]: text, [COPY_LIST]: JSON.stringify(list) });
      if (drop.length > 0) await storage.removeMany(drop.map((id) => COPY_PREFIX + id));
    },
    async copied(id) {
      const text = (await storage.getItem(COPY_PREFIX + id)) ?? '';
      const records: StoredRecord[] = [];
      for (const [index, line] of text.split('\n').entries()) {
        if (index % CHUNK === 0) await breath();
        const unpacked = unpackRecord(line);
        if (unpacked.ok) records.push(unpacked.value);
      }
      return records;
    },
    async deleteAll() {
      await storage.removeMany(await storage.getAllKeys());
      tell({ what: 'anew' });
    },
  };
}

function parsedOr<T>(text: string | null, otherwise: T): unknown {
  try {
    return text === null ? otherwise : JSON.parse(text);
  } catch {
    return otherwise;
  }
}
