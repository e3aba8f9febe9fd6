import { addDays, calendarDay, type CalendarDay } from '@/core/base/measures';
import { brightnessFactor, monthsPictured } from './photoPair';

const day = calendarDay('2026-05-10');
const on = (from: CalendarDay, days: number) => ({ day: addDays(from, days) });

describe('pictures of one place', () => {
  it('are shown as bright as one another, as far as that is a picture still', () => {
    expect(brightnessFactor(120, 100)).toBeCloseTo(1.2, 9);
    expect(brightnessFactor(200, 20)).toBe(1.6);
    expect(brightnessFactor(20, 200)).toBe(1 / 1.6);
    expect(brightnessFactor(0, 100)).toBe(1);
  });

  it('make a streak through the year, over its turn too', () => {
    const months = monthsPictured([on(day, 0), on(day, -40), on(day, -400)], calendarDay('2026-02-10'));
    expect(months.map(({ month }) => month)).toHaveLength(12);
    expect([months[0]?.month, months.at(-1)?.month]).toEqual(['2025-03', '2026-02']);
    const has = monthsPictured([on(day, 0), on(day, -40)], day);
    expect(has.filter((each) => each.has).map(({ month }) => month)).toEqual(['2026-03', '2026-05']);
  });
});
