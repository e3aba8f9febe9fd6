import { plural, t } from '@lingui/core/macro';
import { mean, normalCdf } from '../../base/measures';
import { tallyTotals, type MarkId, type Measured, type SignalId, type Tally } from '../../records/shapes';
import { logRate, type Count } from './counts';
import { asGridLikelihood, overGrid, type GridLikelihood } from './likelihood';
import { porosityIndex, type HairFacts } from './porosityIndex';
import { FEEL, SIGNS, TALLY } from './protocols';
import { feelWords, markWords } from './signWords';
import { strandsTogether } from './strands';

export type TestId = 'stretch' | 'feel' | 'signs' | 'tally' | 'porosity';

/** One signal as one test saw it. */
export interface Measurement {
  readonly signal: SignalId;
  readonly test: TestId;
  /** On the signal's own scale. */
  readonly value: number;
  /** One standard deviation of the test, same scale. */
  readonly sd: number;
  /** The arithmetic in words. */
  readonly why: string;
  /** Of a count: what was counted, so that the state can take it for the count it is. */
  readonly count?: Count;
  /** Of what has no one error for every truth: how probable it is at each firmness. */
  readonly likelihood?: GridLikelihood;
  /** It was measured several times over, so that one slip shows. */
  readonly isOfMany?: boolean;
}

/** Broken pieces as a measurement of the logarithm of pieces a day. */
function tallyMeasurement(tally: Tally): Measurement {
  const { broken } = tallyTotals(tally);
  const { days, doubt = 0 } = tally;
  const rate = logRate(broken, days);
  return {
    signal: 'breakage',
    test: 'tally',
    value: rate.mean,
    sd: Math.sqrt(rate.variance + TALLY.overdispersion + doubt ** 2),
    why: t`${plural(broken, { one: '# broken piece', other: '# broken pieces' })} in ${plural(days, { one: '# day', other: '# days' })}`,
    count: { pieces: broken, days, ...(doubt > 0 ? { extra: doubt ** 2 } : {}) },
  };
}

/** A step of seven stands for all that is rounded to it, the first and the last for all beyond. */
const feelLikelihoods = new Map<number, GridLikelihood>();

function feelLikelihood(feel: number): GridLikelihood {
  const known = feelLikelihoods.get(feel);
  if (known) return known;
  const { firmnessPerStep, sd, mostSteps } = FEEL;
  const upTo = (level: number) =>
    feel >= mostSteps ? 1 : normalCdf(((feel + 0.5) * firmnessPerStep - level) / sd);
  const downTo = (level: number) =>
    feel <= -mostSteps ? 0 : normalCdf(((feel - 0.5) * firmnessPerStep - level) / sd);
  const likelihood = asGridLikelihood(
    overGrid((level) => Math.log(Math.max(upTo(level) - downTo(level), LEAST_PROBABLE))),
  );
  feelLikelihoods.set(feel, likelihood);
  return likelihood;
}

/** Nothing that was felt is impossible. */
const LEAST_PROBABLE = 1e-6;

/** Marks that speak of firmness, and which way more of them points. */
const FIRM_SIDE: Partial<Record<MarkId, 1 | -1>> = { slip: -1, tangles: 1, shine: -1, clumping: -1 };
const MIDDLE_STEP = 2;

function signsMeasurement(marks: Measured['marks']): Measurement[] {
  const steps = (Object.entries(FIRM_SIDE) as [MarkId, number][]).flatMap(([id, side]) => {
    const value = marks[id];
    return value === null ? [] : [{ id, step: side * (value - MIDDLE_STEP) }];
  });
  if (steps.length === 0) return [];
  return [
    {
      signal: 'firmness',
      test: 'signs',
      value: mean(steps.map(({ step }) => step)) * SIGNS.firmnessPerStep * 2,
      sd: SIGNS.sd,
      why: t`${{ steps: steps.map(({ id }) => markWords()[id]).join(', ') }}: signs that say little by themselves`,
    },
  ];
}

/** What one reading says about the three signals; a test that was not taken says nothing. */
export function measurementsOf(reading: Measured, hair: HairFacts): Measurement[] {
  const found: Measurement[] = [];
  if (reading.strands.length > 0) {
    const { firmness, sd, why, likelihood } = strandsTogether(reading.strands);
    found.push({
      signal: 'firmness',
      test: 'stretch',
      value: firmness,
      sd,
      why,
      likelihood,
      isOfMany: reading.strands.length > 2,
    });
  }
  if (reading.feel !== null) {
    found.push({
      signal: 'firmness',
      test: 'feel',
      value: reading.feel * FEEL.firmnessPerStep,
      sd: FEEL.sd,
      likelihood: feelLikelihood(reading.feel),
      why: t`feels ${{ feel: feelWords()[reading.feel + 3] ?? '' }}, one of seven steps from gummy to straw`,
    });
  }
  found.push(...signsMeasurement(reading.marks));
  if (reading.tally) found.push(tallyMeasurement(reading.tally));
  if (reading.porosity) {
    const { value, sd, why } = porosityIndex(reading.porosity, hair);
    found.push({ signal: 'porosity', test: 'porosity', value, sd, why });
  }
  return found;
}
