import type { Problem, UnitId } from '../measures';

/** Something the reader of a line had to decide; shown beside the line. */
export interface Assumption {
  readonly code:
    'range' | 'medium-size' | 'usual-preparation' | 'also-names' | 'heaped' | 'pack-size' | 'one-piece';
  readonly text: string;
}

export interface ReadLine {
  readonly status: 'read';
  readonly text: string;
  readonly ingredientId: string;
  /** Null where the ingredient needs no preparation. */
  readonly preparationId: string | null;
  readonly quantity: number;
  readonly unit: UnitId;
  /** As measured out, before preparation. */
  readonly grams: number;
  readonly assumptions: readonly Assumption[];
}

/** A heading or an instruction: kept and shown, weighs nothing. */
export interface NoteLine {
  readonly status: 'note';
  readonly text: string;
}

/** A line that is not understood: kept, shown, counted in none of the sums. */
export interface UnreadLine {
  readonly status: 'unread';
  readonly text: string;
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
