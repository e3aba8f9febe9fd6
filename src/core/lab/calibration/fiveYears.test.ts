import { addDays, calendarDay } from '../../base/measures';
import { trialReport } from '../../hair/evidence';
import { headsIn, historyOf } from '../../hair/history';
import { trialOrder, trialState } from '../../hair/trials';
import { demoRecords } from '../simulation';
import { testHead, testRecipe } from '../testing';
import { fiveYears } from './fiveYears';

const today = calendarDay('2026-05-13');

describe('five years of a head', () => {
  const recipes = ['200 ml rice water', '3 tbsp linseed, soaked', '2 tbsp honey'].map((line, index) =>
    testRecipe(`r${index}`, [line, '100 ml water']),
  );
  const records = fiveYears(testHead(), recipes, today);
  const count = (kind: string) => records.filter((record) => record.kind === kind).length;

  it('are two washes a week, read before and when dry, of every recipe', () => {
    expect(count('session')).toBeGreaterThan(480);
    expect(count('reading')).toBeGreaterThan(2 * 480);
    const used = new Set(records.flatMap((record) => (record.kind === 'session' ? [record.recipeId] : [])));
    expect(used.size).toBe(3);
    expect(records.every((record) => !('day' in record) || record.day < today)).toBe(true);
  });

  it('are the same each time', () => {
    expect(fiveYears(testHead(), recipes, today)).toEqual(records);
  });
});

describe('the trial of the demo', () => {
  it.each([0, 1, 2, 3, 4, 5, 6])('is washed in the order that was drawn, %d days on', (days) => {
    const now = addDays(today, days);
    const records = demoRecords(now);
    const history = historyOf(records, 'pip');
    const [trial] = history.trials;
    const state = trialState(trial!, history.trialWashes, history.readings, now);
    expect(state.washes.map(({ arm }) => arm)).toEqual(trialOrder(trial!).slice(0, state.done));
    expect(state.done).toBeGreaterThanOrEqual(5);
    const pip = headsIn(records).find(({ headId }) => headId === 'pip')!;
    const report = trialReport(trial!, state.washes, history.readings, history.sessions, pip, true);
    expect(report.rows.filter(({ change }) => change !== null).length).toBeGreaterThanOrEqual(state.done - 1);
    expect(report.besides).toEqual([]);
  });
});
