/** Small made-up things that tests of several folders start from; no product code uses them. */
import { classifyLines, type School, type Verdict } from '../classification';
import { headSchema, type Head, type HeadHistory } from '../hair';
import type { Result } from '../measures';
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
    density: 'medium',
    allergies: [],
    porosityGuess: 'medium',
    complaint: 'none',
    freeMinutes: [200, 0, 0, 200, 0, 0, 200],
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
  return {
    recipes: [],
    readings: [],
    sessions: [],
    events: [],
    patchTests: [],
    larder: makeLarder({ recipes: part.recipes ?? [] }),
    ...part,
  };
}

export function weighedOf(lines: readonly string[], larder: Larder = CATALOGUE_LARDER): WeighedLine[] {
  return valueOf(weighedLines(readLines(parsedOf(lines, larder)), larder));
}

export function verdictOf(lines: readonly string[], school: School = 'my-hair'): Verdict {
  return valueOf(classifyLines(weighedOf(lines), school));
}
