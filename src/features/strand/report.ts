import type { Head, HeadHistory } from '@/core/hair';
import { addDays, formatDay, type CalendarDay } from '@/core/measures';
import { kindInWords } from '../shared/beatWords';
import type { SheetPart } from '../shared/PrintSheet';
import { verdictOf } from '../shared/verdictOf';
import { AGE_WORDS, CHEMISTRY_WORDS, HEALTH_WORDS } from '../shared/headWords';
import { ALLERGY_OPTIONS } from '../shared/allergyOptions';
import { EVENT_WORDS } from './eventWords';
import { readingWords } from './readingWords';
import { SCALP_OPTIONS } from './readingOptions';

/** As much as one sheet of paper holds, and as far back as is of use. */
const LOOK_BACK = { treatments: 84, signs: 365 } as const;
const MOST = { readings: 5, treatments: 12, ingredients: 16, signs: 8 } as const;

const POROSITY_WORDS: Record<Head['porosityGuess'], string> = {
  low: 'drops stay on it',
  medium: 'drinks water neither fast nor slowly',
  high: 'soaks at once',
  unknown: 'not tested',
};

/** What someone else has to know of a head, from what was written down at home: no diagnosis, and nothing added. */
export function reportOf(head: Head, history: HeadHistory, today: CalendarDay): SheetPart[] {
  return [
    { title: 'The head', lines: aboutHead(head) },
    { title: 'Last readings', lines: lastReadings(head, history) },
    { title: 'Treatments of the last twelve weeks', lines: treatments(head, history, today) },
    { title: 'What went on, most often first', lines: ingredients(history, today) },
    { title: 'Reactions and signs of the last year', lines: signs(history, today) },
    { title: 'What else happened in the last year', lines: happened(history, today) },
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
    `${lengthCm} cm long, ${density} density, ${strand} strands; water: ${POROSITY_WORDS[porosityGuess]}`,
    `Age: ${AGE_WORDS[ageBand]}`,
    ...(chemistry.length > 0
      ? [`Done to it: ${chemistry.map((each) => CHEMISTRY_WORDS[each]).join(', ')}`]
      : []),
    ...health.map((each) => `To mind: ${HEALTH_WORDS[each]}`),
    ...(proteinSensitive ? ['Gets stiff from little protein'] : []),
    reactsTo.length > 0 ? `Reacts to: ${reactsTo.join(', ')}` : 'No allergies known',
  ];
}

const newestFirst = <T extends { readonly day: CalendarDay }>(list: readonly T[]): T[] =>
  [...list].sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0));

function lastReadings(head: Head, { readings }: HeadHistory): readonly string[] {
  const lines = newestFirst(readings)
    .slice(0, MOST.readings)
    .map((reading) => `${dated(reading.day)}: ${readingWords(head, reading)}`);
  return orNone(lines, 'None yet');
}

function treatments(head: Head, { sessions, larder }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.treatments);
  const recent = newestFirst(sessions.filter(({ day }) => day > since));
  const lines = recent
    .slice(0, MOST.treatments)
    .map(({ day, recipeId, recipeVersion, contactMinutes, warmth, grams }) => {
      const version = larder.recipe(recipeId, recipeVersion);
      const verdict = version ? verdictOf(version, head.school, larder) : null;
      return [
        `${dated(day)}: ${version?.name ?? 'a recipe that is no longer here'}`,
        ...(verdict ? [kindInWords(verdict.kind, verdict.strength)] : []),
        `${contactMinutes} min${warmth === 'warm' ? ' warm' : ''}`,
        ...(grams === null ? [] : [`${Math.round(grams)} g`]),
      ].join(', ');
    });
  const more = recent.length - lines.length;
  return orNone(more > 0 ? [...lines, `and ${more} more`] : lines, 'None');
}

function ingredients({ sessions, larder }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.treatments);
  const times = new Map<string, number>();
  for (const { day, recipeId, recipeVersion } of sessions) {
    if (day <= since) continue;
    const lines = larder.recipe(recipeId, recipeVersion)?.lines ?? [];
    for (const id of new Set(lines.flatMap(({ ingredientId }) => ingredientId ?? [])))
      times.set(id, (times.get(id) ?? 0) + 1);
  }
  const names = [...times]
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, MOST.ingredients)
    .map(([id, count]) => `${larder.ingredient(id)?.name ?? larder.lastVersion(id)?.name ?? id} (${count})`);
  return names.length > 0 ? [names.join(', ')] : ['Nothing'];
}

function signs({ patchTests, readings, larder }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.signs);
  const reacted = patchTests
    .filter(({ outcome, startedOn }) => outcome === 'reacted' && startedOn > since)
    .map(
      ({ startedOn, recipeId }) =>
        `${dated(startedOn)}: skin reacted to ${larder.lastVersion(recipeId)?.name ?? 'a recipe'}`,
    );
  const scalp = newestFirst(readings)
    .filter(({ day }) => day > since)
    .flatMap(({ day, scalp: seen }) => {
      const told = seen
        .filter((sign) => sign !== 'calm')
        .map((sign) => SCALP_OPTIONS.find(({ value }) => value === sign)?.label ?? sign);
      return told.length > 0 ? [`${dated(day)}: scalp ${told.join(', ')}`] : [];
    });
  return orNone([...reacted, ...scalp].slice(0, MOST.signs), 'None were written down');
}

function happened({ events }: HeadHistory, today: CalendarDay): readonly string[] {
  const since = addDays(today, -LOOK_BACK.signs);
  const lines = newestFirst(events.filter(({ day }) => day > since))
    .slice(0, MOST.signs)
    .map(({ day, what, note }) => `${dated(day)}: ${EVENT_WORDS[what].label}${note ? `, ${note}` : ''}`);
  return orNone(lines, 'Nothing was written down');
}
