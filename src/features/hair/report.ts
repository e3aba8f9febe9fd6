import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { addDays, formatDay, type CalendarDay, lengthText } from '@/core/base/measures';
import { scalpWords, shedCounts, stylesWorn } from '@/core/hair/checks';
import type { HeadHistory } from '@/core/hair/history';
import type { Head } from '@/core/records/shapes';
import { allergyOptions } from '../shared/allergyOptions';
import {
  ageWords,
  chemistryWords,
  complaintWords,
  densityWords,
  healthWords,
  strandWords,
} from '../shared/headWords';
import type { SheetPart } from '../shared/PrintSheet';
import { kindInWords } from '../shared/treatmentWords';
import { verdictOf } from '../shared/verdictOf';
import { eventWords } from './eventWords';
import { readingWords } from './readingWords';

/** As much as one sheet of paper holds, and as far back as is of use. */
const LOOK_BACK = { treatments: 84, signs: 365 } as const;
const MOST = { readings: 5, treatments: 12, ingredients: 16, signs: 8 } as const;

const porosityWords = perLanguage((): Record<Head['porosityGuess'], string> => ({
  low: t`drops stay on it`,
  medium: t`drinks water neither fast nor slowly`,
  high: t`soaks at once`,
  unknown: t`not tested`,
}));

/** What someone else has to know of a head, from what was written down at home: no diagnosis, and nothing added. */
export function reportOf(head: Head, history: HeadHistory, today: CalendarDay): SheetPart[] {
  return [
    { title: t`The person`, lines: aboutHead(head) },
    { title: t`Last checks`, lines: lastReadings(head, history) },
    { title: t`Shed hair`, lines: shed(history) },
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
  complaints,
}: Head): string[] {
  const reactsTo = allergies.map(
    (allergy) => allergyOptions().find(({ value }) => value === allergy)?.label ?? allergy,
  );
  return [
    t`${{ length: lengthText(lengthCm) }} long, ${{ density: densityWords()[density] }} density, ${{ strand: strandWords()[strand] }} strands; water: ${{ porosityGuess: porosityWords()[porosityGuess] }}`,
    t`Age: ${{ ageBand: ageWords()[ageBand] }}`,
    ...(chemistry.length > 0
      ? [t`Done to it: ${{ chemistry: chemistry.map((each) => chemistryWords()[each]).join(', ') }}`]
      : []),
    ...(complaints.length > 0
      ? [t`Troubles: ${{ complaints: complaints.map((each) => complaintWords()[each]).join(', ') }}`]
      : []),
    ...health.map((each) => t`To mind: ${{ each: healthWords()[each] }}`),
    ...(proteinSensitive ? [t`Gets stiff from little protein`] : []),
    reactsTo.length > 0 ? t`Reacts to: ${{ reactsTo: reactsTo.join(', ') }}` : t`No allergies known`,
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

/** The last counts, each a day's worth. */
function shed({ readings, occasions, events }: HeadHistory): readonly string[] {
  const lines = newestFirst(shedCounts(readings, stylesWorn(occasions, events)))
    .slice(0, MOST.readings)
    .map(
      ({ day, pieces, days, extraVariance }) =>
        `${dated(day)}: ${
          extraVariance > 0
            ? t`about ${{ perDay: Math.round(pieces / days) }} a day, by the size of the ball`
            : t`${{ perDay: Math.round(pieces / days) }} a day, counted`
        }`,
    );
  return orNone(lines, t`Not counted`);
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
      warmth === 'warm' ? t`${contactMinutes} min warm` : t`${contactMinutes} min`,
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
    .map(
      ([id, count]) =>
        t`${{ ingredientName: larder.ingredient(id)?.name ?? larder.lastVersion(id)?.name ?? id }} (${count})`,
    );
  return names.length > 0 ? [names.join(', ')] : [t`Nothing`];
}

function signs({ patchTests, readings, larder }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.signs);
  const reacted = patchTests
    .filter(({ outcome, startedOn }) => outcome === 'reacted' && startedOn > since)
    .map(
      ({ startedOn, recipeId }) =>
        t`${{ startedOn: dated(startedOn) }}: skin reacted to ${{ recipe: larder.lastVersion(recipeId)?.name ?? t`a recipe` }}`,
    );
  const scalp = newestFirst(readings)
    .filter(({ day }) => day > since)
    .flatMap(({ day, scalp: seen }) => {
      const told = seen.filter((sign) => sign !== 'calm').map((sign) => scalpWords()[sign]);
      return told.length > 0 ? [t`${{ day: dated(day) }}: scalp ${{ told: told.join(', ') }}`] : [];
    });
  return orNone([...reacted, ...scalp].slice(0, MOST.signs), t`None were logged`);
}

function happened({ events }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.signs);
  const lines = newestFirst(events.filter(({ day }) => day > since))
    .slice(0, MOST.signs)
    .map(({ day, what, note }) => `${dated(day)}: ${eventWords()[what].label}${note ? `, ${note}` : ''}`);
  return orNone(lines, t`Nothing was logged`);
}
