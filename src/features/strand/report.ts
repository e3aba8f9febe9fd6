import { t } from '@/core/base/language';
import { addDays, formatDay, type CalendarDay } from '@/core/base/measures';
import { SCALP_WORDS } from '@/core/hair/checks';
import type { HeadHistory } from '@/core/hair/history';
import type { Head } from '@/core/records/shapes';
import { ALLERGY_OPTIONS } from '../shared/allergyOptions';
import { kindInWords } from '../shared/beatWords';
import { AGE_WORDS, CHEMISTRY_WORDS, DENSITY_WORDS, HEALTH_WORDS, STRAND_WORDS } from '../shared/headWords';
import type { SheetPart } from '../shared/PrintSheet';
import { verdictOf } from '../shared/verdictOf';
import { EVENT_WORDS } from './eventWords';
import { readingWords } from './readingWords';

/** As much as one sheet of paper holds, and as far back as is of use. */
const LOOK_BACK = { treatments: 84, signs: 365 } as const;
const MOST = { readings: 5, treatments: 12, ingredients: 16, signs: 8 } as const;

const POROSITY_WORDS: Record<Head['porosityGuess'], string> = {
  low: t`drops stay on it`,
  medium: t`drinks water neither fast nor slowly`,
  high: t`soaks at once`,
  unknown: t`not tested`,
};

/** What someone else has to know of a head, from what was written down at home: no diagnosis, and nothing added. */
export function reportOf(head: Head, history: HeadHistory, today: CalendarDay): SheetPart[] {
  return [
    { title: t`The head`, lines: aboutHead(head) },
    { title: t`Last readings`, lines: lastReadings(head, history) },
    { title: t`Treatments of the last twelve weeks`, lines: treatments(head, history, today) },
    { title: t`What went on, most often first`, lines: ingredients(history, today) },
    { title: t`Reactions and signs of the last year`, lines: signs(history, today) },
    { title: t`What else happened in the last year`, lines: happened(history, today) },
  ];
}

const dated = (day: CalendarDay) => formatDay(day, 'd MMM yyyy');
const orNone = (lines: readonly string[], none: string) => (lines.length > 0 ? lines : [none]);

function aboutHead({
  lengthCm,
  density,
  strand,
  porosityGuess,
  allergies,
  ageBand,
  chemistry,
  health,
  proteinSensitive,
}: Head): string[] {
  const reactsTo = allergies.map(
    (allergy) => ALLERGY_OPTIONS.find(({ value }) => value === allergy)?.label ?? allergy,
  );
  return [
    t`${lengthCm} cm long, ${DENSITY_WORDS[density]} density, ${STRAND_WORDS[strand]} strands; water: ${POROSITY_WORDS[porosityGuess]}`,
    t`Age: ${AGE_WORDS[ageBand]}`,
    ...(chemistry.length > 0
      ? [t`Done to it: ${chemistry.map((each) => CHEMISTRY_WORDS[each]).join(', ')}`]
      : []),
    ...health.map((each) => t`To mind: ${HEALTH_WORDS[each]}`),
    ...(proteinSensitive ? [t`Gets stiff from little protein`] : []),
    reactsTo.length > 0 ? t`Reacts to: ${reactsTo.join(', ')}` : t`No allergies known`,
  ];
}

const newestFirst = <T extends { readonly day: CalendarDay }>(list: readonly T[]): T[] =>
  [...list].sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0));

function lastReadings(head: Head, { readings }: HeadHistory): readonly string[] {
  const lines = newestFirst(readings)
    .slice(0, MOST.readings)
    .map((reading) => `${dated(reading.day)}: ${readingWords(head, reading)}`);
  return orNone(lines, t`None yet`);
}

function treatments(head: Head, { sessions, larder }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.treatments);
  const recent = newestFirst(sessions.filter(({ day }) => day > since));
  const lines = recent.slice(0, MOST.treatments).map((session) => {
    const { day, contactMinutes, warmth, grams } = session;
    const version = larder.used(session);
    const verdict = version ? verdictOf(version, head.school, larder) : null;
    return [
      `${dated(day)}: ${version?.name ?? t`a recipe that is no longer here`}`,
      ...(verdict ? [kindInWords(verdict.kind, verdict.strength)] : []),
      t`${contactMinutes} min${warmth === 'warm' ? t` warm` : ''}`,
      ...(grams === null ? [] : [`${Math.round(grams)} g`]),
    ].join(', ');
  });
  const more = recent.length - lines.length;
  return orNone(more > 0 ? [...lines, t`and ${more} more`] : lines, t`None`);
}

function ingredients({ sessions, larder }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.treatments);
  const times = new Map<string, number>();
  for (const session of sessions) {
    const { day } = session;
    if (day <= since) continue;
    const lines = larder.used(session)?.lines ?? [];
    for (const id of new Set(lines.flatMap(({ ingredientId }) => ingredientId ?? [])))
      times.set(id, (times.get(id) ?? 0) + 1);
  }
  const names = [...times]
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, MOST.ingredients)
    .map(([id, count]) => t`${larder.ingredient(id)?.name ?? larder.lastVersion(id)?.name ?? id} (${count})`);
  return names.length > 0 ? [names.join(', ')] : [t`Nothing`];
}

function signs({ patchTests, readings, larder }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.signs);
  const reacted = patchTests
    .filter(({ outcome, startedOn }) => outcome === 'reacted' && startedOn > since)
    .map(
      ({ startedOn, recipeId }) =>
        t`${dated(startedOn)}: skin reacted to ${larder.lastVersion(recipeId)?.name ?? t`a recipe`}`,
    );
  const scalp = newestFirst(readings)
    .filter(({ day }) => day > since)
    .flatMap(({ day, scalp: seen }) => {
      const told = seen.filter((sign) => sign !== 'calm').map((sign) => SCALP_WORDS[sign]);
      return told.length > 0 ? [t`${dated(day)}: scalp ${told.join(', ')}`] : [];
    });
  return orNone([...reacted, ...scalp].slice(0, MOST.signs), t`None were written down`);
}

function happened({ events }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.signs);
  const lines = newestFirst(events.filter(({ day }) => day > since))
    .slice(0, MOST.signs)
    .map(({ day, what, note }) => `${dated(day)}: ${EVENT_WORDS[what].label}${note ? `, ${note}` : ''}`);
  return orNone(lines, t`Nothing was written down`);
}
