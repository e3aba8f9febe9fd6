import { plural, t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { daysBetween, formatDay, type CalendarDay } from '@/core/base/measures';
import type { HeadHistory } from '@/core/hair/history';
import type { TreatmentKind } from '@/core/recipe/classification';
import type {
  Batch,
  BatchEvent,
  Head,
  HeadEvent,
  Reading,
  Rating,
  Session,
  WashDay,
} from '@/core/records/shapes';
import { placeWords } from '../shared/placeWords';
import { kindInWords, minutesText } from '../shared/treatmentWords';
import { verdictOf } from '../shared/verdictOf';
import { eventWords } from './eventWords';
import { readingWords } from './readingWords';

export const LOG_KINDS = ['treatments', 'readings', 'events', 'shelf'] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** One line of the log, and the record that it tells of. */
export type LogEntry = {
  readonly id: string;
  readonly day: CalendarDay;
  readonly recordedAt: string;
  /** What it is called among those of its day. */
  readonly name: string;
  /** With its day. */
  readonly title: string;
  /** Worked out when it is shown or searched: years of records are not all put into words. */
  readonly text: () => string;
} & (
  | { readonly kind: 'treatments'; readonly record: Session; readonly washDay: WashDay | undefined }
  | { readonly kind: 'readings'; readonly record: Reading }
  | { readonly kind: 'events'; readonly record: HeadEvent }
  | { readonly kind: 'shelf'; readonly record: Batch | BatchEvent }
);

const momentWords = perLanguage((): Record<Reading['moment'], string> => ({
  before: t`before treatment`,
  after: t`after treatment`,
  dry: t`dry`,
}));
const ratingWords = perLanguage((): Record<Rating, string> => ({
  again: t`again`,
  unsure: t`not sure of it`,
  'not-again': t`not again`,
}));

interface Shelf {
  readonly batches: readonly Batch[];
  readonly batchEvents: readonly BatchEvent[];
}

/** Everything that was written down of a head, and what was made for all of them, the newest first. */
export function logEntries(head: Head, history: HeadHistory, shelf: Shelf): LogEntry[] {
  const { sessions, washDays, readings, sideReadings, events } = history;
  const dayOf = washDayFinder(washDays);
  const entries: LogEntry[] = [
    ...sessions.map((record): LogEntry => ({
      kind: 'treatments',
      record,
      washDay: dayOf(record),
      ...stamped(record),
      ...named(record.day, nameOf(history, record)),
      text: once(() => sessionWords(head, history, record, dayOf(record))),
    })),
    ...[...readings, ...sideReadings].map((record): LogEntry => ({
      kind: 'readings',
      record,
      ...stamped(record),
      ...named(record.day, sideWords(record.side) ?? momentWords()[record.moment]),
      text: once(() => readingWords(head, record)),
    })),
    ...events.map((record): LogEntry => ({
      kind: 'events',
      record,
      ...stamped(record),
      ...named(record.day, eventWords()[record.what].label),
      text: () => record.note,
    })),
    ...shelfEntries(history, shelf),
  ];
  return entries.sort((a, b) =>
    a.day === b.day ? (a.recordedAt < b.recordedAt ? 1 : -1) : a.day < b.day ? 1 : -1,
  );
}

/** The wash day that a treatment was part of; a corrected treatment is found by the one that it corrects, or by its day. */
function washDayFinder(washDays: readonly WashDay[]): (session: Session) => WashDay | undefined {
  const uses = washDays.flatMap((day) => day.uses.map((use) => ({ day, ...use })));
  const bySession = new Map(uses.map(({ sessionId, day }) => [sessionId, day]));
  const byUse = new Map(uses.map(({ recipeId, day }) => [`${day.day}/${recipeId}`, day]));
  return ({ id, corrects, day, recipeId }) =>
    bySession.get(id) ??
    (corrects === undefined ? undefined : (bySession.get(corrects) ?? byUse.get(`${day}/${recipeId}`)));
}

/** Looking through years of lines asks each for its words at every key. */
function once(make: () => string): () => string {
  let made: string | undefined;
  return () => (made ??= make());
}

const named = (day: CalendarDay, name: string) => ({
  name,
  title: `${formatDay(day, 'EEE d MMM yyyy')}, ${name}`,
});

const stamped = ({ id, day, recordedAt }: { id: string; day: CalendarDay; recordedAt: string }) => ({
  id,
  day,
  recordedAt,
});

function nameOf({ larder }: HeadHistory, session: Session): string {
  const { recipeId } = session;
  const version = larder.used(session) ?? larder.lastVersion(recipeId);
  return version?.name ?? t`a recipe that is no longer here`;
}

/** The kind that a session counts as; null where nothing is known of its recipe any more. */
export function kindOfSession(head: Head, { larder }: HeadHistory, session: Session): TreatmentKind | null {
  const version = larder.used(session);
  return version ? (verdictOf(version, head.school, larder)?.kind ?? null) : null;
}

function sessionWords(
  head: Head,
  { larder, sessions }: HeadHistory,
  session: Session,
  washDay: WashDay | undefined,
): string {
  const version = larder.used(session);
  const verdict = version ? verdictOf(version, head.school, larder) : null;
  const use = washDay?.uses.find(({ recipeId }) => recipeId === session.recipeId);
  const planned = washDay?.steps.find(({ slot, waits }) => slot === use?.slot && waits)?.planned;
  return [
    verdict ? kindInWords(verdict.kind, verdict.strength) : '',
    onForWords(session, planned),
    session.grams === null ? '' : `${Math.round(session.grams)} g`,
    washDay?.felt ? t`felt ${{ felt: washDay.felt }}` : '',
    use?.rating ? ratingWords()[use.rating] : '',
    lastTimeWords(session, sessions),
    session.note,
  ]
    .filter((part) => part !== '')
    .join(' · ');
}

function onForWords({ contactMinutes, warmth }: Session, planned: number | undefined): string {
  const asPlanned = planned === undefined || planned === contactMinutes;
  return `${minutesText(contactMinutes)}${asPlanned ? '' : t` (${planned} planned)`}${warmth === 'warm' ? t`, warm` : ''}`;
}

/** How long ago the same recipe was used before. */
function lastTimeWords({ recipeId, day }: Session, sessions: readonly Session[]): string {
  const earlier = sessions.filter((other) => other.recipeId === recipeId && other.day < day);
  if (earlier.length === 0) return t`for the first time`;
  const ago = Math.min(...earlier.map((other) => daysBetween(other.day, day)));
  return plural(ago, { one: 'a day after the time before', other: '# days after the time before' });
}

function shelfEntries({ larder }: HeadHistory, { batches, batchEvents }: Shelf): LogEntry[] {
  const names = new Map(
    batches.map(({ batchId, recipeId }) => [batchId, larder.lastVersion(recipeId)?.name ?? t`a batch`]),
  );
  const made = batches.map((record): LogEntry => ({
    kind: 'shelf',
    record,
    id: record.id,
    day: record.madeOn,
    recordedAt: record.recordedAt,
    ...named(record.madeOn, t`made ${{ names: names.get(record.batchId) ?? '' }}`),
    text: () =>
      [
        t`${plural({ portions: record.portions }, { one: '# portion', other: '# portions' })} of ${{ portionGrams: Math.round(record.portionGrams) }} g, ${{ place: placeWords()[record.place] }}`,
        record.note,
      ]
        .filter(Boolean)
        .join(' · '),
  }));
  // A use is a treatment, and stands among them.
  const others = batchEvents.filter(({ what }) => what !== 'used');
  return [
    ...made,
    ...others.map((record): LogEntry => ({
      kind: 'shelf',
      record,
      ...stamped(record),
      ...named(
        record.day,
        `${record.what === 'moved' ? t`moved` : t`threw out`} ${names.get(record.batchId) ?? t`a batch`}`,
      ),
      text: () =>
        record.what === 'moved' && record.place
          ? t`now ${{ place: placeWords()[record.place] }}`
          : record.reason,
    })),
  ];
}

/** Those that hold every word that is looked for, in any order. */
export function foundIn(entries: readonly LogEntry[], query: string): readonly LogEntry[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return entries;
  return entries.filter(({ title, text }) => {
    const all = `${title} ${text()}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
}

function sideWords(side: Reading['side']): string | null {
  if (side === undefined) return null;
  return side === 'left' ? t`left side only` : t`right side only`;
}
