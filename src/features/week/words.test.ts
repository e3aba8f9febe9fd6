import { addDays, calendarDay } from '@/core/base/measures';
import { testOccasion, testRhythm } from '@/core/lab/testing';
import { rhythmState, RULE_KEYS, PLAN_RULES, USUAL_CHOICES } from '@/core/plan/agenda';
import { TRYOUT_RHYTHMS } from '@/core/plan/scheduling';
import { OCCASIONS, type Occasion, type Rhythm } from '@/core/records/shapes';
import { schoolChoices } from '../shared/schoolChoices';
import { occasionWords } from './occasionWords';
import { rhythmStateWords } from './rhythmStateWords';
import { rhythmLabels } from './rhythmWords';
import { ruleText, stepOf } from './ruleWords';

const monday = calendarDay('2026-03-02');
const occasion = ({ what = 'style', to = addDays(monday, 20), ...changes }: Partial<Occasion>): Occasion =>
  testOccasion(what, monday, to, { minutes: null, ...changes });

describe('what is coming, in words', () => {
  it('is named with its days: one day in full, a stretch from when to when', () => {
    expect(occasionWords(occasion({})).title).toBe('A protective style, Mon 2 Mar to Sun 22 Mar');
    expect(occasionWords(occasion({ what: 'look-good', to: monday })).title).toBe(
      'A day to look good, Monday 2 March',
    );
  });

  it('tells other hours in minutes, 0 where she is away', () => {
    expect(occasionWords(occasion({ what: 'hours', minutes: 90 })).text).toContain('90 minutes a day');
    expect(occasionWords(occasion({ what: 'hours', minutes: null })).text).toContain('0 minutes a day');
  });

  it('has words of its own for every kind', () => {
    const texts = OCCASIONS.map((what) => occasionWords(occasion({ what })).text);
    expect(new Set(texts).size).toBe(OCCASIONS.length);
  });
});

describe('a rhythm, in words', () => {
  const rhythm = testRhythm(monday, {
    when: { every: 'week', times: 2 },
    until: addDays(monday, 27),
  });
  const said = (offsets: readonly number[], today: number, changes: Partial<Rhythm> = {}) => {
    const days = offsets.map((offset) => addDays(monday, offset));
    const state = rhythmState({ ...rhythm, ...changes }, days, addDays(monday, today));
    const { headline, lines } = rhythmStateWords(state);
    return [headline, ...lines];
  };

  it.each([
    ['nothing yet', said([], 0), 'It has begun.', '2 more are wanted now.'],
    ['one short', said([1], 3), 'It has begun.', 'One more is wanted now.'],
    ['a week kept', said([1, 3], 8), 'Kept once in a row.', '2 more are wanted'],
    ['two weeks kept', said([1, 3, 8, 9], 13), 'Kept 2 times in a row.', '2 kept, 0 missed'],
    [
      'a week missed',
      said([1], 8),
      'The last one was missed. The next one counts again.',
      '0 kept, 1 missed',
    ],
    [
      'told late',
      said([], 15, { toldOn: addDays(monday, 14) }),
      'It has begun.',
      '2 lie before you told of it.',
    ],
  ])('%s', (_, words, headline, line) => {
    expect(words[0]).toBe(headline);
    expect(words.join(' ')).toContain(line);
  });

  it('over, it says how often it was kept and asks for nothing more', () => {
    expect(said([1, 3, 8, 9, 22, 23], 30)).toEqual([
      'Over: kept 3 times.',
      '3 kept, 1 missed; the longest run is 2.',
    ]);
    expect(said([1, 3], 30, { endedOn: addDays(monday, 9) })[0]).toBe('Given up on 11 March, kept 1 time.');
  });
});

describe('the rules, in words', () => {
  it('give every value its unit', () => {
    expect(ruleText({ unit: 'share' }, 0.4)).toBe('40 %');
    expect([1, 7].map((days) => ruleText({ unit: 'days' }, days))).toEqual(['1 day', '7 days']);
    expect(ruleText({ unit: 'minutes' }, 60)).toBe('60 min');
    expect(ruleText({ unit: 'a week' }, 2)).toBe('2 a week');
    expect(ruleText({ unit: 'pieces' }, 1)).toBe('1');
  });

  it('a press from the usual value stays within what the rule allows, one way at least', () => {
    for (const key of RULE_KEYS) {
      const { value, least, most } = PLAN_RULES[key];
      const step = stepOf(PLAN_RULES[key]);
      expect(value + step <= most || value - step >= least).toBe(true);
    }
  });

  it('every school is offered with both sides explained, the usual one among them', () => {
    for (const { key, options } of schoolChoices()) {
      expect(options.map(({ value }) => value)).toContain(USUAL_CHOICES[key]);
      expect(options.length).toBeGreaterThan(1);
      for (const { hint } of options) expect(hint).toMatch(/\w.{20,}\.$/);
    }
  });

  it('every rhythm that can be tried has a name and says what it is', () => {
    const labels = TRYOUT_RHYTHMS.map((id) => rhythmLabels()[id].label);
    expect(new Set(labels).size).toBe(TRYOUT_RHYTHMS.length);
  });
});
