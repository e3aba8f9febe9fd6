/** Small made-up things that tests of several folders start from; no product code uses them. */
import { classifyLines, type School, type Verdict } from '../classification';
import { EMPTY_HISTORY, headSchema, type Head, type HeadHistory } from '../hair';
import type { CalendarDay, Result } from '../measures';
import { NOTHING_MEASURED, type Measured, type Reading, type Strand, type Tally } from '../readings';
import {
  CATALOGUE_LARDER,
  makeLarder,
  readLines,
  savedLine,
  weighedLines,
  type Larder,
  type ParsedRecipe,
  type RecipeVersion,
  type WeighedLine,
} from '../recipes';
import { parseRecipe } from '../parsing';
import type { Session } from '../sessions';

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
    complaint: 'none',
    freeMinutes: [200, 0, 0, 200, 0, 0, 200],
    washFrom: [10, 18, 18, 18, 18, 18, 10],
    nights: Array(7).fill(true),
    school: 'my-hair',
    proteinSensitive: false,
    child: false,
    ...changes,
  });
}

export function parsedOf(lines: readonly string[], larder: Larder = CATALOGUE_LARDER): ParsedRecipe {
  return valueOf(parseRecipe(lines.join('\n'), { larder }));
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
    lines: parsedOf(lines, larder).lines.map(savedLine),
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
