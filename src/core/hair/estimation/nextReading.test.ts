import { SIGNALS } from '../state';
import { nextReadings } from './nextReading';

const at = (firmness: [number, number], breakage = [Math.log(4), 0.2], porosity = [0, 0.2]) =>
  nextReadings({
    firmness: { mean: firmness[0], sd: firmness[1], comfortZone: SIGNALS.firmness.comfortZone },
    breakage: { mean: breakage[0]!, sd: breakage[1]!, comfortZone: SIGNALS.breakage.comfortZone },
    porosity: { mean: porosity[0]!, sd: porosity[1]!, comfortZone: SIGNALS.porosity.comfortZone },
  });

describe('the reading that settles the need fastest', () => {
  it('is the stretch of five strands while firmness is in doubt', () => {
    const [best, ...rest] = at([-0.5, 0.7]);
    expect(best).toMatchObject({ test: 'stretch', signal: 'firmness' });
    expect(best!.bits).toBeGreaterThan(rest.find(({ test }) => test === 'feel')!.bits);
    expect(best!.bits).toBeLessThan(best!.ofBits);
  });

  it('is a porosity test where only sealing is in doubt', () => {
    expect(at([0, 0.1], undefined, [1, 0.7])[0]?.test).toBe('porosity');
  });

  it('is a count where hair that drinks may or may not break', () => {
    expect(at([-0.3, 0.15], [Math.log(8), 0.8], [2, 0.1])[0]?.test).toBe('tally');
  });

  it('tells next to nothing where all is known', () => {
    expect(at([0, 0.05])[0]!.bits).toBeLessThan(0.01);
  });

  it('never adds doubt on the average', () => {
    for (const mean of [-2, -1, -0.5, 0, 0.5, 1, 2])
      for (const sd of [0.1, 0.4, 0.9])
        for (const { bits, ofBits } of at([mean, sd])) {
          expect(bits).toBeGreaterThanOrEqual(0);
          expect(bits).toBeLessThanOrEqual(ofBits + 1e-9);
        }
  });
});
