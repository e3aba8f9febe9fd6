import { calendarDay } from '../../base/measures';
import { testHead } from '../../lab/testing';
import type { Head, SignalId } from '../../records/shapes';
import { EMPTY_HISTORY } from '../history';
import { zoneProbabilities, SIGNALS, type DatedMeasurement, type SignalState } from '../state';
import { needOf } from './need';

const day = calendarDay('2026-05-10');
const head = testHead({ strand: 'fine', porosityGuess: 'high', freeMinutes: [0, 0, 0, 0, 0, 0, 0] });

function state(
  signal: SignalId,
  mean: number,
  sd: number,
  measurements: readonly DatedMeasurement[] = [],
): SignalState {
  return {
    signal,
    comfortZone: SIGNALS[signal].comfortZone,
    mean,
    sd,
    probabilities: zoneProbabilities({ mean, sd }, SIGNALS[signal].comfortZone),
    path: [],
    ahead: [],
    measurements,
    responses: [],
    eventResponses: [],
    entangled: [],
    retentionPerDay: 0.9,
    halfLifeDays: 7,
    halfLifeRange: { low: 3, high: 19 },
    errorFactor: 1,
  };
}

function needFor(firmness: [mean: number, sd: number], who: Head = head, referral: string | null = null) {
  const signals = {
    firmness: state('firmness', ...firmness),
    breakage: state('breakage', Math.log(4), 0.2),
    porosity: state('porosity', 0, 0.2),
  };
  return needOf(signals, who, EMPTY_HISTORY, referral);
}

describe('the need in words', () => {
  it.each([
    [[-1.6, 0.2], 'protein', 'Much too soft'],
    [[-0.9, 0.3], 'protein', 'A little too soft'],
    [[-0.55, 0.5], 'protein', 'Likely a little too soft'],
    [[0, 0.2], 'keep', 'Soft, springy, returning'],
    [[0.1, 0.6], 'keep', 'Likely in the comfort zone'],
    [[0, 1.2], 'unclear', 'Too few checks to tell'],
    [[0.9, 0.3], 'moisture', 'A little too firm'],
    [[1.7, 0.2], 'moisture', 'Much too firm'],
  ] as const)('firmness %j: %s, “%s”', ([mean, sd], kind, headline) => {
    const need = needFor([mean, sd]);
    expect([need.kind, need.headline]).toEqual([kind, headline]);
  });

  it('asks a sensitive head for a light protein only', () => {
    expect(needFor([-1.2, 0.2], { ...head, proteinSensitive: true }).reasons.at(-1)).toContain(
      'protein-sensitive',
    );
  });

  it('never mends what is well', () => {
    expect(needFor([0, 0.2]).reasons.at(-1)).toContain('nothing to fix');
  });

  it('carries the referral along, whatever the hair needs', () => {
    expect(needFor([0, 0.2], head, 'See a dermatologist.').referral).toContain('dermatologist');
    expect(needFor([0, 0.2]).referral).toBeNull();
  });

  it('quotes the last reading, the stretch before the feel', () => {
    const measured = (test: 'stretch' | 'feel', why: string): DatedMeasurement => ({
      signal: 'firmness',
      test,
      value: 0,
      sd: 0.3,
      why,
      day,
      readingId: 'r',
      off: false,
    });
    const signals = {
      firmness: state('firmness', 0, 0.2, [
        measured('stretch', '5 strands, stretch 30 %'),
        measured('feel', 'how it feels'),
      ]),
      breakage: state('breakage', Math.log(4), 0.2),
      porosity: state('porosity', 0, 0.2),
    };
    expect(needOf(signals, head, EMPTY_HISTORY, null).reasons[0]).toBe(
      'Last check: 5 strands, stretch 30 %.',
    );
  });
});
