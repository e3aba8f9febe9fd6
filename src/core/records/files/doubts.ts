import { plural, t } from '@lingui/core/macro';
import { formatDay, isBeforeAllHair, type CalendarDay } from '../../base/measures';
import { ofKind, type StoredRecord } from '../shapes';

/** What in records looks like a slip of the pen, or of another program. */
export interface Doubt {
  readonly text: string;
  /** The records that it is about. */
  readonly ids: readonly string[];
}

/** More treatments of one person on one day than anybody does. */
export const MOST_USES_A_DAY = 8;

/**
 * What is to be asked before records are taken: days on which no hair can have been there, days that have not come, and more uses of a
 * day than a head takes.
 * @param records what would come @param here what is there already
 */
export function doubtsIn(
  records: readonly StoredRecord[],
  here: readonly StoredRecord[],
  today: CalendarDay,
): Doubt[] {
  const known = new Set(here.map(({ id }) => id));
  const coming = records.filter(({ id }) => !known.has(id));
  const done = [...ofKind(coming, 'session'), ...ofKind(coming, 'reading'), ...ofKind(coming, 'event')];
  const about = (some: typeof done, textOf: (count: number, first: CalendarDay) => string): Doubt[] => {
    const [first] = some.map(({ day }) => day).sort();
    return first ? [{ text: textOf(some.length, first), ids: some.map(({ id }) => id) }] : [];
  };
  return [
    ...about(
      done.filter(({ day }) => isBeforeAllHair(day, today)),
      (count, day) =>
        t`${plural({ count }, { one: '# record is', other: '# records are' })} older than any hair, the first of ${day}.`,
    ),
    ...about(
      done.filter(({ day }) => day > today),
      (count, first) =>
        t`${plural({ count }, { one: '# record is', other: '# records are' })} of days that have not come, the first of ${{ day: formatDay(first, 'd MMMM yyyy') }}.`,
    ),
    ...crowdedDays(coming, here),
  ];
}

function crowdedDays(coming: readonly StoredRecord[], here: readonly StoredRecord[]): Doubt[] {
  const days = new Map<string, { readonly ids: string[]; readonly day: CalendarDay; all: number }>();
  const at = ({ headId, day }: { readonly headId: string; readonly day: CalendarDay }) => `${headId}/${day}`;
  for (const session of ofKind(coming, 'session')) {
    const found = days.get(at(session)) ?? { ids: [], day: session.day, all: 0 };
    // A correction stands in the place of what it corrects.
    if (session.corrects === undefined) found.ids.push(session.id);
    days.set(at(session), found);
  }
  for (const session of ofKind(here, 'session')) {
    const found = days.get(at(session));
    if (found) found.all++;
  }
  return [...days.values()]
    .filter(({ ids, all }) => ids.length > 0 && ids.length + all > MOST_USES_A_DAY)
    .map(({ ids, day, all }) => ({
      text: t`${{ day: formatDay(day, 'd MMMM yyyy') }} has ${plural({ count: ids.length + all }, { one: '# treatment', other: '# treatments' })} of one person.`,
      ids,
    }));
}
