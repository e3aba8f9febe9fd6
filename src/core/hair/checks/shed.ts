import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { daysBetween, type CalendarDay } from '../../base/measures';
import {
  SHED_BALLS,
  tallyTotals,
  type HeadEvent,
  type Occasion,
  type Reading,
  type ShedBall,
} from '../../records/shapes';

/**
 * Shed hairs in a loose ball as big as a thing of every kitchen (working assumption: about 200 hairs of middling length to a
 * walnut and a half; long, thick hair makes a bigger ball of fewer). `logSd`: its error, so that two neighbouring sizes may be
 * one and the same.
 */
export const SHED_IN_BALL: Readonly<Record<ShedBall, number>> = {
  pea: 10,
  hazelnut: 30,
  walnut: 80,
  egg: 180,
  apple: 400,
};
export const SHED_BALL_LOG_SD = 0.5;

/** How wide such a ball is, mm (the things themselves, rounded). */
export const BALL_MM: Readonly<Record<ShedBall, number>> = {
  pea: 10,
  hazelnut: 18,
  walnut: 30,
  egg: 44,
  apple: 60,
};

/**
 * The size of ball that comes next to one that was measured, with the single hairs shed beside it: by its count, or, where none
 * could be told, by how wide it is.
 */
export function ballLike(
  { acrossMm, hairs }: { readonly acrossMm: number; readonly hairs: { readonly middle: number } | null },
  besideIt = 0,
): ShedBall {
  const [found, sizes] = hairs ? [hairs.middle + besideIt, SHED_IN_BALL] : [acrossMm, BALL_MM];
  const off = (size: ShedBall) => Math.abs(Math.log(found / sizes[size]));
  return SHED_BALLS.reduce((best, size) => (off(size) < off(best) ? size : best));
}

export const ballWords = perLanguage((): Readonly<Record<ShedBall, string>> => ({
  pea: t`a pea`,
  hazelnut: t`a hazelnut`,
  walnut: t`a walnut`,
  egg: t`an egg`,
  apple: t`an apple`,
}));

/** Shed hairs of one detangle. */
export interface ShedCount {
  readonly day: CalendarDay;
  readonly pieces: number;
  /** Days in which they came loose; those of a style that was in are among them. */
  readonly days: number;
  /** Extra variance of its logarithm, beside what counts vary by; 0 where hairs were counted. */
  readonly extraVariance: number;
  /** The style that held them, if one did. */
  readonly afterStyle: boolean;
}

/** A style that was in, from its first day to the day it came out. */
interface Stretch {
  readonly from: CalendarDay;
  readonly to: CalendarDay;
}

/** Days after a take-down in which what had come loose in the style is still found. */
const AFTER_TAKE_DOWN_DAYS = 3;

/** The styles that were in, planned or written down. */
export function stylesWorn(
  occasions: readonly Pick<Occasion, 'what' | 'from' | 'to'>[],
  events: readonly Pick<HeadEvent, 'what' | 'day'>[],
): Stretch[] {
  const planned = occasions.filter(({ what }) => what === 'style').map(({ from, to }) => ({ from, to }));
  const wentIn = events.filter(({ what }) => what === 'style-in').map(({ day }) => day);
  const written = events
    .filter(({ what }) => what === 'style-out')
    .flatMap(({ day }): Stretch[] => {
      const from = wentIn
        .filter((other) => other < day)
        .sort()
        .at(-1);
      return from ? [{ from, to: day }] : [];
    });
  return [...planned, ...written];
}

/** What was shed, count by count, by day. After a take-down the hairs of all the days in the style come at once. */
export function shedCounts(
  readings: readonly Pick<Reading, 'day' | 'tally' | 'shedBall'>[],
  styles: readonly Stretch[] = [],
): ShedCount[] {
  return readings
    .flatMap(({ day, tally, shedBall }): ShedCount[] => {
      const counted =
        tally !== null && !(shedBall && tallyTotals(tally).shed === 0)
          ? { pieces: tallyTotals(tally).shed, days: tally.days, extraVariance: 0 }
          : shedBall
            ? {
                pieces: SHED_IN_BALL[shedBall.size],
                days: shedBall.days,
                extraVariance: SHED_BALL_LOG_SD ** 2,
              }
            : null;
      if (!counted) return [];
      const style = styles.find(
        ({ to }) => daysBetween(to, day) >= -1 && daysBetween(to, day) <= AFTER_TAKE_DOWN_DAYS,
      );
      const held = style ? daysBetween(style.from, day) : 0;
      return [{ day, ...counted, days: Math.max(counted.days, held), afterStyle: style !== undefined }];
    })
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}
