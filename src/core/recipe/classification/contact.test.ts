import fc from 'fast-check';
import { doseOf } from './contact';

describe('the dose', () => {
  it('is one at half an hour in a warm room', () => {
    expect(doseOf(30, 'room')).toBe(1);
    expect(doseOf(0, 'room')).toBe(0);
  });

  it('grows with time, but the second hour adds little', () => {
    expect(doseOf(60, 'room')).toBeGreaterThan(doseOf(30, 'room'));
    expect(doseOf(120, 'room') - doseOf(60, 'room')).toBeLessThan(0.15);
  });

  it('is greater under a warm cap, and never falls with time', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 700 }),
        fc.constantFrom('room' as const, 'warm' as const),
        (minutes, warmth) => {
          expect(doseOf(minutes, 'warm')).toBeGreaterThanOrEqual(doseOf(minutes, 'room'));
          expect(doseOf(minutes + 1, warmth)).toBeGreaterThanOrEqual(doseOf(minutes, warmth));
        },
      ),
    );
  });
});
