import fc from 'fast-check';
import { calendarDay } from '../../base/measures';
import { testHead, testSession } from '../../lab/testing';
import { amountFactor, sessionDose } from './dose';

const day = calendarDay('2026-05-10');

describe('the dose of a session', () => {
  it('is one for the usual amount, about two thirds for half of it, never twice for twice', () => {
    expect(amountFactor(1)).toBe(1);
    expect(amountFactor(0.5)).toBeCloseTo(0.68, 2);
    expect(amountFactor(2)).toBeLessThan(1.3);
  });

  it('grows with the amount, ever less', () => {
    const share = fc.double({ min: 0.05, max: 5, noNaN: true });
    fc.assert(
      fc.property(share, share, (a, b) => {
        const [little, much] = [Math.min(a, b), Math.max(a, b)];
        expect(amountFactor(much)).toBeGreaterThanOrEqual(amountFactor(little));
        expect(amountFactor(much) / much).toBeLessThanOrEqual(amountFactor(little) / little + 1e-12);
      }),
    );
  });

  it('asks less of an oil than of a mask for the same grams', () => {
    const head = testHead();
    const session = testSession('x', day, { grams: 20 });
    expect(sessionDose(session, head, 'oil')).toBeGreaterThan(sessionDose(session, head, 'mask'));
  });

  it('knows half of the usual amount without a scale', () => {
    const head = testHead();
    const of = (changes: Parameters<typeof testSession>[2]) =>
      sessionDose(testSession('x', day, changes), head, 'mask');
    expect(of({ amount: 0.5 })).toBeCloseTo(of({}) * amountFactor(0.5), 9);
    // What was weighed is known better than what was meant.
    expect(of({ amount: 0.5, grams: 500 })).toBe(of({ grams: 500 }));
  });

  it('follows contact alone where nobody weighed', () => {
    const head = testHead();
    const [short, usual] = [10, 30].map((contactMinutes) =>
      sessionDose(testSession('x', day, { contactMinutes }), head, 'mask'),
    );
    expect(usual).toBe(1);
    expect(short).toBeLessThan(0.6);
  });
});
