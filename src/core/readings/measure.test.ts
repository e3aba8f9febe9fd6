import { callsForDoctor, measurementsOf, readingFromDraft, strandFigures, type ReadingDraft } from '.';
import { logRate } from './logCount';
import { calendarDay } from '../measures';

const returned = (restMm: number, stretchedMm: number, releasedMm: number) =>
  ({ outcome: 'returned', restMm, stretchedMm, releasedMm }) as const;

describe('the stretch test', () => {
  it('follows its two formulas', () => {
    const figures = strandFigures(returned(60, 78, 61.8));
    expect(figures.stretchPercent).toBeCloseTo(30, 9);
    expect(figures.returnPercent).toBeCloseTo(90, 9);
  });

  it('finds a strand that stretches far and stays long soft, one that returns in its lane, one that snaps firm', () => {
    expect(strandFigures(returned(60, 90, 78)).firmness).toBeLessThan(-1);
    expect(Math.abs(strandFigures(returned(60, 78, 61)).firmness)).toBeLessThan(0.5);
    expect(strandFigures({ outcome: 'snapped', restMm: 60, snappedMm: 64 }).firmness).toBeGreaterThan(1);
  });

  it('has an answer for a strand that did not stretch at all and one that snapped unseen', () => {
    expect(strandFigures(returned(60, 60, 60)).returnPercent).toBe(100);
    expect(strandFigures({ outcome: 'snapped', restMm: 60, snappedMm: null }).firmness).toBeGreaterThan(0.5);
  });

  it('is surer with more strands', () => {
    const sdOf = (count: number) =>
      measurementsOf({
        strands: Array.from({ length: count }, () => returned(60, 78, 61)),
        tally: null,
        mistSoakSeconds: null,
        feel: null,
      })[0]?.sd ?? 0;
    expect(sdOf(5)).toBeCloseTo(sdOf(1) / Math.sqrt(5), 9);
  });
});

describe('the other tests', () => {
  const nothing = { strands: [], tally: null, mistSoakSeconds: null, feel: null };

  it('say nothing when they were not taken', () => {
    expect(measurementsOf(nothing)).toEqual([]);
  });

  it.each([
    [-3, -1.5],
    [0, 0],
    [3, 1.5],
  ])('feel step %d is firmness %d', (feel, value) => {
    expect(measurementsOf({ ...nothing, feel })).toMatchObject([{ signal: 'firmness', test: 'feel', value }]);
  });

  it('find hair that drinks at once porous and hair that refuses not', () => {
    const porosityAt = (mistSoakSeconds: number) =>
      measurementsOf({ ...nothing, mistSoakSeconds })[0]?.value ?? NaN;
    expect(porosityAt(8)).toBeGreaterThan(1);
    expect(porosityAt(45)).toBe(0);
    expect(porosityAt(200)).toBeLessThan(-1);
  });

  it('know breakage better from more pieces', () => {
    const sdOf = (broken: number) =>
      measurementsOf({ ...nothing, tally: { broken, shed: 0, days: 3 } })[0]?.sd ?? NaN;
    expect(sdOf(40)).toBeLessThan(sdOf(4));
    expect(Number.isFinite(sdOf(0))).toBe(true);
  });

  it('are put beside each other in one reading', () => {
    const all = {
      strands: [returned(60, 78, 61)],
      tally: { broken: 3, shed: 90, days: 2 },
      mistSoakSeconds: 30,
      feel: 1,
    };
    expect(measurementsOf(all).map((measurement) => measurement.test)).toEqual([
      'stretch',
      'feel',
      'tally',
      'mist',
    ]);
  });
});

describe('counts', () => {
  it('agree with the log-gamma posterior summed by brute force', () => {
    const [count, days] = [11, 4];
    const shape = count + 0.5;
    const step = 0.0005;
    let mass = 0;
    let first = 0;
    let second = 0;
    for (let log = -6; log < 6; log += step) {
      const density = Math.exp(shape * log - Math.exp(log) * days) * step;
      mass += density;
      first += density * log;
      second += density * log * log;
    }
    const mean = first / mass;
    const { mean: m, variance } = logRate(count, days);
    expect(m).toBeCloseTo(mean, 6);
    expect(variance).toBeCloseTo(second / mass - mean ** 2, 6);
  });

  it('say little about a fall from 8 to 4 in a day', () => {
    const [eight, four] = [logRate(8, 1), logRate(4, 1)];
    const difference = eight.mean - four.mean;
    expect(difference / Math.sqrt(eight.variance + four.variance)).toBeLessThan(1.645);
  });

  it('send very heavy shedding to a doctor', () => {
    expect(callsForDoctor({ tally: { broken: 3, shed: 700, days: 4 } })).toBe(true);
    expect(callsForDoctor({ tally: { broken: 3, shed: 300, days: 4 } })).toBe(false);
  });
});

describe('a reading as typed', () => {
  const today = calendarDay('2026-05-10');
  const stamp = { id: 'r1', headId: 'h1', recordedAt: '2026-05-10T10:00:00Z' };
  const blank = { rest: '', stretched: '', released: '', snapped: false };
  const draft = (part: Partial<ReadingDraft>): ReadingDraft => ({
    day: '2026-05-10',
    moment: 'before',
    strands: [blank, blank],
    broken: '',
    shed: '',
    days: '',
    mistSeconds: '',
    feel: null,
    ...part,
  });
  const problemOf = (part: Partial<ReadingDraft>) => {
    const result = readingFromDraft(draft(part), stamp, today);
    return result.ok ? null : `${result.problems[0].path}: ${result.problems[0].message}`;
  };

  it('becomes a reading, with a decimal comma and blank strands left out', () => {
    const result = readingFromDraft(
      draft({
        strands: [blank, { rest: '60,5', stretched: '80', released: '62', snapped: false }],
        feel: -1,
      }),
      stamp,
      today,
    );
    expect(result.ok && result.value.strands).toEqual([returned(60.5, 80, 62)]);
  });

  it.each([
    [{}, 'Nothing was measured'],
    [
      { strands: [{ rest: '60', stretched: '50', released: '50', snapped: false }] },
      'strands.0.stretched: The stretched length cannot be shorter',
    ],
    [
      { strands: [blank, { rest: '60', stretched: '70', released: '90', snapped: false }] },
      'strands.1.released',
    ],
    [
      { strands: [{ rest: 'long', stretched: '70', released: '60', snapped: false }] },
      'strands.0.rest: Write a length',
    ],
    [{ broken: '-1', days: '3' }, 'broken: A count cannot be below 0'],
    [{ broken: '1.5', days: '3' }, 'broken: A count is a whole number'],
    [{ broken: '3', days: '0' }, 'days: At least one day'],
    [{ broken: '3' }, 'days: Write the days'],
    [{ feel: 0, day: '2026-05-11' }, 'day: That day has not come yet'],
    [{ feel: 0, day: '2026-02-30' }, 'day: That day is not in the calendar'],
    [{ mistSeconds: '0' }, 'mistSeconds: Less than a second'],
  ])('%j is refused beside its field', (part, said) => {
    expect(problemOf(part as Partial<ReadingDraft>)).toContain(said);
  });
});
