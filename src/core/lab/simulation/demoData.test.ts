import { calendarDay, dayRange } from '../../base/measures';
import { strandsTogether } from '../../hair/checks';
import { estimateHair } from '../../hair/estimation';
import { headsIn, historyOf } from '../../hair/history';
import { planProblemFrom } from '../../plan/question';
import { searchSchedule } from '../../plan/scheduling';
import { classify } from '../../recipe/classification';
import { newestVersions } from '../../recipe/larder';
import { storedRecordSchema, type Head } from '../../records/shapes';
import { parsedOf } from '../testing';
import { demoRecords } from './demoData';
import { VirtualHead } from './virtualHead';

const week = dayRange(calendarDay('2026-11-22'), 7);

describe('the demo', () => {
  it('is the same for the same day and holds valid records only', () => {
    const [day] = week as [(typeof week)[number]];
    expect(demoRecords(day)).toEqual(demoRecords(day));
    for (const record of demoRecords(day))
      expect(storedRecordSchema.safeParse(record).error?.issues ?? []).toEqual([]);
  });

  it.each(week)(
    'tells its story on %s: Maren is too soft and gets protein, Pip keeps his rhythm',
    (today) => {
      const records = demoRecords(today);
      const [maren, pip] = headsIn(records);
      if (!maren || !pip) throw new Error('two heads are expected');
      const answer = [maren, pip].map((head) => {
        const state = estimateHair(head, historyOf(records, head.headId), today);
        const [plan] = searchSchedule(planProblemFrom(records, [{ head, state }], today, 1)).plans;
        return { state, plan };
      });
      expect(answer.map(({ state }) => state.need.kind)).toEqual(['protein', 'keep']);
      const first = answer[0]?.plan?.days
        .flatMap((day) => day.assignments)
        .find((assignment) => assignment.slot === 'main');
      expect(first?.kind).toBe('protein');
      expect(records.every((record) => !('day' in record) || record.day < today)).toBe(true);
    },
  );

  it('has ten recipes of every kind of use, a gel used in another and a formula among them', () => {
    const { recipes: versions, larder } = historyOf(demoRecords(calendarDay('2026-11-25')), 'maren');
    const recipes = newestVersions(versions);
    expect(recipes).toHaveLength(10);
    for (const { text } of recipes) {
      const parsed = parsedOf(text.split('\n'), larder);
      expect(parsed.lines.every((line) => line.status !== 'unread')).toBe(true);
      expect(classify(parsed, 'my-hair', larder).ok).toBe(true);
    }
    expect(new Set(recipes.map(({ use }) => use))).toEqual(new Set(['mask', 'pre-poo', 'rinse']));
  });
});

describe('a virtual head', () => {
  it('shows its firmness in the strands it sheds', () => {
    for (const complaints of [['limp'], [], ['stiff']] as Head['complaints'][]) {
      const virtual = new VirtualHead(
        { complaints, porosityGuess: 'medium' },
        { seed: 7, halfLifeDays: 8, restShift: { firmness: 0, breakage: 0, porosity: 0 } },
      );
      const { strands } = virtual.read(200, 3);
      const { firmness } = strandsTogether(strands);
      expect(Math.abs(firmness - virtual.level('firmness'))).toBeLessThan(0.15);
    }
  });

  it('recovers toward its rest', () => {
    const virtual = new VirtualHead(
      { complaints: ['limp'], porosityGuess: 'medium' },
      { seed: 3, halfLifeDays: 5, restShift: { firmness: 1, breakage: 0, porosity: 0 } },
    );
    const start = virtual.level('firmness');
    for (let day = 0; day < 60; day++) virtual.passDay();
    expect(virtual.level('firmness')).toBeGreaterThan(start);
  });
});
