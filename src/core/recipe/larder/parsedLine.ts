import type { Problem, UnitId } from '../../base/measures';

/** Another way to take a line, as the text that would mean it. */
export interface Alternative {
  readonly label: string;
  /** Stands in for the whole line; may be two lines. */
  readonly line: string;
}

/** Something the reader of a line had to decide; shown beside the line, with the other choices one tap away. */
export interface Assumption {
  readonly code:
    | 'range'
    | 'medium-size'
    | 'usual-preparation'
    | 'also-names'
    | 'heaped'
    | 'pack-size'
    | 'one-piece'
    | 'spelling'
    | 'unknown-words'
    | 'vague-unit'
    | 'equal-parts'
    | 'from-instruction'
    | 'to-balance';
  readonly text: string;
  readonly alternatives: readonly Alternative[];
}

/** The version of another recipe that a line uses as an ingredient. */
export interface MadeRef {
  readonly recipeId: string;
  readonly version: number;
  /** The record of that version; see {@link UsedVersion}. */
  readonly recordId?: string | undefined;
}

interface LineOfText {
  /** The row of the text it stands in, trimmed; a row that names two things gives two lines of the same text. */
  readonly text: string;
  /** Index of that row among the rows that are not blank. */
  readonly row: number;
}

export interface ReadLine extends LineOfText {
  readonly status: 'read';
  /** What it names: an ingredient, or a recipe used as one. */
  readonly name: string;
  readonly ingredientId: string | null;
  readonly made: MadeRef | null;
  /** Null where the ingredient needs no preparation. */
  readonly preparationId: string | null;
  readonly quantity: number;
  readonly unit: UnitId;
  /** As measured out, before preparation. */
  readonly grams: number;
  readonly assumptions: readonly Assumption[];
  /** The phase of a formula that it stands under: "A", "B" … */
  readonly phase: string | null;
}

/** A heading or an instruction: kept and shown, weighs nothing. */
export interface NoteLine extends LineOfText {
  readonly status: 'note';
}

/** A line that is not understood: kept, shown, counted in none of the sums. */
export interface UnreadLine extends LineOfText {
  readonly status: 'unread';
  readonly problem: Problem;
  /** Whole lines that would be understood and are near to what stands there. */
  readonly suggestions: readonly string[];
}

export type ParsedLine = ReadLine | NoteLine | UnreadLine;

export interface ParsedRecipe {
  readonly lines: readonly ParsedLine[];
}

export function readLines(recipe: ParsedRecipe): ReadLine[] {
  return recipe.lines.filter((line): line is ReadLine => line.status === 'read');
}

export function unreadLines(recipe: ParsedRecipe): UnreadLine[] {
  return recipe.lines.filter((line): line is UnreadLine => line.status === 'unread');
}
