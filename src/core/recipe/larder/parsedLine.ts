import { sum, type Problem, type UnitId } from '../../base/measures';
import type { Deed } from '../../records/shapes';

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
    | 'to-balance'
    | 'guess'
    | 'to-texture'
    | 'scaled'
    | 'own-measure'
    | 'instead'
    | 'optional'
    | 'corrected'
    | 'of-hundred';
  readonly text: string;
  readonly alternatives: readonly Alternative[];
  /** Of a guess: from little to much, in one unit. */
  readonly between?: {
    readonly least: number;
    readonly usual: number;
    readonly most: number;
    readonly unit: UnitId;
  };
}

/** The version of another recipe that a line uses as an ingredient. */
export interface MadeRef {
  readonly recipeId: string;
  readonly version: number;
  /** The record of that version; see {@link UsedVersion}. */
  readonly recordId?: string | undefined;
}

/** From one UTF-16 unit of the text to before another. */
export interface Stretch {
  readonly start: number;
  readonly end: number;
}

interface LineOfText {
  /** As it was told: the row where it stands alone, else its own words. */
  readonly text: string;
  /** Index of its row among the rows that are not blank. */
  readonly row: number;
  /** Where its words stand, those of its name first; two stretches where an amount is said once for several things. */
  readonly at: readonly Stretch[];
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
  /** What its measure would weigh of a thing as heavy as water; null where it says none that weighs by itself. */
  readonly grams: number | null;
  readonly problem: Problem;
  /** Whole lines that would be understood and are near to what stands there. */
  readonly suggestions: readonly string[];
}

export type ParsedLine = ReadLine | NoteLine | UnreadLine;

/** What becomes of a stretch of the text. */
export type Fate = 'ingredient' | 'step' | 'title' | 'remark' | 'unread';

/** A stretch of the text with its fate; all spans together are the whole text. */
export interface Span extends Stretch {
  readonly fate: Fate;
  /** Index of the line that it belongs to, of an ingredient or of what is not understood. */
  readonly line: number | null;
  /** Index of the step. */
  readonly step: number | null;
}

/** One step of the method, in the order in which it was told. */
export interface ToldStep extends Stretch {
  readonly text: string;
  /** The first is what it begins with. */
  readonly deeds: readonly Deed[];
  /** Null where no time was said. */
  readonly minutes: number | null;
  readonly overnight: boolean;
  /** Null where no temperature was said. */
  readonly celsius: number | null;
  /** By fork or grater, whatever is done. */
  readonly byHand: boolean;
  /** "stir in the rest": what no step names. */
  readonly takesRest: boolean;
  /** Where a name is no thing that goes in: "into the water", "all but the lavender". */
  readonly notIn: readonly Stretch[];
  /** The ingredients that it names, by id. */
  readonly names: readonly { readonly ingredientId: string; readonly at: Stretch }[];
}

/** What the told method sets; null where it says nothing. */
export interface ToldUse {
  /** On the hair. */
  readonly minutes: number | null;
  readonly warmth: 'room' | 'warm' | null;
  readonly overnight: boolean;
  readonly cap: boolean;
  /** All of it is strained after it was mixed. */
  readonly strained: boolean;
  readonly beforeWash: boolean;
  readonly coolRinse: boolean;
  readonly keepsDays: number | null;
  /** What she calls it. */
  readonly claim: 'protein' | 'moisture' | null;
}

/** Named, and in no line. */
export interface NamedOnly {
  readonly name: string;
  readonly at: Stretch;
}

export interface ParsedRecipe {
  readonly lines: readonly ParsedLine[];
  /** What is named and not counted, though she does not say that it stays out. */
  readonly notCounted: readonly NamedOnly[];
  readonly title: string | null;
  readonly steps: readonly ToldStep[];
  readonly told: ToldUse;
  readonly spans: readonly Span[];
}

export function readLines(recipe: ParsedRecipe): ReadLine[] {
  return recipe.lines.filter((line): line is ReadLine => line.status === 'read');
}

/** Lines whose amount was not said. */
export function guessedLines(recipe: ParsedRecipe): ReadLine[] {
  return readLines(recipe).filter(({ assumptions }) => assumptions.some(({ code }) => code === 'guess'));
}

export function unreadLines(recipe: ParsedRecipe): UnreadLine[] {
  return recipe.lines.filter((line): line is UnreadLine => line.status === 'unread');
}

/**
 * How much of a recipe is not understood, 0 to 1 of its weight. A line of which nobody knows how much it is counts as
 * much as the others do on the middle.
 */
export function unreadShare(recipe: ParsedRecipe): number {
  const read = readLines(recipe).map(({ grams }) => grams);
  const unread = unreadLines(recipe).map(({ grams }) => grams);
  const known = [...read, ...unread].flatMap((grams) => grams ?? []);
  const middle = known.length === 0 ? 1 : sum(known) / known.length;
  const missed = sum(unread.map((grams) => grams ?? middle));
  return missed === 0 ? 0 : missed / (sum(read) + missed);
}
