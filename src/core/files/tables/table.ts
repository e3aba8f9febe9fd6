import { plural, t } from '@lingui/core/macro';
import Papa from 'papaparse';
import { listed } from '../../base/language';
import { failed, ok, type Problem, type Result } from '../../base/measures';

export const TABLE_LIMITS = {
  /** Characters of a file. */
  characters: 10_000_000,
  /** Rows; thirty years of daily readings. */
  rows: 12_000,
  columns: 60,
  /** Characters of one cell. */
  cell: 2000,
  /** Problems named for one file; the rest are counted. */
  problemsListed: 8,
} as const;

/**
 * Where a spreadsheet could see the beginning of a formula: at the start of a cell, and after any sign that some country's
 * spreadsheet takes for the end of a cell, because there a comma in a file, or in a text, is none.
 */
const BEFORE_FORMULA = /(^|[,;|\t\r\n])(?='*[ \u00a0]*[=+\-@\t\r])/g;
const MARKED_FORMULA = /(^|[,;|\t\r\n])'(?='*[ \u00a0]*[=+\-@\t\r])/g;
const NUMBER = /^-?\d+(?:[.,]\d+)?$/;

/** Marked as text by an apostrophe wherever it could be taken for a formula. A plain number is none. */
const harmless = (cell: string) => (NUMBER.test(cell) ? cell : cell.replace(BEFORE_FORMULA, "$1'"));
const asItWas = (cell: string) => (NUMBER.test(cell) ? cell : cell.replace(MARKED_FORMULA, '$1'));

/** A table as text. Every text is quoted, so that no sign in it parts cells; numbers stay numbers. */
export function writeTable(columns: readonly string[], rows: readonly (readonly string[])[]): string {
  const cells = [columns, ...rows].map((row) => row.map(harmless));
  const quotes = (cell: unknown) => cell !== '' && !NUMBER.test(String(cell));
  return `${Papa.unparse(cells, { quotes, newline: '\r\n' })}\r\n`;
}

export interface TableRow {
  /** As a spreadsheet counts, the headings being row 1. */
  readonly row: number;
  /** What stands in a column, without spaces around it; empty where the file does not have it. */
  readonly cell: (column: string) => string;
  /** A text that somebody wrote, with every space of it. */
  readonly text: (column: string) => string;
}

export interface TableText {
  readonly rows: readonly TableRow[];
  /** Headings that mean nothing here; what stands under them is left where it is. */
  readonly unknown: readonly string[];
}

/**
 * Reads a table as spreadsheets write it, whatever they part the cells by.
 * @param known columns that mean something
 * @param needed columns that must be there
 */
export function readTable(
  text: string,
  known: readonly string[],
  needed: readonly string[],
): Result<TableText> {
  if (text.length > TABLE_LIMITS.characters)
    return failed(
      'too-large',
      t`The file is larger than ${{ characters: TABLE_LIMITS.characters / 1e6 }} million characters.`,
    );
  const plain = text.replace(/^\uFEFF/, '');
  const { data } = Papa.parse<string[]>(plain, { skipEmptyLines: false, delimiter: delimiterOf(plain) });
  const [headings = [], ...lines] = data;
  const columns = headings.slice(0, TABLE_LIMITS.columns).map((heading) => heading.trim().toLowerCase());
  const missing = needed.filter((column) => !columns.includes(column));
  if (missing.length > 0)
    return failed(
      'no-column',
      t`The first row must name the columns; ${{ columns: listed(missing.map((column) => `“${column}”`)) }} ${plural({ count: missing.length }, { one: 'is', other: 'are' })} missing.`,
    );
  if (lines.length > TABLE_LIMITS.rows)
    return failed('too-large', t`The file has more than ${{ rows: TABLE_LIMITS.rows }} rows.`);
  const at = new Map(columns.map((column, index) => [column, index]));
  const rows = lines.flatMap((cells, index): TableRow[] =>
    cells.every((cell) => cell.trim() === '')
      ? []
      : [
          rowOf(index + 2, (column) =>
            asItWas((cells[at.get(column) ?? -1] ?? '').slice(0, TABLE_LIMITS.cell)),
          ),
        ],
  );
  return ok({ rows, unknown: columns.filter((column) => column !== '' && !known.includes(column)) });
}

const DELIMITERS = [',', ';', '\t', '|'] as const;

/** What parts the headings: they hold no such sign themselves, while cells of several things do. */
function delimiterOf(text: string): string {
  const [headings = ''] = text.split(/\r?\n/, 1);
  const count = (delimiter: string) => headings.split(delimiter).length;
  return DELIMITERS.reduce((best, delimiter) => (count(delimiter) > count(best) ? delimiter : best));
}

function rowOf(row: number, text: (column: string) => string): TableRow {
  return { row, text, cell: (column) => text(column).trim() };
}

/** What is wrong in a cell: the row, the column and what to write instead. */
export function cellProblem(row: number, column: string, message: string): Problem {
  return {
    code: 'cell',
    message: t`Row ${row}${{ column: column === '' ? '' : `, ${column}` }}: ${message}`,
    path: `${row}.${column}`,
  };
}

/** A number as it is written with a point or a comma; NaN where it is none, null where nothing is written. */
export function numberIn(text: string): number | null {
  if (text === '') return null;
  return /^-?\d+(?:[.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : Number.NaN;
}

/** The parts of a cell that holds several things. */
export function partsIn(text: string): string[] {
  return text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean);
}

/** The first problems, and how many more there are. */
export function firstProblems(problems: readonly [Problem, ...Problem[]]): readonly [Problem, ...Problem[]] {
  const more = problems.length - TABLE_LIMITS.problemsListed;
  if (more <= 0) return problems;
  const [first, ...others] = problems;
  return [
    first,
    ...others.slice(0, TABLE_LIMITS.problemsListed - 1),
    {
      code: 'more',
      message: t`… and ${plural(more, { one: '# more problem', other: '# more problems' })}.`,
      path: '',
    },
  ];
}
