import { rounded, type CalendarDay } from '@/core/base/measures';
import { REGIONS, type Reading, type Region } from '@/core/records/shapes';

export interface LengthThen {
  readonly day: CalendarDay;
  readonly cm: number;
}

const lengthsAt = (readings: readonly Reading[], place: Region): LengthThen[] =>
  readings
    .flatMap(({ day, lengths }) => lengths.filter((at) => at.place === place).map(({ cm }) => ({ day, cm })))
    .sort((a, b) => (a.day < b.day ? -1 : 1));

export function lastLength(readings: readonly Reading[], place: Region): LengthThen | undefined {
  return lengthsAt(readings, place).at(-1);
}

/** Length at each place that was measured more than once: first, last and what lies between. */
export function lengthKept(
  readings: readonly Reading[],
): { place: Region; first: LengthThen; last: LengthThen; gainedCm: number }[] {
  return REGIONS.flatMap((place) => {
    const all = lengthsAt(readings, place);
    const [first, last] = [all[0], all.at(-1)];
    return first && last && first.day !== last.day
      ? [{ place, first, last, gainedCm: rounded(last.cm - first.cm, 1) }]
      : [];
  });
}
