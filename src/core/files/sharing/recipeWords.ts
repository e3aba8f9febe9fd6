import { z } from 'zod';
import type { RecipeVersion } from '../../records/shapes';

/** A recipe as anybody reads it: its name, and what was written. */
export function recipeText({ name, text }: Pick<RecipeVersion, 'name' | 'text'>): string {
  const isNamed = text.trimStart().toLowerCase().startsWith(name.toLowerCase());
  return `${isNamed ? '' : `${name}\n\n`}${text.trim()}\n`;
}

const SCHEMA_ORG = 'https://schema.org';

/**
 * A recipe as other programs read it: schema.org's Recipe in JSON-LD.
 * @param steps how it is made, in words
 */
export function recipeJsonLd(
  { name, lines, recordedAt }: Pick<RecipeVersion, 'name' | 'lines' | 'recordedAt'>,
  steps: readonly string[],
): string {
  const recipe = {
    '@context': SCHEMA_ORG,
    '@type': 'Recipe',
    name,
    dateCreated: recordedAt.slice(0, 10),
    recipeIngredient: lines.map(({ text }) => text),
    ...(steps.length > 0
      ? { recipeInstructions: steps.map((text) => ({ '@type': 'HowToStep', text })) }
      : {}),
  };
  return `${JSON.stringify(recipe, null, 2)}\n`;
}

/** Deepest that a file of other programs is looked into: a recipe lies in a list or a graph, not in a well. */
const MOST_DEPTH = 6;

const isRecipeType = (type: unknown) =>
  (Array.isArray(type) ? type : [type]).some(
    (each) => typeof each === 'string' && /^(?:https?:\/\/schema\.org\/|schema:)?Recipe$/.test(each),
  );

const foreignRecipe = z.object({
  name: z.string().min(1),
  recipeIngredient: z.union([z.array(z.string()), z.string()]).optional(),
  /** What the property was called until 2016. */
  ingredients: z.union([z.array(z.string()), z.string()]).optional(),
  recipeInstructions: z.unknown().optional(),
});

/**
 * The first schema.org recipe in a file, as a text that can be told here; null where there is none.
 * @param value what was parsed from JSON
 */
export function textOfJsonLd(value: unknown): string | null {
  const found = recipeIn(value, 0);
  const parsed = foreignRecipe.safeParse(found);
  if (!parsed.success) return null;
  const { name, recipeIngredient, ingredients, recipeInstructions } = parsed.data;
  const lines = linesOf(recipeIngredient ?? ingredients);
  if (lines.length === 0) return null;
  const steps = stepsOf(recipeInstructions, 0);
  return [
    name,
    '',
    ...lines,
    ...(steps.length > 0 ? ['', ...steps.map((step, at) => `${at + 1}. ${step}`)] : []),
  ]
    .join('\n')
    .concat('\n');
}

function recipeIn(value: unknown, depth: number): unknown {
  if (depth > MOST_DEPTH || typeof value !== 'object' || value === null) return null;
  if ('@type' in value && isRecipeType(value['@type'])) return value;
  for (const inner of Object.values(value)) {
    const found = recipeIn(inner, depth + 1);
    if (found) return found;
  }
  return null;
}

/** Without the tags and entities that web pages leave in. */
const plain = (text: string) =>
  text
    .replace(/<[^>]*>/g, ' ')
    .replace(/&nbsp;/g, ' ')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')
    .trim();

function linesOf(given: string | readonly string[] | undefined): string[] {
  const all = typeof given === 'string' ? given.split(/\r?\n/) : (given ?? []);
  return all.map(plain).filter(Boolean);
}

/** Steps, sections of steps, or one text. */
function stepsOf(given: unknown, depth: number): string[] {
  if (depth > MOST_DEPTH || given === null || given === undefined) return [];
  if (typeof given === 'string') return linesOf(given);
  if (Array.isArray(given)) return given.flatMap((each) => stepsOf(each, depth + 1));
  if (typeof given !== 'object') return [];
  if ('itemListElement' in given) return stepsOf(given.itemListElement, depth + 1);
  return 'text' in given && typeof given.text === 'string' ? [plain(given.text)] : [];
}
