import ICAL from 'ical.js';
import { addDays, calendarDay, type CalendarDay } from '../../base/measures';
import { estimateHair } from '../../hair/estimation';
import { headsIn, historyOf } from '../../hair/history';
import { demoRecords } from '../../lab/simulation';
import type { Plan } from '../../plan/planning';
import { planProblemFrom } from '../../plan/question';
import { searchSchedule } from '../../plan/scheduling';
import type { CalendarEntry } from '../../records/shapes';
import { calendarFile } from './calendarFile';

const STAMP = '2026-11-25T08:00:00Z';
const maren = { headId: 'maren', name: 'Maren', washFrom: [10, 18, 18, 17, 18, 18, 14] };

function planOn(today: CalendarDay, weeks = 4): Plan {
  const records = demoRecords(today);
  const [head] = headsIn(records);
  if (!head) throw new Error('the demo has a head');
  const state = estimateHair(head, historyOf(records, head.headId), today);
  return searchSchedule(planProblemFrom(records, [{ head, state }], today, weeks)).plans[0] as Plan;
}

/** Read by a parser that knows nothing of the writer. */
function eventsIn(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text));
  return calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    return {
      uid: event.uid,
      sequence: event.sequence,
      summary: event.summary,
      start: event.startDate.toString(),
      zone: event.startDate.zone?.tzid,
      isWholeDay: event.startDate.isDate,
      minutes: event.duration.toSeconds() / 60,
      status: component.getFirstPropertyValue('status'),
      alarms: component.getAllSubcomponents('valarm').length,
    };
  });
}

describe('the calendar file', () => {
  const today = calendarDay('2026-11-25');
  const plan = planOn(today);
  const file = calendarFile(plan, maren, [], STAMP);
  const events = eventsIn(file.text);

  it('has one event for each wash day, at the hour at which she may begin, in floating local time', () => {
    const washes = plan.days.filter(({ assignments }) => assignments.some(({ slot }) => slot === 'main'));
    const shown = events.filter(({ uid }) => uid.includes('-wash-'));
    expect(shown.map(({ start }) => start.slice(0, 10))).toEqual(washes.map(({ day }) => day));
    for (const { start, zone, status, alarms } of shown) {
      const weekday = new Date(`${start.slice(0, 10)}T12:00:00Z`).getUTCDay();
      expect(Number(start.slice(11, 13))).toBe(maren.washFrom[weekday]);
      expect([zone, status, alarms]).toEqual(['floating', 'CONFIRMED', 1]);
    }
    const [first] = washes;
    const own = first?.assignments.filter(
      ({ slot, overnight }) => ['main', 'pre-poo', 'follow-up'].includes(slot) && !overnight,
    );
    expect(shown[0]?.minutes).toBe(own?.reduce((total, { minutes }) => total + minutes, 0));
  });

  it('counts preparation back from the wash, with an alarm', () => {
    const tasks = plan.days.flatMap(({ preparation }) => preparation);
    const shown = events.filter(({ uid }) => uid.includes('-prepare-'));
    expect(tasks.length).toBeGreaterThan(0);
    expect(shown).toHaveLength(tasks.length);
    for (const task of tasks) {
      const event = shown.find(
        ({ summary, start }) => summary.includes(task.text) && start.startsWith(task.day),
      );
      expect(event?.alarms).toBe(1);
      if (task.leadHours === null) continue;
      const weekday = new Date(`${task.forDay}T12:00:00Z`).getUTCDay();
      const wash = new Date(`${task.forDay}T${maren.washFrom[weekday]}:00:00Z`).getTime();
      const ahead = (wash - new Date(`${event?.start}Z`).getTime()) / 3_600_000;
      expect(ahead).toBeGreaterThanOrEqual(task.leadHours);
    }
  });

  it('is the same text for the same plan, with no line over 75 octets', () => {
    expect(calendarFile(plan, maren, [], STAMP).text).toBe(file.text);
    expect(file.text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
  });

  it('exported again unchanged keeps every identity and sequence', () => {
    const again = calendarFile(plan, maren, file.entries, '2026-11-26T08:00:00Z');
    const identity = ({ uid, sequence }: CalendarEntry) => [uid, sequence];
    expect(again.entries.map(identity)).toEqual(file.entries.map(identity));
  });

  it('moves what moved and takes out what was dropped, under the same identities', () => {
    const washes = plan.days.filter(({ assignments }) => assignments.some(({ slot }) => slot === 'main'));
    const [moved, dropped] = washes;
    const days = plan.days.map((day) => {
      if (day === moved || day === dropped) return { ...day, assignments: [], preparation: [] };
      return day.day === addDays(moved?.day ?? today, 1)
        ? {
            ...day,
            assignments: (moved?.assignments ?? []).map((assignment) => ({ ...assignment, day: day.day })),
          }
        : day;
    });
    const again = calendarFile({ ...plan, days }, maren, file.entries, STAMP);
    const shown = eventsIn(again.text);
    const uidOf = (day: string | undefined) =>
      events.find(({ uid, start }) => uid.includes('-wash-') && start.startsWith(day ?? '-'))?.uid;
    const after = (uid: string | undefined) => shown.find((event) => event.uid === uid);
    expect(after(uidOf(moved?.day))).toMatchObject({ sequence: 1, status: 'CONFIRMED' });
    expect(after(uidOf(moved?.day))?.start.slice(0, 10)).toBe(addDays(moved?.day ?? today, 1));
    expect(after(uidOf(dropped?.day))).toMatchObject({ sequence: 1, status: 'CANCELLED' });
    // Planned again later it lives again, as the same event.
    const back = calendarFile(plan, maren, again.entries, STAMP);
    expect(eventsIn(back.text).find(({ uid }) => uid === uidOf(dropped?.day))).toMatchObject({
      sequence: 2,
      status: 'CONFIRMED',
    });
  });

  it('goes over a change of the clock and of the year without moving an hour', () => {
    for (const start of ['2026-12-28', '2027-03-22', '2026-10-19']) {
      const shown = eventsIn(calendarFile(planOn(calendarDay(start)), maren, [], STAMP).text);
      const washes = shown.filter(({ uid }) => uid.includes('-wash-'));
      expect(washes.length).toBeGreaterThan(1);
      for (const { start: begins } of washes) {
        const weekday = new Date(`${begins.slice(0, 10)}T12:00:00Z`).getUTCDay();
        expect(Number(begins.slice(11, 13))).toBe(maren.washFrom[weekday]);
      }
    }
  });

  it('carries no text as anything but text', () => {
    const [day, ...rest] = plan.days;
    const assignment = plan.days
      .flatMap(({ assignments }) => assignments)
      .find(({ slot }) => slot === 'main');
    if (!day || !assignment) throw new Error('there is a wash');
    const named = { ...assignment, day: day.day, name: 'Honey; oil,\nBEGIN:VEVENT\r\nUID:evil' };
    const hostile = calendarFile(
      { ...plan, days: [{ ...day, assignments: [named] }, ...rest] },
      maren,
      [],
      STAMP,
    );
    expect(eventsIn(hostile.text).some(({ uid }) => uid === 'evil')).toBe(false);
    expect(eventsIn(hostile.text).some(({ summary }) => summary.includes('Honey; oil'))).toBe(true);
  });
});
