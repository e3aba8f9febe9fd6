/** Small made-up things that tests of several folders start from; no product code uses them. */
import { addDays, calendarDay, type CalendarDay, type Result } from '../../base/measures';
import { EMPTY_HISTORY, type HeadHistory, type WashRun } from '../../hair/history';
import { classifyLines, type Verdict } from '../../recipe/classification';
import {
  CATALOGUE_LARDER,
  makeLarder,
  readLines,
  savedLine,
  weighedLines,
  type Larder,
  type ParsedRecipe,
  type WeighedLine,
} from '../../recipe/larder';
import { parseRecipe } from '../../recipe/parsing';
import {
  headSchema,
  NOTHING_MEASURED,
  type Batch,
  type Head,
  type Measured,
  type Occasion,
  type Reading,
  type RecipeVersion,
  type Rhythm,
  type School,
  type Session,
  type Strand,
  type Tally,
  type WashStep,
} from '../../records/shapes';

export const STAMP = { recordedAt: '2026-01-01T10:00:00Z' } as const;

/** The value, or a failed test that says why there is none. */
export function valueOf<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(result.problems[0].message);
  return result.value;
}

export function testHead(changes: Partial<Head> = {}): Head {
  return headSchema.parse({
    ...STAMP,
    kind: 'head',
    id: 'h',
    headId: 'h',
    name: 'Ada',
    lengthCm: 30,
    strand: 'medium',
    curl: 'unknown',
    density: 'medium',
    allergies: [],
    porosityGuess: 'medium',
    complaints: [],
    freeMinutes: [200, 0, 0, 200, 0, 0, 200],
    washFrom: [10, 18, 18, 18, 18, 18, 10],
    nights: Array(7).fill(true),
    school: 'my-hair',
    proteinSensitive: false,
    ageBand: 'adult',
    lengthsCm: { front: null, crown: null, sides: null, nape: null },
    chemistry: [],
    health: [],
    ...changes,
  });
}

export function parsedOf(lines: readonly string[], larder: Larder = CATALOGUE_LARDER): ParsedRecipe {
  return valueOf(parseRecipe(lines.join('\n'), { larder }));
}

/** Whole grams by id that a text is read as; of two lines of one thing the sum. */
export function gramsIn(text: string): Record<string, number> {
  const grams: Record<string, number> = {};
  for (const line of readLines(parsedOf([text]))) {
    const id = line.ingredientId ?? line.name;
    grams[id] = Math.round((grams[id] ?? 0) + line.grams);
  }
  return grams;
}

export function testRecipe(
  recipeId: string,
  lines: readonly string[],
  changes: Partial<RecipeVersion> = {},
  larder: Larder = CATALOGUE_LARDER,
): RecipeVersion {
  return {
    ...STAMP,
    kind: 'recipe',
    id: `${recipeId}-${changes.version ?? 1}`,
    recipeId,
    version: 1,
    name: recipeId,
    text: lines.join('\n'),
    lines: parsedOf(lines, larder).lines.map((line) => savedLine(line, lines.join('\n'))),
    use: 'mask',
    contactMinutes: 30,
    warmth: 'room',
    ...changes,
  };
}

export function testHistory(part: Partial<HeadHistory> = {}): HeadHistory {
  return { ...EMPTY_HISTORY, larder: makeLarder({ recipes: part.recipes ?? [] }), ...part };
}

export function weighedOf(lines: readonly string[], larder: Larder = CATALOGUE_LARDER): WeighedLine[] {
  return valueOf(weighedLines(readLines(parsedOf(lines, larder)), larder));
}

export function verdictOf(lines: readonly string[], school: School = 'my-hair'): Verdict {
  return valueOf(classifyLines(weighedOf(lines), school));
}

/** One use of a recipe on the head of {@link testHead}. */
export function testSession(recipeId: string, day: CalendarDay, changes: Partial<Session> = {}): Session {
  return {
    ...STAMP,
    kind: 'session',
    id: `session-${recipeId}-${day}`,
    headId: 'h',
    day,
    recipeId,
    recipeVersion: 1,
    contactMinutes: 30,
    warmth: 'room',
    grams: null,
    note: '',
    ...changes,
  };
}

/** A reading of the head of {@link testHead}. */
export function testReading(
  day: CalendarDay,
  measured: Partial<Measured>,
  changes: Partial<Reading> = {},
): Reading {
  return {
    ...STAMP,
    ...NOTHING_MEASURED,
    kind: 'reading',
    id: `reading-${day}-${changes.moment ?? 'before'}`,
    headId: 'h',
    day,
    moment: 'before',
    ...measured,
    ...changes,
  };
}

export function testStrand(restMm: number, stretchedMm: number, releasedMm: number): Strand {
  return { outcome: 'returned', region: null, restMm, stretchedMm, releasedMm };
}

export function testTally(broken: number, shed: number, days: number): Tally {
  return { sections: [{ broken, shed }], days };
}

/** Three portions of 60 g in the fridge. */
export function testBatch(recipeId: string, madeOn: CalendarDay, changes: Partial<Batch> = {}): Batch {
  const batchId = changes.batchId ?? `b-${recipeId}`;
  return {
    ...STAMP,
    kind: 'batch',
    id: batchId,
    batchId,
    recipeId,
    recipeVersion: 1,
    madeOn,
    weighed: [],
    waterAddedGrams: 0,
    portions: 3,
    portionGrams: 60,
    place: 'fridge',
    note: '',
    ...changes,
  };
}

/** Something coming, for everybody where no head is named. */
export function testOccasion(
  what: Occasion['what'],
  from: CalendarDay,
  to: CalendarDay,
  changes: Partial<Occasion> = {},
): Occasion {
  return {
    ...STAMP,
    kind: 'occasion',
    id: `${what}-${from}`,
    headId: null,
    what,
    from,
    to,
    minutes: what === 'hours' ? 0 : null,
    note: '',
    ...changes,
  };
}

/** Eight weeks of one moisture treatment each. */
/** Moisture once a week for eight weeks, under a name. */
export function testRhythm(startsOn: CalendarDay, changes: Partial<Rhythm> = {}): Rhythm {
  return {
    ...STAMP,
    kind: 'rhythm',
    id: 'c',
    rhythmId: 'c',
    headId: 'h',
    name: 'Moist weeks',
    of: { sort: 'moisture' },
    when: { every: 'week', times: 1 },
    startsOn,
    until: addDays(startsOn, 55),
    times: null,
    notIn: [],
    firm: false,
    themes: [],
    toldOn: startsOn,
    endedOn: null,
    ...changes,
  };
}

export function testWashStep(id: string, minutes: number, changes: Partial<WashStep> = {}): WashStep {
  return {
    id,
    phase: 'detangle',
    title: id,
    how: 'how',
    why: 'why',
    minutes,
    waits: false,
    slot: null,
    recipeId: null,
    sections: null,
    caution: null,
    onlyIfFirm: false,
    late: null,
    ...changes,
  };
}

/** A wash day of the head of {@link testHead} that has just begun. */
export function testWashRun(steps: readonly WashStep[], changes: Partial<WashRun> = {}): WashRun {
  return {
    id: 'run',
    headId: 'h',
    day: calendarDay('2026-03-02'),
    startedAt: '2026-03-02T18:00:00.000Z',
    treatments: [],
    sections: 4,
    washMinutes: 60,
    oiledOvernight: false,
    steps: [...steps],
    events: [],
    ...changes,
  };
}
