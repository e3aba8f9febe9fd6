import { t } from '@lingui/core/macro';
import type { z } from 'zod';
import { listed } from '../../base/language';
import {
  calendarDaySchema,
  failedBySchema,
  idSchema,
  ok,
  type Problem,
  type Result,
} from '../../base/measures';
import { headsIn, larderOf } from '../../hair/history';
import type { Larder } from '../../recipe/larder';
import { sortedKeys } from '../../records/files';
import { liveRecords } from '../../records/log';
import { ofKind, type Head, type Reading, type Session, type StoredRecord } from '../../records/shapes';
import { cellProblem, firstProblems, readTable, writeTable, type TableRow } from './table';

/** What names in a table stand for. */
interface Names {
  readonly heads: readonly Head[];
  readonly larder: Larder;
}

/** How records of one kind are written as rows, and read from them. */
export interface RecordTable<R extends Reading | Session> {
  readonly kind: R['kind'];
  readonly schema: z.ZodType<R>;
  /** Beside `id`, `head` and `day`, which every table has. */
  readonly columns: readonly string[];
  readonly needed: readonly string[];
  /** The column in which a part of the record stands, by its path, where they are not called the same. */
  readonly columnOf: Readonly<Record<string, string>>;
  readonly cells: (record: R, names: Names) => readonly string[];
  readonly contents: (
    cell: TableRow['cell'],
    names: Names,
    row: number,
    /** The record that the row corrects. */
    known: R | undefined,
    /** For what somebody wrote in words. */
    text: TableRow['text'],
  ) => Result<Readonly<Record<string, unknown>>>;
}

/** What reading a table in would do. */
export interface TableImport {
  /** New records, and corrections of those that were changed in the table. */
  readonly records: readonly StoredRecord[];
  readonly added: number;
  readonly corrected: number;
  readonly same: number;
  /** Headings that mean nothing here. */
  readonly unknown: readonly string[];
}

const COMMON = ['id', 'head', 'day'] as const;

const namesIn = (records: readonly StoredRecord[]): Names => ({
  heads: headsIn(records),
  larder: larderOf(records),
});

/** The records of a kind that count today, oldest first, as a table. */
export function writeRecords<R extends Reading | Session>(
  table: RecordTable<R>,
  records: readonly StoredRecord[],
): string {
  const names = namesIn(records);
  const nameOf = new Map(names.heads.map(({ headId, name }) => [headId, name]));
  const own = (ofKind(liveRecords(records), table.kind) as unknown as R[]).filter(({ headId }) =>
    nameOf.has(headId),
  );
  const rows = [...own]
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
    .map((record) => [record.id, nameOf.get(record.headId) ?? '', record.day, ...table.cells(record, names)]);
  return writeTable([...COMMON, ...table.columns], rows);
}

interface Asked {
  readonly records: readonly StoredRecord[];
  readonly today: string;
  readonly stamp: () => { readonly id: string; readonly recordedAt: string };
}

/**
 * What a table would add and correct. A row whose `id` is known corrects that record where it says something else; a row
 * without one is new, unless the same is written down already. Nothing of a file with a problem is taken.
 */
export function readRecords<R extends Reading | Session>(
  table: RecordTable<R>,
  text: string,
  { records, today, stamp }: Asked,
): Result<TableImport> {
  const read = readTable(text, [...COMMON, ...table.columns], ['head', 'day', ...table.needed]);
  if (!read.ok) return read;
  const names = namesIn(records);
  const live = new Map(liveRecords(records).map((record) => [record.id, record]));
  const everKnown = new Set(records.map(({ id }) => id));
  const contents = new Set(
    (ofKind([...live.values()], table.kind) as unknown as R[]).map((record) => contentsText(record)),
  );
  const problems: Problem[] = [];
  const found: R[] = [];
  const seen = new Set<string>();
  let corrected = 0;
  let same = 0;
  for (const row of read.value.rows) {
    const id = row.cell('id');
    const problem = idProblem(id, seen, live, everKnown, table.kind);
    if (problem !== null) {
      problems.push(cellProblem(row.row, 'id', problem));
      continue;
    }
    seen.add(id);
    const known = live.get(id) as R | undefined;
    const made = recordIn(table, row, names, known, { today, stamp });
    if (!made.ok) {
      problems.push(...made.problems);
      continue;
    }
    const said = contentsText(made.value);
    if (known ? contentsText(known) === said : contents.has(said)) same++;
    else if (known) {
      corrected++;
      found.push({ ...made.value, corrects: id });
    } else found.push(id === '' ? made.value : { ...made.value, id });
    if (!known) contents.add(said);
  }
  const [first, ...others] = problems;
  if (first) return { ok: false, problems: firstProblems([first, ...others]) };
  return ok({
    records: found as unknown as StoredRecord[],
    added: found.length - corrected,
    corrected,
    same,
    unknown: read.value.unknown,
  });
}

/** Why a row with this id cannot be taken; null where it can. */
function idProblem(
  id: string,
  seen: ReadonlySet<string>,
  live: ReadonlyMap<string, StoredRecord>,
  everKnown: ReadonlySet<string>,
  kind: string,
): string | null {
  if (id === '') return null;
  if (!idSchema.safeParse(id).success)
    return t`This id was not written by this application; leave it empty for a new row.`;
  if (seen.has(id)) return t`Two rows share this id.`;
  const known = live.get(id);
  if (known) return known.kind === kind ? null : t`This id belongs to something that is no ${kind}.`;
  return everKnown.has(id)
    ? t`This was changed or removed since the table was saved; save the table again.`
    : null;
}

/** What a record says, without when it was written and what it corrects. */
function contentsText({ id: _, recordedAt: __, corrects: ___, ...record }: Reading | Session): string {
  // A table tells a version by its number alone.
  const { recipeRecordId: ____, ...contents } = record as Partial<Session>;
  return JSON.stringify(sortedKeys(contents as unknown as StoredRecord));
}

function recordIn<R extends Reading | Session>(
  { kind, schema, columnOf, contents }: RecordTable<R>,
  { row, cell, text }: TableRow,
  names: Names,
  known: R | undefined,
  { today, stamp }: Pick<Asked, 'today' | 'stamp'>,
): Result<R> {
  const headName = cell('head');
  const called = names.heads.filter(({ name }) => name.toLowerCase() === headName.toLowerCase());
  const [head] = called;
  if (!head || called.length > 1)
    return {
      ok: false,
      problems: [
        cellProblem(
          row,
          'head',
          head
            ? t`Two people are called “${headName}”.`
            : names.heads.length === 0
              ? t`There is nobody called “${headName}”; nobody is here yet.`
              : t`There is nobody called “${headName}”; there is ${{ heads: listed(names.heads.map(({ name }) => name)) }}.`,
        ),
      ],
    };
  const day = calendarDaySchema.safeParse(cell('day'));
  if (!day.success || day.data > today)
    return {
      ok: false,
      problems: [
        cellProblem(
          row,
          'day',
          day.success ? t`That day has not come yet.` : t`Write the day as 2026-03-31.`,
        ),
      ],
    };
  const said = contents(cell, names, row, known, text);
  if (!said.ok) return said;
  const parsed = schema.safeParse({ ...stamp(), kind, headId: head.headId, day: day.data, ...said.value });
  if (parsed.success) return ok(parsed.data);
  return failedBySchema(parsed.error.issues, ({ path, message }) =>
    cellProblem(row, columnNamed(path, columnOf), message),
  );
}

/** The longest beginning of a path that has a column of its own, or its first part. */
function columnNamed(path: readonly PropertyKey[], columnOf: Readonly<Record<string, string>>): string {
  for (let length = path.length; length > 0; length--) {
    const column = columnOf[path.slice(0, length).map(String).join('.')];
    if (column !== undefined) return column;
  }
  return String(path[0] ?? '');
}
