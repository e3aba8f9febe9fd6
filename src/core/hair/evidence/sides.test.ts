import { randomLcg, randomNormal } from 'd3-random';
import { addDays, calendarDay, mean } from '../../base/measures';
import { STAMP, testHead, testReading, testStrand } from '../../lab/testing';
import type { Arm, HairSide, Reading, Trial, TrialWash } from '../../records/shapes';
import { SIGNALS } from '../state';
import { armOn, trialOrder } from '../trials';
import { expectedHalfWidth, trialReport } from './trialReport';

const range = (count: number) => Array.from({ length: count }, (_, index) => index);
const head = testHead();
const day = calendarDay('2026-05-10');
/** What the first recipe does more than the second, units of firmness. */
const TRUE_DIFFERENCE = 0.6;
/** Millimetres that 100 mm of hair stretch less for a unit of firmness, about 0, and their scatter from strand to strand. */
const MM_PER_UNIT = 18;
const MM_AT_REST = 30;
const MM_SD = 7;
const DAYS_BETWEEN = 4;

/** A head whose hair wanders from day to day, and is read with five strands at a time. */
class VirtualHead {
  private readonly normal: () => number;
  private level = 0;

  constructor(seed: number) {
    this.normal = randomNormal.source(randomLcg(seed))(0, 1);
  }

  passes(days: number): void {
    for (let passed = 0; passed < days; passed++) this.level += SIGNALS.firmness.dailySd * this.normal();
    // It comes back to where it rests.
    this.level *= 0.9;
  }

  read(on: Reading['day'], extra: number, more: Partial<Reading>): Reading {
    const strands = range(5).map(() => {
      const mm = MM_AT_REST - MM_PER_UNIT * (this.level + extra) + MM_SD * this.normal();
      return testStrand(100, 100 + Math.max(1, Math.round(mm)), 100);
    });
    return testReading(on, { strands }, more);
  }
}

const effectOf = (arm: Arm) => (arm === 'a' ? TRUE_DIFFERENCE : 0);

/** How far the answer lies from the truth, one virtual head each. */
function errorsOf(trialOf: Pick<Trial, 'rounds' | 'sides'>): number[] {
  return range(50).flatMap((index) => {
    const hair = new VirtualHead(index / 97);
    const trial = {
      ...STAMP,
      ...trialOf,
      kind: 'trial',
      trialId: `t${index}`,
      signal: 'firmness',
      againstId: 'set',
    } as Trial;
    const readings: Reading[] = [];
    const washes = trialOrder(trial).map((arm, round): TrialWash => {
      const on = addDays(day, DAYS_BETWEEN * round);
      hair.passes(DAYS_BETWEEN);
      if (!trial.sides) readings.push(hair.read(on, 0, { moment: 'before' }));
      hair.passes(1);
      const next = addDays(on, 1);
      const onSide = (side: HairSide) => hair.read(next, effectOf(armOn(side, arm)), { moment: 'dry', side });
      if (trial.sides) readings.push(onSide('left'), onSide('right'));
      else readings.push(hair.read(next, effectOf(arm), { moment: 'dry' }));
      return {
        ...STAMP,
        kind: 'trial-wash',
        id: `w${round}`,
        trialId: trial.trialId,
        headId: 'h',
        day: on,
        arm,
      };
    });
    const { answer } = trialReport(trial, washes, readings, [], head, true);
    return answer.what === 'difference' ? [answer.mean - TRUE_DIFFERENCE] : [];
  });
}

const rootMeanSquare = (values: readonly number[]) => Math.sqrt(mean(values.map((value) => value ** 2)));

describe('left and right on one day', () => {
  it('find the same truth with half the rounds and a quarter of the washes', () => {
    const days = errorsOf({ rounds: 8 });
    const sides = errorsOf({ rounds: 4, sides: true });
    expect(Math.abs(mean(sides))).toBeLessThan(0.1);
    expect(rootMeanSquare(sides)).toBeLessThan(rootMeanSquare(days));
  });

  it('are told to be that much more exact before they begin', () => {
    const one = { rounds: 6, signal: 'firmness' } as const;
    expect(expectedHalfWidth({ ...one, sides: true })).toBeLessThan(0.6 * expectedHalfWidth(one));
  });
});
