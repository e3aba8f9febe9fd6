import { plural, t } from '@lingui/core/macro';
import ical, {
  ICalAlarmType,
  ICalCalendarMethod,
  ICalEventStatus,
  ICalEventTransparency,
} from 'ical-generator';
import {
  addDays,
  daysBetween,
  sum,
  textHash,
  weekdayOf,
  type CalendarDay,
  type Instant,
} from '../../base/measures';
import { BEDTIME_MINUTE, isSmall, PLAIN_WASH_ID } from '../../plan/agenda';
import type { Assignment, DayNote, Plan, PrepTask } from '../../plan/planning';
import type { CalendarEntry, Head } from '../../records/shapes';

/** A calendar file, and what has to be remembered for the next one. */
export interface CalendarFile {
  readonly text: string;
  readonly entries: readonly CalendarEntry[];
}

/** One event before it has an identity. */
interface Event {
  readonly sort: CalendarEntry['sort'];
  readonly about: string;
  readonly day: CalendarDay;
  /** From midnight of its day; negative on the day before. Null for the whole day. */
  readonly startMinute: number | null;
  readonly minutes: number;
  readonly summary: string;
  readonly description: string;
}

const HOUR = 60;
const DAY_MINUTES = 24 * HOUR;
/** Patch tests and other things without an hour of their own. */
const MORNING_MINUTE = 9 * HOUR;
const PREPARE_MINUTES = 10;
/** The same treatment within so many days of where it was is the same entry, moved. */
const MOVED_WITHIN_DAYS = 14;
/** Entries that lie this far back are forgotten. */
const REMEMBERED_DAYS = 60;

/**
 * The plan of one head as an iCalendar file (RFC 5545). Times are floating: a wash at six is at six wherever she is, and when
 * the clock changes. What was exported before keeps its identity, with a higher sequence where it changed, and is cancelled
 * where it is no longer planned.
 * @param stamp when the file is written
 */
export function calendarFile(
  plan: Plan,
  head: Pick<Head, 'headId' | 'name' | 'washFrom'>,
  before: readonly CalendarEntry[],
  stamp: Instant,
): CalendarFile {
  const events = eventsOf(plan, head);
  const { known, dropped } = matched(events, before, plan.from);
  const taken = new Set(before.map(({ uid }) => uid));
  const entries = events.map((event): CalendarEntry => {
    const { sort, about, day } = event;
    const said = saidBy(event);
    const old = known.get(event);
    if (old) {
      const changed = old.said !== said || old.cancelled;
      return { ...old, day, said, cancelled: false, sequence: old.sequence + (changed ? 1 : 0) };
    }
    const uid = freeUid(`${head.headId}-${sort}-${about}-${day}`, taken);
    taken.add(uid);
    return { uid, sequence: 0, sort, about, day, said, cancelled: false };
  });
  const cancelled = dropped.map((entry): CalendarEntry => ({
    ...entry,
    cancelled: true,
    sequence: entry.sequence + (entry.cancelled ? 0 : 1),
  }));
  const past = before.filter(({ day }) => day < plan.from && daysBetween(day, plan.from) <= REMEMBERED_DAYS);
  return {
    text: written(head.name, events, entries, cancelled, stamp),
    entries: [...past, ...entries, ...cancelled],
  };
}

function saidBy({ day, startMinute, minutes, summary, description }: Event): string {
  return checkSum(JSON.stringify([day, startMinute, minutes, summary, description]));
}

/** Enough to see that a text is another one. */
const checkSum = (text: string) => textHash(text).toString(16);

function freeUid(wish: string, taken: ReadonlySet<string>): string {
  for (let count = 1; ; count++) {
    const uid = `${wish}${count === 1 ? '' : `-${count}`}@velvet-rhythm`;
    if (!taken.has(uid)) return uid;
  }
}

/** Which earlier entry each event goes on, the nearest in time first, each at most once. */
function matched(
  events: readonly Event[],
  before: readonly CalendarEntry[],
  from: CalendarDay,
): { known: Map<Event, CalendarEntry>; dropped: CalendarEntry[] } {
  const open = new Set(before.filter(({ day }) => day >= from));
  const known = new Map<Event, CalendarEntry>();
  const pairs = events
    .flatMap((event) =>
      [...open]
        .filter(({ sort, about }) => sort === event.sort && about === event.about)
        .map((entry) => ({ event, entry, away: Math.abs(daysBetween(entry.day, event.day)) })),
    )
    .filter(({ away }) => away <= MOVED_WITHIN_DAYS)
    .sort((a, b) => a.away - b.away);
  for (const { event, entry } of pairs) {
    if (known.has(event) || !open.has(entry)) continue;
    known.set(event, entry);
    open.delete(entry);
  }
  return { known, dropped: [...open] };
}

function eventsOf({ days }: Plan, { name, washFrom }: Pick<Head, 'name' | 'washFrom'>): Event[] {
  return days.flatMap(({ day, assignments, preparation, notes }) => {
    const begins = HOUR * (washFrom[weekdayOf(day)] ?? 18);
    return [
      ...washOf(day, assignments, begins, name),
      ...assignments.filter(({ overnight }) => overnight).map((assignment) => evening(day, assignment, name)),
      ...assignments.flatMap((assignment) => small(day, assignment, name)),
      ...preparation.map((task) => prepare(day, task, name)),
      ...notes.flatMap((note) => noted(day, note, name)),
    ];
  });
}

/** One event for a wash day, from its pre-poo to its follow-up. */
function washOf(day: CalendarDay, assignments: readonly Assignment[], begins: number, name: string): Event[] {
  const wash = assignments.filter(
    ({ slot, overnight }) => (slot === 'main' || slot === 'follow-up' || slot === 'pre-poo') && !overnight,
  );
  const main = wash.find(({ slot }) => slot === 'main');
  if (!main) return [];
  return [
    {
      sort: 'wash',
      about: main.recipeId,
      day,
      startMinute: begins,
      minutes: sum(wash.map(({ minutes }) => minutes)),
      summary: `${name}: ${main.recipeId === PLAIN_WASH_ID ? t`wash, no treatment` : main.name}`,
      description: wash
        .map((assignment) =>
          assignment.onlyIfFirm
            ? t`${{ treatmentName: assignment.name }} (only if it feels firm), ${plural({ minutes: assignment.minutes }, { one: '# minute', other: '# minutes' })}`
            : t`${{ treatmentName: assignment.name }}, ${plural({ minutes: assignment.minutes }, { one: '# minute', other: '# minutes' })}`,
        )
        .concat(main.reasons.map(({ text }) => text))
        .join('\n'),
    },
  ];
}

function evening(day: CalendarDay, assignment: Assignment, name: string): Event {
  return {
    sort: 'evening',
    about: assignment.recipeId,
    day,
    startMinute: BEDTIME_MINUTE,
    minutes: assignment.minutes,
    summary: t`${name}: ${{ treatmentName: assignment.name }} for the night`,
    description: assignment.reasons.map(({ text }) => text).join('\n'),
  };
}

/** What the day is by itself; days in which a style is simply in would only fill the calendar. */
function noted(day: CalendarDay, { code, text }: DayNote, name: string): Event[] {
  if (code === 'style' || code === 'no-wash') return [];
  return [
    {
      sort: 'note',
      about: code,
      day,
      startMinute: null,
      minutes: 0,
      summary: `${name}: ${text}`,
      description: '',
    },
  ];
}

/** Refreshes, scalp oil, leave-ins and what she put there; what is done daily would only fill the calendar. */
function small(
  day: CalendarDay,
  { slot, recipeId, name, minutes, reasons, locked }: Assignment,
  who: string,
): Event[] {
  const isSeldom = slot === 'refresh' || slot === 'scalp' || slot === 'leave-in';
  if (!isSeldom && !(locked && isSmall({ slot }))) return [];
  return [
    {
      sort: 'small',
      about: recipeId,
      day,
      startMinute: null,
      minutes,
      summary: `${who}: ${name}`,
      description: reasons.map(({ text }) => text).join('\n'),
    },
  ];
}

/** At its last moment; what has no hour of its own in the morning. */
function prepare(day: CalendarDay, task: PrepTask, name: string): Event {
  return {
    sort: 'prepare',
    about: `${task.forRecipeId}/${checkSum(task.text)}`,
    day,
    startMinute: task.startMinute ?? MORNING_MINUTE,
    minutes: PREPARE_MINUTES,
    summary: `${name}: ${task.text}`,
    description:
      task.leadHours === null
        ? ''
        : t`It takes ${plural({ leadHours: task.leadHours }, { one: '# hour', other: '# hours' })} before the wash begins.`,
  };
}

/** A local time of a day as the text that the package reads; "Z" only says that it shall not move it. */
function localTime(day: CalendarDay, minute: number): string {
  const on = addDays(day, Math.floor(minute / DAY_MINUTES));
  const rest = ((minute % DAY_MINUTES) + DAY_MINUTES) % DAY_MINUTES;
  const two = (value: number) => String(value).padStart(2, '0');
  return `${on}T${two(Math.floor(rest / HOUR))}:${two(rest % HOUR)}:00Z`;
}

function written(
  name: string,
  events: readonly Event[],
  entries: readonly CalendarEntry[],
  cancelled: readonly CalendarEntry[],
  stamp: Instant,
): string {
  const calendar = ical({
    name: t`Hair of ${name}`,
    prodId: { company: 'Velvet Rhythm', product: 'plan', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  events.forEach((event, index) => {
    const entry = entries[index];
    if (!entry) return;
    const { day, startMinute, minutes, summary, description, sort } = event;
    const wholeDay = startMinute === null;
    const created = calendar.createEvent({
      id: entry.uid,
      sequence: entry.sequence,
      stamp,
      floating: true,
      allDay: wholeDay,
      start: localTime(day, startMinute ?? 0),
      end: wholeDay ? localTime(addDays(day, 1), 0) : localTime(day, startMinute + minutes),
      summary,
      description,
      status: ICalEventStatus.CONFIRMED,
      transparency: sort === 'wash' ? ICalEventTransparency.OPAQUE : ICalEventTransparency.TRANSPARENT,
    });
    if (sort === 'prepare' || sort === 'evening')
      created.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: summary });
    if (sort === 'wash')
      created.createAlarm({ type: ICalAlarmType.display, trigger: 30 * 60, description: summary });
  });
  for (const { uid, sequence, day } of cancelled) {
    calendar.createEvent({
      id: uid,
      sequence,
      stamp,
      floating: true,
      allDay: true,
      start: localTime(day, 0),
      end: localTime(addDays(day, 1), 0),
      summary: t`No longer planned`,
      status: ICalEventStatus.CANCELLED,
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  }
  return calendar.toString();
}
