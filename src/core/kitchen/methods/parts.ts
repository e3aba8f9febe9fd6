import type { UnitId } from '../../base/measures';
import { type Larder, type ParsedRecipe, type ReadLine } from '../../recipe/larder';
import type { Ingredient, Preparation, SavedLine, StepLine } from '../../records/shapes';

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
  readonly told: StepLine;
  /** Where its words stand in the text, those of its name first; none for a saved line. */
  readonly at: ReadLine['at'];
}

/** Decisions of the reader after which a line's own words no longer say its amount. */
const REWORDED: ReadonlySet<string> = new Set([
  'corrected',
  'scaled',
  'to-texture',
  'to-balance',
  'equal-parts',
  'from-instruction',
  'optional',
  'range',
  'own-measure',
  'guess',
  'one-piece',
  'instead',
]);
/** A plain phrase: nothing that cuts it up, no bracket that opens or closes alone. */
const SAYABLE = /^(?:[^,:;()\n]|\([^()\n]*\))+$/;

/** The lines of a text that were read, by their index among all its lines. */
export function partsOfText(text: string, recipe: ParsedRecipe, larder: Larder): Part[] {
  return recipe.lines.flatMap((line, index): Part[] => {
    if (line.status !== 'read') return [];
    const { quantity, unit, at, assumptions } = line;
    const [first] = at;
    // “3/4 of a cup of gel” is told by more than the stretch of its name.
    const isCut = first !== undefined && /\b(?:of|de|da|do|di|du)\s+$/i.test(text.slice(0, first.start));
    const isPlain =
      !isCut && at.length === 1 && quantity > 0 && assumptions.every(({ code }) => !REWORDED.has(code));
    const own = isPlain && first ? text.slice(first.start, first.end).trim() : '';
    const trimmed = own.replace(/[.!;\s]+$/, '');
    const words = SAYABLE.test(trimmed) ? trimmed : '';
    return [
      {
        ...partOf(line, index, line.name, larder),
        told: {
          line: index,
          ...(words ? { words: unbraced(words) } : {}),
          ...(quantity > 0 ? { quantity, unit } : {}),
        },
        at,
      },
    ];
  });
}

/** The lines of a version that weigh something. */
export function partsOfLines(lines: readonly SavedLine[], larder: Larder): Part[] {
  return lines.flatMap((line, index): Part[] =>
    line.grams === null ? [] : [{ ...partOf(line, index, line.text, larder), told: { line: index }, at: [] }],
  );
}

type Line = Pick<SavedLine, 'text' | 'ingredientId' | 'preparationId'> & {
  readonly grams: number | null;
  readonly made?: SavedLine['made'] | null;
  readonly phase?: string | null | undefined;
};

function partOf(line: Line, index: number, name: string, larder: Larder): Omit<Part, 'told' | 'at'> {
  const ingredient = line.ingredientId === null ? undefined : larder.ingredient(line.ingredientId);
  const preparation = ingredient?.preparations.find(({ id }) => id === line.preparationId) ?? null;
  const made = line.made ? larder.recipe(line.made.recipeId, line.made.version)?.name : undefined;
  const text = line.text.toLowerCase();
  return {
    line: index,
    name: ingredient?.name ?? made ?? name,
    ingredient: ingredient ?? null,
    preparation,
    grams: line.grams ?? 0,
    phase: line.phase ?? null,
    isFermentTold:
      preparation?.stages.some((stage) => stage.do === 'soak') === true && text.includes('ferment'),
    isPreparationTold:
      preparation !== null && (!preparation.usual || preparation.words.some((word) => text.includes(word))),
  };
}

/** Braces stand for lines in a step. */
export const unbraced = (text: string): string => text.replaceAll('{', '(').replaceAll('}', ')');

/** A measure as it was told. */
export const toldMeasure = ({
  quantity,
  unit,
}: StepLine): { readonly quantity: number; readonly unit: UnitId } | undefined =>
  quantity === undefined || unit === undefined ? undefined : { quantity, unit };
