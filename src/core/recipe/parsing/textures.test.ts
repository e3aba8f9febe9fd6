import fc from 'fast-check';
import { weighedOf } from '../../lab/testing';
import { TEXTURES, waterFor } from './textures';

const partsOf = (...lines: string[]) => weighedOf(lines);

describe('the water that a texture takes', () => {
  it('is more the thinner it is, and grows with what is dry', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 400 }), (grams) => {
        const waters = TEXTURES.map((texture) => waterFor(texture, partsOf(`${grams} g henna`)) ?? NaN);
        expect([...waters].sort((a, b) => a - b)).toEqual(waters);
        const twice = waterFor('yogurt', partsOf(`${2 * grams} g henna`)) ?? NaN;
        expect(twice).toBeCloseTo(2 * (waters[2] ?? NaN), 6);
      }),
      { numRuns: 40 },
    );
  });

  it('is what makers use: henna two and a half to three times its weight for yogurt, clay about its own', () => {
    const times = (line: string) => (waterFor('yogurt', partsOf(`100 g ${line}`)) ?? 0) / 100;
    expect(times('henna')).toBeGreaterThan(2.5);
    expect(times('henna')).toBeLessThan(3.1);
    expect(times('bentonite')).toBeGreaterThan(0.9);
    expect(times('bentonite')).toBeLessThan(1.6);
  });

  it('is less by what other liquids bring, never under nothing, and unknown where nothing swells', () => {
    const alone = waterFor('cream', partsOf('60 g henna')) ?? NaN;
    expect(waterFor('cream', partsOf('60 g henna', '50 g rose water'))).toBeCloseTo(alone - 49.9, 1);
    expect(waterFor('cream', partsOf('10 g henna', '500 g water'))).toBe(0);
    expect(waterFor('cream', partsOf('3 tbsp olive oil', '2 tbsp milk'))).toBeNull();
  });
});
