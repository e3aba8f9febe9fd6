import { addDays, calendarDay } from '../../base/measures';
import { testHead, testHistory, testReading, testRecipe, testSession } from '../../lab/testing';
import { estimateHair } from './estimate';
import { effectSources, timelineOf, withoutDoubles } from './timeline';

const today = calendarDay('2026-05-10');
const head = testHead();
const gel = testRecipe('gel', ['3 tbsp linseed, soaked', '300 ml water']);

describe('what happened, in order', () => {
  const day = addDays(today, -2);
  const readings = [
    testReading(day, { feel: 1 }, { id: 'after', moment: 'after' }),
    testReading(day, { feel: -1 }, { id: 'before' }),
    testReading(addDays(day, 1), { feel: 0 }, { id: 'dry', moment: 'dry' }),
  ];
  const history = testHistory({
    recipes: [gel],
    sessions: [testSession('gel', day)],
    events: [
      {
        kind: 'event',
        id: 'e',
        recordedAt: '2026-05-09T10:00:00Z',
        headId: 'h',
        day,
        what: 'swim',
        note: '',
      },
    ],
    readings,
  });
  const sources = effectSources([gel], history.events, head.school, history.larder);
  const names = timelineOf(history, sources, today, head).map((step) =>
    step.what === 'measure' ? step.measurement.readingId : sources[step.effect]?.key,
  );

  it('has events first in a day, then the reading before, the treatment, the reading after; a dry reading comes later', () => {
    expect(names).toEqual(['event:swim', 'before', 'recipe:gel', 'after', 'dry']);
  });

  it('does not ask a clock: a reading before that was written down late, or under a clock set back, is still before', () => {
    const late = readings.map((reading) =>
      reading.id === 'before' ? { ...reading, recordedAt: '2026-05-10T23:00:00Z' } : reading,
    );
    const early = readings.map((reading) =>
      reading.id === 'after' ? { ...reading, recordedAt: '2026-03-29T00:30:00Z' } : reading,
    );
    const signals = (part: typeof readings) =>
      estimateHair(head, { ...history, readings: part }, today).signals.firmness.mean;
    expect(signals(late)).toBe(signals(readings));
    expect(signals(early)).toBe(signals(readings));
  });

  it('puts a dry reading that was written down before that day’s wash before it, whatever the wash that dried', () => {
    const washed = testSession('gel', day, { recordedAt: `${day}T18:00:00Z` });
    const orderOf = (recordedAt: string, session = washed) =>
      timelineOf(
        { ...history, events: [], sessions: [session], readings: [{ ...readings[2]!, day, recordedAt }] },
        sources,
        today,
        head,
      ).map(({ what }) => what);
    expect(orderOf(`${day}T08:00:00Z`)).toEqual(['measure', 'push']);
    expect(orderOf(`${day}T21:00:00Z`)).toEqual(['push', 'measure']);
    // What was written down on another day tells nothing of the hour.
    expect(orderOf(`${day}T08:00:00Z`, { ...washed, recordedAt: `${today}T08:00:00Z` })).toEqual([
      'push',
      'measure',
    ]);
  });

  it('ends with the day that is asked about', () => {
    expect(timelineOf(history, sources, day, head)).toHaveLength(4);
  });
});

describe('readings written twice', () => {
  const day = addDays(today, -1);

  it('are one, however often; another value, moment or day is another reading', () => {
    const one = testReading(day, { feel: 1 }, { id: '1' });
    const same = { ...one, id: '2', recordedAt: '2026-05-10T12:00:00Z' };
    const other = [
      { ...one, id: '3', feel: 2 },
      { ...one, id: '4', moment: 'dry' as const },
      { ...one, id: '5', day: today },
    ];
    expect(withoutDoubles([one, same, ...other]).map(({ id }) => id)).toEqual(['1', '3', '4', '5']);
  });
});
