import fc from 'fast-check';
import { fromShown, inShown, lengthText, massText, showUnits, unitShown } from './shownUnits';

afterEach(() => showUnits('metric'));

describe('inches and ounces', () => {
  it('are what lengths and weights are shown in once they are chosen', () => {
    expect([lengthText(46), massText(160), massText(4.25), unitShown('length')]).toEqual([
      '46 cm',
      '160 g',
      '4.3 g',
      'cm',
    ]);
    showUnits('inches');
    expect([lengthText(46), massText(160), massText(4.25), unitShown('mass')]).toEqual([
      '18.1 in',
      '5.6 oz',
      '0.15 oz',
      'oz',
    ]);
  });

  it('come back as what was typed', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 300, noNaN: true }), (value) => {
        for (const units of ['metric', 'inches'] as const) {
          showUnits(units);
          expect(inShown('length', fromShown('length', value))).toBeCloseTo(value, 9);
          expect(inShown('mass', fromShown('mass', value))).toBeCloseTo(value, 9);
        }
      }),
    );
  });
});
