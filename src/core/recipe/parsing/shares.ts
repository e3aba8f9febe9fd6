import { t } from '@lingui/core/macro';
import { rounded, sum } from '../../base/measures';
import type { ParsedLine, ReadLine } from '../larder';
import { unreadPart } from './weigh';

/** Grams of a batch made of percents alone. */
const PERCENT_BATCH_GRAMS = 100;
/** Percents may miss 100 by this much before it is said, from rounding on the page. */
export const SHARE_TOLERANCE = 0.5;

/** Percents that are whole may have so much weighed beside them, g. */
const LEAST_BESIDE_GRAMS = 5;

/** "to 100", "q.s. 100", "ad 100", "up to 100 percent": the line fills the batch up. */
export const BALANCE =
  /\b(?:q\.?\s?s\.?(?:\s*(?:to|ad))?|(?:up )?to|ad|make up to|balance to)\s*100(?:\.0+)?\s*(?:percent|g\b|%)?|\bq\.\s?s\.?/i;

const isShare = (line: ParsedLine): line is ReadLine => line.status === 'read' && line.unit === '%';
export const isBalancing = (line: ParsedLine): boolean =>
  line.status === 'read' && line.assumptions.some(({ code }) => code === 'to-balance');

/**
 * Turns percent of the batch into grams. With percents alone the batch is 100 g; beside weighed lines, the weighed
 * lines are what the percents leave over. Percents beyond 100 cannot be made and stay unread.
 */
export function withShares(lines: readonly ParsedLine[]): ParsedLine[] {
  const shares = sum(lines.map((line) => (isShare(line) && !isBalancing(line) ? line.quantity : 0)));
  if (shares === 0) return [...lines];
  const weighedGrams = sum(
    lines.map((line) => (line.status === 'read' && line.unit !== '%' ? line.grams : 0)),
  );
  // "50 % castor, 50 % jojoba, 2 drops of mint": the drops come on top.
  const isWhole = Math.abs(shares - 100) <= SHARE_TOLERANCE && weighedGrams <= LEAST_BESIDE_GRAMS;
  const fits = isWhole || (weighedGrams > 0 ? shares < 100 : shares <= 100 + SHARE_TOLERANCE);
  const batch = weighedGrams > 0 && !isWhole ? weighedGrams / (1 - shares / 100) : PERCENT_BATCH_GRAMS;
  return lines.map((line) => {
    if (!isShare(line) || isBalancing(line)) return line;
    return fits
      ? { ...line, grams: (line.quantity / 100) * batch }
      : {
          text: line.text,
          row: line.row,
          at: line.at,
          ...unreadPart(
            'over-100-percent',
            t`The percents add to ${{ shares: rounded(shares, 1) }}; they must leave room up to 100.`,
            { grams: line.quantity },
          ),
        };
  });
}

/** Gives the line that fills up to 100 what the others leave. Of two such lines only the first can. */
export function balanced(lines: readonly ParsedLine[]): ParsedLine[] {
  const filling = lines.filter(isBalancing);
  if (filling.length === 0) return [...lines];
  const others = lines.filter((line): line is ReadLine => line.status === 'read' && !isBalancing(line));
  const percents = others.every((line) => line.unit === '%');
  const rest = 100 - sum(others.map((line) => (percents ? line.quantity : line.grams)));
  return lines.map((line) => {
    if (!isBalancing(line) || line.status !== 'read') return line;
    const problem =
      line !== filling[0]
        ? t`Another line fills up to 100 already.`
        : rest <= 0
          ? t`The other lines add to ${{ rest: rounded(100 - rest, 1) }} already; nothing is left to fill up.`
          : null;
    return problem === null
      ? { ...line, quantity: rest, unit: '%' as const, grams: rest }
      : { text: line.text, row: line.row, at: line.at, ...unreadPart('no-room', problem) };
  });
}
