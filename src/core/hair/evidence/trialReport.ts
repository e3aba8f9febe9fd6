import { plural, t } from '@lingui/core/macro';
import { jStat } from 'jstat';
import { fixed } from '../../base/language';
import { mean } from '../../base/measures';
import {
  tallyTotals,
  type Arm,
  type HairSide,
  type Head,
  type Reading,
  type Session,
  type Trial,
  type TrialWash,
} from '../../records/shapes';
import { SIGNALS, type Estimate } from '../state';
import { sideReadingOf, trialOrder } from '../trials';
import { rateRatio, rateRatioWords, type RateRatio, type VaryingCount } from './rates';
import { sessionChange, toldBy, ways, type LevelSignal } from './sessionChange';

/** One wash of a trial with what it changed; null where a reading is missing. */
export interface TrialRow {
  readonly wash: TrialWash;
  readonly change: Estimate | null;
}

export type TrialAnswer =
  /** Nothing is said before its end: who looks at each round stops at the one that pleases. */
  | { readonly what: 'runs'; readonly words: string }
  | { readonly what: 'too-few'; readonly words: string }
  | {
      readonly what: 'difference';
      /** Change in arm a less change in arm b, units of the signal. */
      readonly mean: number;
      readonly low: number;
      readonly high: number;
      readonly pairs: number;
      readonly words: string;
    }
  | { readonly what: 'ratio'; readonly ratio: RateRatio; readonly words: string };

export interface TrialReport {
  readonly rows: readonly TrialRow[];
  readonly answer: TrialAnswer;
  /** What else changed meanwhile, so that the answer may not be the trial's alone. */
  readonly besides: readonly string[];
}

/** Pairs below which no interval is worth a word. */
const FEWEST_PAIRS = 3;

/** What a trial has shown when it is over, from its own washes and readings alone. */
export function trialReport(
  trial: Trial,
  washes: readonly TrialWash[],
  readings: readonly Reading[],
  sessions: readonly Session[],
  head: Head,
  isOver: boolean,
): TrialReport {
  const rows = washes.map((wash) => ({
    wash,
    change: trial.sides
      ? betweenSides(trial, wash, readings, head)
      : (sessionChange(wash.day, trial.signal, readings, head)?.change ?? null),
  }));
  return {
    rows,
    answer: !isOver
      ? {
          what: 'runs',
          words: t`The answer comes when all its washes are done: looking earlier would find what chance shows.`,
        }
      : trial.signal === 'breakage'
        ? ratioAnswer(washes, readings)
        : differenceAnswer(trial, trial.signal, rows),
    besides: besidesOf(trial, washes, sessions),
  };
}

/** What is on the side of arm a less what is on the other, of one day: whatever that day did to the hair is in both. */
function betweenSides(
  { signal }: Trial,
  wash: TrialWash,
  readings: readonly Reading[],
  head: Head,
): Estimate | null {
  const estimateOf = (side: HairSide) => {
    const reading = sideReadingOf(side, wash, readings);
    return reading && toldBy([reading], signal, head)[0]?.estimate;
  };
  const [left, right] = [estimateOf('left'), estimateOf('right')];
  if (!left || !right) return null;
  const sign = wash.arm === 'a' ? 1 : -1;
  return { mean: sign * (left.mean - right.mean), sd: Math.hypot(left.sd, right.sd) };
}

/** Differences within each round, and Student's t of them: what lasts longer than a round cancels out. */
function differenceAnswer(trial: Trial, signal: LevelSignal, rows: readonly TrialRow[]): TrialAnswer {
  if (trial.sides)
    return answerOf(
      trial,
      signal,
      rows,
      rows.flatMap(({ change }) => (change ? [change.mean] : [])),
    );
  const ofArm = (arm: Arm) => rows.filter(({ wash }) => wash.arm === arm);
  const [a, b] = [ofArm('a'), ofArm('b')];
  const pairs = a.flatMap(({ change }, round) => {
    const other = b[round]?.change;
    return change && other ? [change.mean - other.mean] : [];
  });
  return answerOf(trial, signal, rows, pairs);
}

function answerOf(
  trial: Trial,
  signal: LevelSignal,
  rows: readonly TrialRow[],
  pairs: readonly number[],
): TrialAnswer {
  const missing = FEWEST_PAIRS - pairs.length;
  if (missing > 0)
    return {
      what: 'too-few',
      words: t`Too few rounds to tell: ${missing} more with both checks, at least.`,
    };
  const middle = mean(pairs);
  const variance = pairs.reduce((sum, pair) => sum + (pair - middle) ** 2, 0) / (pairs.length - 1);
  // Three rounds can agree by luck: the scatter is taken no smaller than the errors of the readings alone would make it.
  const sd = Math.max(Math.sqrt(variance), readingError(trial, rows));
  const half = (jStat.studentt.inv(0.95, pairs.length - 1) * sd) / Math.sqrt(pairs.length);
  const answer = { mean: middle, low: middle - half, high: middle + half };
  return {
    what: 'difference',
    ...answer,
    pairs: pairs.length,
    words: differenceWords(trial, signal, answer),
  };
}

/** Root mean square error of a difference of two changes, by the errors of the four readings in it. */
function readingError({ sides }: Trial, rows: readonly TrialRow[]): number {
  const variances = rows.flatMap(({ change }) => (change ? [change.sd ** 2] : []));
  return Math.sqrt((sides ? 1 : 2) * mean(variances));
}

function differenceWords(
  { againstId }: Trial,
  signal: LevelSignal,
  { mean: middle, low, high }: { mean: number; low: number; high: number },
): string {
  const { comfortZone } = SIGNALS[signal];
  const width = (comfortZone.high ?? 0) - (comfortZone.low ?? 0);
  const [subject, than] =
    againstId === null
      ? [t`It leaves`, t`than a wash without it`]
      : [t`The first leaves`, t`than the second`];
  const way = ways()[signal][middle > 0 ? 1 : 0];
  const span = t`${{ low: signed(low) }} to ${{ high: signed(high) }}`;
  if (low > 0 || high < 0)
    return t`${subject} the hair ${way} ${than}: by ${{ middle: fixed(Math.abs(middle), 1) }} (${span} nine times in ten).`;
  if (high - low < width / 2)
    return t`No difference worth having: between ${span}, nine times in ten, where comfortable is ${{ width: fixed(width, 0) }} wide.`;
  return t`Not settled: between ${span}. Perhaps ${way} ${than}, perhaps no different.`;
}

const signed = (value: number) => `${value < 0 ? '−' : '+'}${fixed(Math.abs(value), 1)}`;

/** Pieces counted from after each wash until the next one, by arm. */
function ratioAnswer(washes: readonly TrialWash[], readings: readonly Reading[]): TrialAnswer {
  const counts: Record<Arm, VaryingCount[]> = { a: [], b: [] };
  washes.forEach(({ day, arm }, index) => {
    const until = washes[index + 1]?.day;
    const next = readings
      .filter(
        (reading) => reading.tally && reading.day > day && (until === undefined || reading.day <= until),
      )
      .sort((one, other) => (one.day < other.day ? -1 : 1))[0];
    if (next?.tally)
      counts[arm].push({ pieces: tallyTotals(next.tally).broken, days: next.tally.days, day: next.day });
  });
  if (counts.a.length < FEWEST_PAIRS || counts.b.length < FEWEST_PAIRS)
    return {
      what: 'too-few',
      words: t`Too few counts to tell: at least ${{ fewest: FEWEST_PAIRS }} after washes of each kind.`,
    };
  const ratio = rateRatio(counts.b, counts.a);
  return { what: 'ratio', ratio, words: rateRatioWords(ratio) };
}

function besidesOf(trial: Trial, washes: readonly TrialWash[], sessions: readonly Session[]): string[] {
  const first = washes[0]?.day;
  const last = washes.at(-1)?.day;
  if (first === undefined || last === undefined) return [];
  const others = sessions.filter(
    ({ recipeId, day }) =>
      recipeId !== trial.recipeId && recipeId !== trial.againstId && day >= first && day <= last,
  );
  const isNew = (recipeId: string) =>
    !sessions.some((session) => session.recipeId === recipeId && session.day < first);
  const fresh = [...new Set(others.map(({ recipeId }) => recipeId))].filter(isNew);
  const swapped = washes.filter(({ arm }, index) => trialOrder(trial)[index] !== arm).length;
  return [
    ...(fresh.length > 0
      ? [
          t`${{ count: fresh.length }} other ${plural({ count: fresh.length }, { one: 'recipe was', other: 'recipes were' })} used for the first time meanwhile.`,
        ]
      : []),
    ...(swapped > 0
      ? [
          t`${plural(swapped, { one: '# wash was', other: '# washes were' })} not the one that had been drawn.`,
        ]
      : []),
  ];
}

/** Scatter of a difference within one round where all is read with five strands: four readings and two times the days between (signal's units). */
function usualPairSd({ signal, sides }: Pick<Trial, 'signal' | 'sides'>): number {
  const { dailySd } = SIGNALS[signal];
  const reading = signal === 'porosity' ? 0.5 : 0.27;
  // Of two sides there are two readings, of one day.
  if (sides) return Math.sqrt(2) * reading;
  return Math.sqrt(4 * reading ** 2 + 2 * 2 * dailySd ** 2);
}

/** How exact the answer of a trial will be, before it has begun: half of its 90 % interval, units of the signal. */
export function expectedHalfWidth(trial: Pick<Trial, 'rounds' | 'signal' | 'sides'>): number {
  const { rounds } = trial;
  return (jStat.studentt.inv(0.95, rounds - 1) * usualPairSd(trial)) / Math.sqrt(rounds);
}
