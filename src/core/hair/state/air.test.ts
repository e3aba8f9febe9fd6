import { AIR, airAdvice, forecastSchema } from './air';

describe('the air of a day', () => {
  it('says nothing between dry and humid, and names the dew point outside', () => {
    expect(airAdvice({ dewPointC: AIR.dryBelowC })).toBeNull();
    expect(airAdvice({ dewPointC: AIR.humidFromC - 0.1 })).toBeNull();
    expect(airAdvice({ dewPointC: AIR.dryBelowC - 0.6 })).toContain('dew point 3 °C');
    expect(airAdvice({ dewPointC: -8.2 })).toContain('dew point -8 °C');
    expect(airAdvice({ dewPointC: AIR.humidFromC })).toContain('Humid air');
  });

  it.each([
    ['no list', {}],
    ['a day that is none', { daily: [{ time: '2026-02-30', dewPointC: 3 }] }],
    ['air that no weather has', { daily: [{ time: '2026-02-03', dewPointC: 80 }] }],
    ['more than a month', { daily: Array(32).fill({ time: '2026-02-03', dewPointC: 3 }) }],
  ])('a forecast with %s is not taken', (_, told) => {
    expect(forecastSchema.safeParse(told).success).toBe(false);
  });
});
