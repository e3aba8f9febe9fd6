import { addDays, calendarDay } from '@/core/base/measures';
import {
  STAMP,
  testBatch,
  testHead,
  testHistory,
  testReading,
  testRecipe,
  testSession,
  testStrand,
} from '@/core/lab/testing';
import { makeLarder } from '@/core/recipe/larder';
import type { BatchEvent, WashDay } from '@/core/records/shapes';
import { foundIn, kindOfSession, logEntries } from './logEntries';
import { reportOf } from './report';

const today = calendarDay('2026-03-20');
const on = (back: number) => addDays(today, -back);
const head = testHead({ allergies: ['egg'], porosityGuess: 'high' });
const SILK = testRecipe('silk', ['200 ml rice water', '1 tbsp hydrolysed silk'], { name: 'Silk veil' });
const BALM = testRecipe('balm', ['100 g plain conditioner', '1 tbsp glycerin'], { name: 'Soft balm' });
const recipes = [SILK, BALM];
const late = testSession('silk', on(3), { id: 's2', contactMinutes: 95, grams: 62.4 });
const washDay: WashDay = {
  ...STAMP,
  kind: 'wash-day',
  id: 'w',
  headId: 'h',
  day: on(3),
  startedAt: '2026-03-17T18:00:00Z',
  endedAt: '2026-03-17T20:00:00Z',
  endedEarly: false,
  steps: [
    {
      id: 'main-wait',
      phase: 'wait',
      title: 'Silk veil works',
      slot: 'main',
      recipeId: 'silk',
      waits: true,
      planned: 30,
      real: 95,
      outcome: 'done',
    },
  ],
  felt: 'firm',
  changes: [],
  uses: [{ sessionId: 's2', recipeId: 'silk', slot: 'main', rating: 'again', leftGrams: 0 }],
  note: '',
};
const batch = testBatch('balm', on(5), { batchId: 'b', portions: 2, portionGrams: 57 });
const event = (what: BatchEvent['what'], back: number): BatchEvent => ({
  ...STAMP,
  kind: 'batch-event',
  id: `e${back}`,
  batchId: 'b',
  day: on(back),
  what,
  portions: 1,
  place: null,
  headId: what === 'used' ? 'h' : null,
  reason: what === 'discarded' ? 'it smelled sour' : '',
});
const history = testHistory({
  recipes,
  larder: makeLarder({ recipes }),
  sessions: [testSession('silk', on(16), { id: 's1' }), late, testSession('gone', on(1), { id: 's3' })],
  washDays: [washDay],
  readings: [
    testReading(on(2), { strands: [testStrand(60, 72, 62)], feel: 1 }, { moment: 'dry' }),
    testReading(on(40), { scalp: ['itch'], feel: 0 }),
  ],
  events: [{ ...STAMP, kind: 'event', id: 'ev', headId: 'h', day: on(4), what: 'heat', note: 'a wedding' }],
  patchTests: [
    {
      ...STAMP,
      kind: 'patch-test',
      id: 'p',
      headId: 'h',
      recipeId: 'balm',
      startedOn: on(60),
      outcome: 'reacted',
      note: '',
    },
  ],
});
const shelf = { batches: [batch], batchEvents: [event('used', 3), event('discarded', 0)] };
const entries = logEntries(head, history, shelf);
const titled = (text: string) => entries.find(({ title }) => title.includes(text));

describe('the log', () => {
  it('holds everything, the newest first; a use of the shelf stands among the treatments only', () => {
    expect(entries.map(({ day }) => day)).toEqual([...entries.map(({ day }) => day)].sort().reverse());
    expect(entries.map(({ kind }) => kind).sort()).toEqual(
      ['events', 'readings', 'readings', 'shelf', 'shelf', 'treatments', 'treatments', 'treatments'].sort(),
    );
    expect(entries[0]?.title).toContain('threw out Soft balm');
    expect(entries[0]?.text()).toBe('it smelled sour');
  });

  it('tells a treatment as it was planned and as it was, how it felt, and when it was done before', () => {
    expect(titled('17 Mar 2026, Silk veil')?.text()).toBe(
      'protein, fairly strong · 95 min (30 planned) · 62 g · felt firm · again · 13 days after the time before',
    );
    expect(titled('4 Mar 2026, Silk veil')?.text()).toContain('for the first time');
    expect(titled('a recipe that is no longer here')?.text()).toContain('30 min');
  });

  it('finds the wash day of a treatment that was corrected since, by what it corrects', () => {
    const corrected = { ...late, id: 's9', corrects: 's2', contactMinutes: 50, day: on(2) };
    const [found] = logEntries(head, { ...history, sessions: [corrected] }, shelf).filter(
      ({ kind }) => kind === 'treatments',
    );
    expect(found?.kind === 'treatments' && found.washDay?.id).toBe('w');
  });

  it('is looked through by words in any order and any case', () => {
    const names = (query: string) => foundIn(entries, query).map(({ title }) => title);
    expect(names('SILK again')).toHaveLength(1);
    expect(names('wedding')).toHaveLength(1);
    expect(names('sour balm')).toHaveLength(1);
    expect(names('  ')).toHaveLength(entries.length);
    expect(names('nothing like this')).toEqual([]);
  });

  it('knows the kind of a treatment for its mark, and none where its recipe is gone', () => {
    expect(history.sessions.map((session) => kindOfSession(head, history, session))).toEqual([
      'protein',
      'protein',
      null,
    ]);
  });
});

describe('the sheet for a stylist or a doctor', () => {
  const parts = new Map(reportOf(head, history, today).map(({ title, lines }) => [title, lines]));

  it('says who it is, and what this head reacts to', () => {
    expect(parts.get('The person')).toEqual([
      '30 cm long, medium density, medium strands; water: soaks at once',
      'Age: grown up',
      'Reacts to: egg',
    ]);
  });

  it('lists what was read, what went on with its minutes, and what of', () => {
    expect(parts.get('Last checks')?.[0]).toContain('18 Mar 2026');
    expect(parts.get('Treatments of the last twelve weeks')?.[1]).toBe(
      '17 Mar 2026: Silk veil, protein, fairly strong, 95 min, 62 g',
    );
    expect(parts.get('What went on, most often first')?.[0]).toContain('(2)');
  });

  it('never leaves out what the skin did', () => {
    const signs = parts.get('Reactions and signs of the last year')?.join('; ');
    expect(signs).toContain('skin reacted to Soft balm');
    expect(signs).toContain('itch');
    expect(parts.get('What else happened in the last year')).toEqual([
      '16 Mar 2026: heat styling, a wedding',
    ]);
  });

  it('says so where nothing was written down', () => {
    const empty = reportOf(testHead(), testHistory(), today).map(({ lines }) => lines);
    expect(empty.every((lines) => lines.length > 0)).toBe(true);
    expect(empty.flat()).toEqual(
      expect.arrayContaining(['No allergies known', 'None yet', 'None were logged']),
    );
  });
});
