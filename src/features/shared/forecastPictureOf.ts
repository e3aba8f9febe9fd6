import { t } from '@lingui/core/macro';
import { comfortZoneOf, placeInWords } from '@/core/hair/state';
import type { Head } from '@/core/records/shapes';
import type { HeadAnswer } from '@/store';
import type { ForecastMark, ForecastPoint } from '@/ui/charts/ForecastPicture';
import { MARK_OF_KIND } from './treatmentWords';
import type { WeekRow } from './weekRows';

/** Firmness that the forecast's axis shows; beyond it the forecast runs along the edge. */
export const THREAD_DOMAIN = [-1.7, 1.7] as const;

/** What is comfortable for this head, along the forecast's axis. */
export function forecastZone(head: Head): { readonly low: number; readonly high: number } {
  const { low, high } = comfortZoneOf(head, 'firmness');
  return { low: low ?? THREAD_DOMAIN[0], high: high ?? THREAD_DOMAIN[1] };
}

/** Where a day stands along the axis of days, pixels. */
export interface DaySpan {
  readonly start: number;
  readonly length: number;
}

/** Days as columns of a width, pixels. */
export const columnSpans = (count: number, width: number): DaySpan[] =>
  Array.from({ length: count }, (_, index) => ({ start: (index * width) / count, length: width / count }));

interface ForecastDrawing {
  readonly past: ForecastPoint[];
  readonly ahead: ForecastPoint[];
  readonly marks: ForecastMark[];
  readonly rule: number | null;
}

/**
 * @param spans of the rows, in the same order
 * @param isNamed marks say what they are: nothing beside the drawing does
 */
export function forecastPictureOf(
  rows: readonly WeekRow[],
  spans: readonly DaySpan[],
  isNamed = false,
): ForecastDrawing {
  const spanOf = (index: number): DaySpan => spans[index] ?? { start: 0, length: 0 };
  const points = rows.map(({ mean, sd }, index): ForecastPoint => {
    const { start, length } = spanOf(index);
    return { along: start + length / 2, mean, sd };
  });
  const today = rows.findIndex((row) => row.isToday);
  return {
    past: points.slice(0, today),
    ahead: points.slice(Math.max(0, today - 1)),
    marks: rows.flatMap((row, index) => marksOf(row, spanOf(index), isNamed)),
    rule: today > 0 ? spanOf(today).start : null,
  };
}

/** Marks share their day's span in the order in which they happen. */
function marksOf(row: WeekRow, { start, length }: DaySpan, isNamed: boolean): ForecastMark[] {
  const assignments = [
    ...row.done.map(({ kind, strength, name }) => ({ kind, strength, name, done: true })),
    ...row.planned.map(({ kind, strength, name, slot }) => ({
      kind,
      strength,
      ...(slot === 'main' ? { name } : {}),
      done: false,
    })),
  ];
  return assignments.map(({ kind, strength, done, name }, index) => ({
    along: start + ((index + 0.5) / assignments.length) * length,
    mean: row.mean,
    kind: MARK_OF_KIND[kind],
    strength,
    done,
    ...(isNamed && name !== undefined ? { name } : {}),
  }));
}

/** What the picture shows, for those who do not see it. */
export function forecastLabel(
  head: Head,
  { state, plan }: Pick<HeadAnswer, 'state' | 'plan'>,
  week = 0,
): string {
  const { firmness } = state.signals;
  const last = plan.days[7 * week + 6];
  return t`${{ headName: head.name }}'s hair is ${{ placeToday: placeInWords(firmness, firmness.comfortZone) }} today and should be ${{ placeAtEnd: last ? placeInWords(last.forecast, firmness.comfortZone) : t`the same` }} at the end of the week.`;
}
