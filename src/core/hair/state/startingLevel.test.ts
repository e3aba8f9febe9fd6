import { startingLevel } from './signals';

type Asked = Parameters<typeof startingLevel>[0];
const head: Asked = { complaints: [], porosityGuess: 'unknown', chemistry: [] };
const porosity = (changed: Partial<Asked>) => startingLevel({ ...head, ...changed }).porosity;

describe('where porosity starts', () => {
  it('is the middle where nothing is known', () => {
    expect(porosity({})).toBe(0);
  });

  it('is higher after what opens the strand, the more the more it opens it; the strongest of several counts', () => {
    const after = (...chemistry: ('bleached' | 'relaxed' | 'permed' | 'coloured' | 'henna')[]) =>
      porosity({ chemistry });
    expect(after('bleached')).toBeGreaterThan(after('permed'));
    expect(after('permed')).toBeGreaterThan(after('coloured'));
    expect(after('coloured')).toBeGreaterThan(0);
    expect(after('henna')).toBe(0);
    expect(after('coloured', 'bleached', 'henna')).toBe(after('bleached'));
  });

  it('is what she saw, whatever was done', () => {
    expect(porosity({ porosityGuess: 'low', chemistry: ['bleached'] })).toBe(-1);
    expect(porosity({ porosityGuess: 'medium', chemistry: ['bleached'] })).toBe(0);
  });
});
