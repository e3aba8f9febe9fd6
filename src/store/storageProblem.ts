import { t } from '@lingui/core/macro';

/** What can go wrong with a browser's storage, and what to do about each. */
const WORDS = {
  full: () =>
    t`The browser has no room left to save. Export everything now, then free some space and try again.`,
  blocked: () =>
    t`The browser does not let this page save. What you enter stays only while the page is open: export it before you leave.`,
  newer: () =>
    t`What is stored here was written by a newer version of this application. Close its other tabs and reload this page; until then nothing can be saved.`,
  lost: () =>
    t`What this browser had stored was deleted, here or in another tab. Everything is still on this page: try again to store all of it once more, or export it.`,
  closed: () =>
    t`The browser closed its storage and it could not be opened again. Nothing on this page is lost: try again, or export everything to be safe.`,
} as const;
export type StorageProblem = keyof typeof WORDS;

/** How the browsers word it; the names of their errors are lost on the way through the storage package. */
const SIGNS: readonly (readonly [StorageProblem, RegExp])[] = [
  ['full', /quota|full|disk|no space|out of (?:space|storage)/i],
  ['newer', /versionerror|less than the existing version|newer version/i],
  ['closed', /clos(?:ing|ed)|connection|invalidstate|not in the right state|database.*(?:deleted|gone)/i],
  ['blocked', /securityerror|denied|not allowed|insecure|private brows|mutation operations/i],
];

/** @returns null where the message tells nothing */
export function storageProblemIn(error: unknown): StorageProblem | null {
  const { name = '', message = '' } = (error ?? {}) as Partial<Error>;
  const text = `${name} ${typeof error === 'string' ? error : message}`;
  return SIGNS.find(([, sign]) => sign.test(text))?.[0] ?? null;
}

/** Share of the room above which a failure without a reason is put down to a full store (working assumption). */
const NEARLY_FULL = 0.95;

/** Whether the browser says that the page has used up its room. */
async function isNearlyFull(): Promise<boolean> {
  try {
    const { usage = 0, quota = 0 } = (await globalThis.navigator?.storage?.estimate?.()) ?? {};
    return quota > 0 && usage / quota > NEARLY_FULL;
  } catch {
    return false;
  }
}

export const wordsOf = (problem: StorageProblem): string => WORDS[problem]();

/**
 * Why something could not be stored, and what to do. A transaction that is broken off for want of room says nothing at all in
 * some browsers: no message, then, is taken for that.
 */
export async function saveMessage(error: unknown): Promise<string> {
  const known = storageProblemIn(error);
  if (known) return wordsOf(known);
  const text = String((error as Error | undefined)?.message ?? error ?? '').trim();
  if (text === '' || (await isNearlyFull())) return wordsOf('full');
  return t`Saving failed (${text}). Export everything to be safe, then try again.`;
}
