import { UNITS } from '../../base/measures';
import type { Larder, ParsedLine } from '../../recipe/larder';
import type { Ingredient, Preparation, SavedLine, SavedStep } from '../../records/shapes';

/** A line of a recipe as its making sees it. */
export interface Part {
  /** Index in the lines of the recipe. */
  readonly line: number;
  readonly name: string;
  /** Null for a recipe that is used as an ingredient: it comes from the shelf. */
  readonly ingredient: Ingredient | null;
  readonly preparation: Preparation | null;
  readonly grams: number;
  readonly phase: string | null;
  /** The telling names its preparation: a long soak is meant. */
  readonly isPreparationTold: boolean;
  /** “Fermented” stands in its row: the word has one root in all languages that are read. */
  readonly isFermentTold: boolean;
  readonly told: SavedLine['told'];
  /** Where its words stand in the text, those of its name first; none for a saved line. */
  readonly at: ParsedLine['at'];
}

/**
 * The lines of a version that weigh something.
 * @param read the same lines as they were read, to know where their words stand
 */
export function partsOf(
  lines: readonly SavedLine[],
  larder: Larder,
  read: readonly ParsedLine[] = [],
): Part[] {
  return lines.flatMap((line, index): Part[] =>
    line.grams === null ? [] : [{ ...partOf(line, index, larder), at: read[index]?.at ?? [] }],
  );
}

/** The same by their index in the lines. */
export function partsByLine(lines: readonly SavedLine[], larder: Larder): ReadonlyMap<number, Part> {
  return byLine(partsOf(lines, larder));
}

export const byLine = (parts: readonly Part[]): ReadonlyMap<number, Part> =>
  new Map(parts.map((part) => [part.line, part]));

/** What goes into a step. */
export const partsIn = ({ lines }: Pick<SavedStep, 'lines'>, parts: ReadonlyMap<number, Part>): Part[] =>
  lines.flatMap((line) => parts.get(line) ?? []);

function partOf(line: SavedLine, index: number, larder: Larder): Omit<Part, 'at'> {
  const ingredient = line.ingredientId === null ? undefined : larder.ingredient(line.ingredientId);
  const preparation = ingredient?.preparations.find(({ id }) => id === line.preparationId) ?? null;
  const made = line.made ? larder.recipe(line.made.recipeId, line.made.version)?.name : undefined;
  const text = line.text.toLowerCase();
  return {
    line: index,
    name: ingredient?.name ?? made ?? line.text,
    ingredient: ingredient ?? null,
    preparation,
    grams: line.grams ?? 0,
    phase: line.phase ?? null,
    told: line.told,
    isFermentTold:
      preparation?.stages.some((stage) => stage.do === 'soak') === true && text.includes('ferment'),
    isPreparationTold:
      preparation !== null && (!preparation.usual || preparation.words.some((word) => text.includes(word))),
  };
}

/** Braces stand for lines in a step. */
export const unbraced = (text: string): string => text.replaceAll('{', '(').replaceAll('}', ')');

/** Aloe by the spoon is gel already; a leaf has to be cut and drained. */
export const isReadyGel = ({ preparation, told }: Part): boolean =>
  told !== undefined &&
  UNITS[told.unit].kind !== 'count' &&
  preparation?.stages.some((stage) => stage.do === 'drain') === true;
