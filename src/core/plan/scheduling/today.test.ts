import fc from 'fast-check';
import { addDays } from '../../base/measures';
import {
  BALM,
  FROM as from,
  GUMMY,
  KNOWN,
  LIGHT,
  openProblem,
  STRONG,
  strands,
  testSession,
  type Asked,
} from '../../lab/testing';
import type { Session, Trial } from '../../records/shapes';
import { dosesOf } from '../planning';
import { todayOptions } from './today';

const RECIPES = [STRONG, LIGHT, BALM];
/** It hardly stretches. */
const FIRM = strands(65, 60.5);
const SPRINGY = strands(78, 61);

const optionsWith = (asked: Asked) =>
  todayOptions(
    openProblem({ ...asked, history: { recipes: RECIPES, sessions: KNOWN, ...asked.history } }),
    0,
  );
const bestWith = (asked: Asked) => optionsWith(asked)[0]!;
const first = (asked: Asked) => bestWith(asked).drafts[0]?.treatment;

describe('what to do today', () => {
  it('is protein for hair that was just read gummy, moisture for hair that was read stiff, nothing for springy hair', () => {
    expect(first({ history: { readings: [GUMMY] } })?.firms).toBe(true);
    expect(first({ history: { readings: [FIRM] } })?.moistens).toBe(true);
    expect(bestWith({ history: { readings: [SPRINGY] } }).drafts).toEqual([]);
  });

  it('is better than nothing by more days than its minutes cost, or it is nothing', () => {
    for (const readings of [[GUMMY], [FIRM], [SPRINGY], []]) {
      const options = optionsWith({ history: { readings } });
      const nothing = options.find(({ drafts }) => drafts.length === 0)!;
      expect(options[0]!.cost).toBeLessThanOrEqual(nothing.cost);
      expect(options[0]!.outside).toBeLessThanOrEqual(nothing.outside);
      expect(nothing.minutes).toBe(0);
    }
  });

  it('is followed by moisture where it is a strong protein', () => {
    const strong = optionsWith({ history: { readings: [GUMMY] } }).filter(
      ({ drafts }) => drafts[0]?.treatment.strong,
    );
    expect(strong.length).toBeGreaterThan(0);
    for (const { drafts } of strong) expect(drafts[1]).toMatchObject({ slot: 'follow-up' });
  });

  it('is nothing on a day without minutes, and never longer than the day has', () => {
    const minutes = (count: number) => Array.from({ length: 7 }, () => count);
    const on = (count: number) =>
      optionsWith({ head: { freeMinutes: minutes(count) }, history: { readings: [FIRM] } });
    expect(on(0)).toHaveLength(1);
    for (const option of on(100)) expect(option.minutes).toBeLessThanOrEqual(100);
    expect(on(100).length).toBeLessThan(on(240).length);
  });

  it('is what she put there, in the dose that serves best', () => {
    const decision = {
      id: 'd',
      recordedAt: '2026-05-10T08:00:00Z',
      kind: 'decision',
      headId: 'h',
      day: from,
      slot: 'main',
      what: 'place',
      recipeId: 'balm',
    } as const;
    const options = optionsWith({ history: { readings: [GUMMY], decisions: [decision] } });
    expect(new Set(options.flatMap(({ drafts }) => drafts.map(({ recipeId }) => recipeId)))).toEqual(
      new Set(['balm']),
    );
  });
});

describe('while a trial runs', () => {
  const trial: Trial = {
    id: 'trial-1',
    recordedAt: '2026-05-10T08:00:00Z',
    kind: 'trial',
    trialId: 'trial-1',
    headId: 'h',
    recipeId: 'balm',
    againstId: 'light',
    signal: 'firmness',
    rounds: 3,
    washoutDays: 3,
    startsOn: from,
    endsBy: addDays(from, 60),
    givenUpOn: null,
  };
  const offered = (againstId: string | null) =>
    optionsWith({ history: { readings: [GUMMY], trials: [{ ...trial, againstId }] } }).filter(
      ({ drafts }) => drafts.length > 0,
    );

  it('offers its next wash alone, as it is written', () => {
    const ways = offered('light');
    expect(ways).toHaveLength(1);
    for (const { drafts } of [...ways, ...offered(null)]) expect(drafts[0]?.treatment.doseShare).toBe(1);
    const names = [...ways, ...offered(null)].map(({ drafts }) => drafts[0]?.recipeId);
    expect(names.every((name) => name === 'balm' || name === 'light')).toBe(true);
  });
});

describe('a part of a dose', () => {
  const problem = openProblem({ history: { recipes: RECIPES, sessions: KNOWN } });
  const head = problem.heads[0]!;

  it('does a part, and never more than is written of what firms', () => {
    for (const treatment of head.treatments) {
      const ways = dosesOf(head, treatment);
      if (treatment.firms)
        for (const way of ways) {
          expect(way.doseShare).toBeLessThanOrEqual(1 + 1e-9);
          expect(way.contactMinutes).toBeLessThanOrEqual(treatment.contactMinutes);
        }
      const usual = ways.find(
        ({ contactMinutes, warmth, amount }) =>
          contactMinutes === treatment.contactMinutes && warmth === treatment.warmth && amount === 1,
      );
      expect(usual?.effect.firmness.mean).toBeCloseTo(treatment.effect.firmness.mean, 9);
    }
  });

  const light = (daysAgo: number, contactMinutes: number): Session =>
    testSession('light', addDays(from, -daysAgo), { id: `light${daysAgo}`, contactMinutes });
  const mayProtein = (session: Session) =>
    optionsWith({ history: { readings: [GUMMY], sessions: [...KNOWN, session] } }).some(
      ({ drafts }) => drafts[0]?.recipeId === 'light',
    );

  it('keeps the next protein away for a part of the days', () => {
    expect(mayProtein(light(4, 30))).toBe(false);
    expect(mayProtein(light(4, 10))).toBe(true);
    expect(mayProtein(light(7, 30))).toBe(true);
  });

  it('keeps it away no longer the smaller it was', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 6 }), (daysAgo, sixth) => {
        if (mayProtein(light(daysAgo, 5 * sixth))) expect(mayProtein(light(daysAgo, 5))).toBe(true);
      }),
      { numRuns: 12 },
    );
  });
});
