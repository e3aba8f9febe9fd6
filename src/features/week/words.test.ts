import { addDays, calendarDay } from '@/core/base/measures';
import { testChallenge, testOccasion } from '@/core/lab/testing';
import { challengeState, RULE_KEYS, PLAN_RULES, USUAL_CHOICES } from '@/core/plan/agenda';
import { TRYOUT_RHYTHMS } from '@/core/plan/scheduling';
import { OCCASIONS, type Challenge, type Occasion } from '@/core/records/shapes';
import { schoolChoices } from '../shared/schoolChoices';
import { challengeWords, occasionWords } from './occasionWords';
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

describe('a challenge, in words', () => {
  const challenge = testChallenge(monday, { perWeek: 2, weeks: 4 });
  const said = (offsets: readonly number[], today: number, changes: Partial<Challenge> = {}) => {
    const days = offsets.map((offset) => addDays(monday, offset));
    const { headline, lines } = challengeWords(
      challengeState({ ...challenge, ...changes }, days, addDays(monday, today)),
    );
    return [headline, ...lines];
  };

  it.each([
    ['nothing yet', said([], 0), 'It has begun.', 'This week wants 2 more moisture treatments.'],
    ['one short', said([1], 3), 'It has begun.', 'This week wants 1 more moisture treatment.'],
    ['a week kept', said([1, 3], 8), 'One week in a row.', 'wants 2 more'],
    ['two weeks kept', said([1, 3, 8, 9], 13), '2 weeks in a row.', 'This week is kept.'],
    [
      'a week missed',
      said([1], 8),
      'The last week was missed. The next one counts again.',
      '0 kept, 1 missed',
    ],
  ])('%s', (_, words, headline, line) => {
    expect(words[0]).toBe(headline);
    expect(words.join(' ')).toContain(line);
  });

  it('over, it says how many weeks were kept and asks for nothing more', () => {
    expect(said([1, 3, 8, 9, 22, 23], 30)).toEqual([
      'Over: 3 of 4 weeks kept.',
      '3 kept, 1 missed, of 4; the longest run is 2.',
    ]);
    expect(said([1, 3], 30, { givenUpOn: addDays(monday, 9) })[0]).toBe(
      'Given up on 11 March, after 1 of 4 weeks.',
    );
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
