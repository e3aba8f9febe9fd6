import type { ParsedLine } from '../larder';

/**
 * The text with one line said otherwise: its whole row where it stands alone there, else its own words.
 * @param by one or more lines of a recipe
 */
export function withLineSaid(text: string, line: Pick<ParsedLine, 'text' | 'at'>, by: string): string {
  const [first] = line.at;
  if (!first) return text;
  const row = rowAround(text, first.start);
  const isWholeRow = text.slice(row.start, row.end).trim() === line.text;
  const { start, end } = isWholeRow ? row : first;
  const said = isWholeRow ? by : by.replace(/\n/g, ', ');
  return `${text.slice(0, start)}${said}${text.slice(end)}`;
}

function rowAround(text: string, at: number): { start: number; end: number } {
  const start = Math.max(text.lastIndexOf('\n', at - 1), text.lastIndexOf('\r', at - 1)) + 1;
  const rest = text.slice(at).search(/[\r\n]/);
  return { start, end: rest < 0 ? text.length : at + rest };
}
