import type { StoredRecord } from './backup';

export interface Merge {
  /** Records that are not here yet. */
  readonly added: readonly StoredRecord[];
  /** Records that are here already, word for word. */
  readonly same: number;
  /** Ids that are here with other contents; what is here stays. */
  readonly differing: readonly string[];
}

/** The same text for the same content, whatever the order of the keys. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_, part: unknown) =>
    part !== null && typeof part === 'object' && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  );
}

/** What reading `incoming` in would add to `here`. Records are append-only, so a union is all there is to merging. */
export function mergeRecords(here: readonly StoredRecord[], incoming: readonly StoredRecord[]): Merge {
  const known = new Map(here.map((record) => [record.id, record]));
  const added: StoredRecord[] = [];
  const differing: string[] = [];
  let same = 0;
  for (const record of incoming) {
    const old = known.get(record.id);
    if (!old) added.push(record);
    else if (canonical(old) === canonical(record)) same++;
    else differing.push(record.id);
  }
  return { added, same, differing };
}
