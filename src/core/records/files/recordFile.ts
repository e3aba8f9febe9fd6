import { msg, plural, t } from '@lingui/core/macro';
import { z } from 'zod';
import { worded } from '../../base/language';
import { failed, ok, type Problem, type Result } from '../../base/measures';
import { inOrder } from '../log';
import { liftRecord } from './migrations';
import { sortedKeys } from './sortedKeys';

/** Raised with every change of a stored shape; migrations.ts lifts what was written before. */
export const DATA_VERSION = 13;

/** The files that this application writes as JSON, by their format mark, and what each is called. */
const FORMATS = worded(
  { 'velvet-rhythm-backup': msg`backup`, 'velvet-rhythm-recipes': msg`recipe file` },
  'velvet-rhythm-backup',
  'velvet-rhythm-recipes',
);
export type FileFormat = keyof typeof FORMATS;

/** Characters; five years of twice-weekly sessions take about 2 million. */
const FILE_CHARACTERS = 50_000_000;

const outerSchema = z.looseObject({ format: z.string(), version: z.int().min(1) });
type Outer = z.infer<typeof outerSchema>;

/** What is in a file of ours, whatever its version; nothing of the inside is looked at yet. */
function openedFile(text: string, format: FileFormat): Result<Outer> {
  if (text.length > FILE_CHARACTERS)
    return failed(
      'too-large',
      t`The file is larger than ${{ fileCharacters: FILE_CHARACTERS / 1_000_000 }} million characters.`,
    );
  let raw: unknown;
  try {
    // Some editors put a byte order mark before what they save.
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return failed(
      'not-json',
      t`This is not a JSON file; choose a ${{ format: FORMATS[format] }} that Velvet Rhythm wrote.`,
    );
  }
  const outer = outerSchema.safeParse(raw);
  if (!outer.success || !isFormat(outer.data.format))
    return failed(
      'not-ours',
      t`This file is no Velvet Rhythm ${{ format: FORMATS[format] }}: its format mark is missing.`,
    );
  if (outer.data.format !== format)
    return failed(
      'other-format',
      t`This is a ${{ actualFormat: FORMATS[outer.data.format] }}, not a ${{ wantedFormat: FORMATS[format] }}: read it in there.`,
    );
  if (outer.data.version > DATA_VERSION)
    return failed(
      'newer-version',
      t`This ${{ format: FORMATS[format] }} was written by a newer version (data version ${{ version: outer.data.version }}; this one reads up to ${{ readable: DATA_VERSION }}). Update the application, then read it again.`,
    );
  return ok(outer.data);
}

function isFormat(format: string): format is FileFormat {
  return Object.hasOwn(FORMATS, format);
}

interface AnyRecord {
  readonly id: string;
  readonly kind: string;
  readonly recordedAt: string;
}
/** What all files of records look like from outside. */
interface RecordFile {
  readonly exportedAt: string;
  readonly records: readonly AnyRecord[];
}

/** Problems listed for one file; the rest are counted. */
const PROBLEMS_LISTED = 5;

/** Records in the order of writing, keys sorted, so that the same content is always the same text. */
export function writeRecordFile(format: FileFormat, { exportedAt, records }: RecordFile): string {
  const file = { format, version: DATA_VERSION, exportedAt, records: inOrder(records).map(sortedKeys) };
  return `${JSON.stringify(file, null, 1)}\n`;
}

/**
 * Reads a file of records of any version up to today's. Nothing of a file with a problem is taken.
 * @param schema of the file as it is written today
 */
export function readRecordFile<F extends RecordFile>(
  text: string,
  format: FileFormat,
  schema: z.ZodType<F>,
): Result<F> {
  const outer = openedFile(text, format);
  if (!outer.ok) return outer;
  const current = lifted(outer.value);
  const parsed = schema.safeParse(current);
  return parsed.success
    ? withoutDoubles(parsed.data)
    : { ok: false, problems: listed(parsed.error.issues, current) };
}

/** A file of an older version with its records lifted to today's shapes. */
function lifted(raw: { readonly version: number; readonly records?: unknown }): unknown {
  if (raw.version === DATA_VERSION || !Array.isArray(raw.records)) return raw;
  return {
    ...raw,
    version: DATA_VERSION,
    records: raw.records.map((record) => liftRecord(record, raw.version, DATA_VERSION)),
  };
}

type Issues = readonly {
  readonly path: readonly PropertyKey[];
  readonly message: string;
  readonly code?: string;
}[];

function listed(issues: Issues, raw: unknown): [Problem, ...Problem[]] {
  const records = (raw as { records?: unknown }).records;
  const described = issues.slice(0, PROBLEMS_LISTED).map((issue): Problem => {
    const [first, index, ...rest] = issue.path;
    const record =
      first === 'records' && Array.isArray(records) ? (records[Number(index)] as unknown) : undefined;
    const where =
      record === undefined
        ? issue.path.map(String).join('.') || t`the file`
        : t`record ${{ index: Number(index) + 1 }}${{ name: nameOf(record) }}`;
    const field = record !== undefined && rest.length > 0 ? `, ${rest.map(String).join('.')}` : '';
    return {
      code: issue.code ?? 'invalid',
      message: t`In ${where}${field}: ${{ message: issue.message }}`,
      path: issue.path.map(String).join('.'),
    };
  });
  const more = issues.length - described.length;
  const [
    head = { code: 'invalid', message: t`The file does not have the shape that it should have.`, path: '' },
    ...tail
  ] = described;
  return more > 0
    ? [
        head,
        ...tail,
        {
          code: 'more',
          message: t`… and ${plural(more, { one: '# more problem', other: '# more problems' })}.`,
          path: '',
        },
      ]
    : [head, ...tail];
}

function nameOf(record: unknown): string {
  const { kind, id } = (record ?? {}) as { kind?: unknown; id?: unknown };
  return typeof kind === 'string' && typeof id === 'string'
    ? ` (${kind.slice(0, 20)} ${id.slice(0, 64)})`
    : '';
}

function withoutDoubles<F extends RecordFile>(file: F): Result<F> {
  const seen = new Map<string, string>();
  for (const [index, record] of file.records.entries()) {
    const text = JSON.stringify(record);
    const known = seen.get(record.id);
    if (known !== undefined && known !== text) {
      return failed(
        'double-id',
        t`Two different records share the id “${{ recordId: record.id }}”.`,
        `records.${index}.id`,
      );
    }
    seen.set(record.id, text);
  }
  return ok({
    ...file,
    records: [...new Map(file.records.map((record) => [record.id, record])).values()],
  });
}
