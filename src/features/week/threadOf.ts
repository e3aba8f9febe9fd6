import { laneOf } from '@/core/hair/state';
import type { Head } from '@/core/records/shapes';
import type { ThreadMark, ThreadPoint } from '@/ui/charts/Thread';
import { MARK_OF_KIND } from '../shared/beatWords';
import type { WeekRow } from './weekRows';

/** Firmness that the thread's axis shows; beyond it the thread runs along the edge. */
export const THREAD_DOMAIN = [-1.7, 1.7] as const;

/** What is comfortable for this head, along the thread's axis. */
export function threadLane(head: Head): { readonly low: number; readonly high: number } {
  const { low, high } = laneOf(head, 'firmness');
  return { low: low ?? THREAD_DOMAIN[0], high: high ?? THREAD_DOMAIN[1] };
}

/** Where a day stands along the axis of days, pixels. */
export interface DaySpan {
  readonly start: number;
  readonly length: number;
}

interface ThreadDrawing {
  readonly past: ThreadPoint[];
  readonly ahead: ThreadPoint[];
  readonly marks: ThreadMark[];
  readonly rule: number | null;
}

/** @param spans of the rows, in the same order */
export function threadOf(rows: readonly WeekRow[], spans: readonly DaySpan[]): ThreadDrawing {
  const spanOf = (index: number): DaySpan => spans[index] ?? { start: 0, length: 0 };
  const points = rows.map(({ mean, sd }, index): ThreadPoint => {
    const { start, length } = spanOf(index);
    return { along: start + length / 2, mean, sd };
  });
  const today = rows.findIndex((row) => row.isToday);
  return {
    past: points.slice(0, today),
    ahead: points.slice(Math.max(0, today - 1)),
    marks: rows.flatMap((row, index) => marksOf(row, spanOf(index))),
    rule: today > 0 ? spanOf(today).start : null,
  };
}

/** Marks share their day's span in the order in which they happen. */
function marksOf(row: WeekRow, { start, length }: DaySpan): ThreadMark[] {
  const beats = [
    ...row.done.map(({ kind, strength }) => ({ kind, strength, done: true })),
    ...row.planned.map(({ kind, strength }) => ({ kind, strength, done: false })),
  ];
  return beats.map(({ kind, strength, done }, index) => ({
    along: start + ((index + 0.5) / beats.length) * length,
    mean: row.mean,
    kind: MARK_OF_KIND[kind],
    strength,
    done,
  }));
}
