import { calendarDay } from '@/core/base/measures';
import { estimateHair } from '@/core/hair/estimation';
import { STAMP, testHead, testHistory, testReading, testSession } from '@/core/lab/testing';
import { storedRecordSchema } from '@/core/records/shapes';
import { forecastsBefore } from './forecastsBefore';

const today = calendarDay('2026-05-10');
const head = testHead();
const states = { [head.headId]: estimateHair(head, testHistory({}), today) };
const reading = { ...testReading(today, { feel: 1 }), headId: head.headId };
const of = (record: Parameters<typeof forecastsBefore>[0][number]) =>
  forecastsBefore([record], states, () => ({ ...STAMP, id: 'f' }));

describe('what was thought of the hair before a reading', () => {
  it('is stored with it, and can be stored', () => {
    const [forecast] = of(reading);
    const { mean, sd } = states[head.headId]!.signals.firmness;
    expect(forecast).toMatchObject({
      readingId: reading.id,
      day: today,
      signals: { firmness: { mean, sd } },
    });
    expect(storedRecordSchema.safeParse(forecast).success).toBe(true);
  });

  it('is not told of a correction, of another day, of somebody unknown, or of a treatment', () => {
    expect(of({ ...reading, corrects: 'x' })).toEqual([]);
    expect(of({ ...reading, day: calendarDay('2026-05-09') })).toEqual([]);
    expect(of({ ...reading, headId: 'somebody' })).toEqual([]);
    expect(of(testSession('balm', today, { headId: head.headId }))).toEqual([]);
  });
});
