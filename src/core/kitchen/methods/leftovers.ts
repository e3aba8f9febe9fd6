import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { addDays, rounded, type CalendarDay } from '../../base/measures';
import type { Larder } from '../../recipe/larder';
import type { Leftover, RecipeVersion, SavedLine, SavedStep } from '../../records/shapes';
import { keepingRule } from '../batches';
import { leavesBits } from './missing';
import { partsOf, type Part } from './parts';

/** What a making leaves, and what it is good for. */
export type LeftOver = Pick<Leftover, 'name' | 'ingredientId' | 'part' | 'grams' | 'useBy' | 'place'>;

/** Pulp that was simmered or soaked is wet and warm: it is used within a day. */
const HELD_BACK_DAYS = 1;
/** Under this a rest of a piece is not worth a jar, share of the piece. */
const LEAST_PIECE = 0.2;
/** Water, g in 100 g, of what is fresh. */
const FRESH_WATER = 50;

/**
 * What is left after a batch: what the cloth held back, and the rest of a fruit that was cut.
 * @param lines scaled to the batch
 */
export function leftOversOf(
  steps: readonly SavedStep[],
  lines: readonly SavedLine[],
  larder: Larder,
  day: CalendarDay,
): LeftOver[] {
  const parts = partsOf(lines, larder);
  const isStrained = steps.some(({ deeds }) => deeds.includes('strain'));
  return parts.flatMap((part): LeftOver[] => {
    const rest = restOfPiece(part, day);
    const held = isStrained && leavesBits(part) ? heldBack(part, day) : null;
    return [...(rest ? [rest] : []), ...(held ? [held] : [])];
  });
}

function restOfPiece({ ingredient, grams, name }: Part, day: CalendarDay): LeftOver | null {
  const piece = ingredient?.measures.pieceGrams?.medium;
  if (!ingredient || !piece || ingredient.composition.water < FRESH_WATER) return null;
  const pieces = grams / piece;
  const left = Math.ceil(pieces - 0.05) - pieces;
  // A spoon of it out of a jar leaves no piece.
  if (left < LEAST_PIECE || left > 1 - LEAST_PIECE) return null;
  const { fridgeDays } = keepingRule(ingredient.keeping);
  return {
    name: t`the rest of the ${name}`,
    ingredientId: ingredient.id,
    part: 'piece',
    grams: rounded(left * piece, 0),
    useBy: addDays(day, fridgeDays),
    place: 'fridge',
  };
}

function heldBack({ ingredient, name }: Part, day: CalendarDay): LeftOver | null {
  if (!ingredient) return null;
  return {
    name: t`what the cloth held back of the ${name}`,
    ingredientId: ingredient.id,
    part: 'held-back',
    grams: null,
    useBy: addDays(day, HELD_BACK_DAYS),
    place: 'fridge',
  };
}

const again = perLanguage(() => ({
  gel: t`Simmer it once more in half the water: a thinner gel for a rinse or a mist.`,
  grain: t`Pour hot water over it once more, strain it, and rinse with that.`,
  leaf: t`Pour hot water over it once more: a weaker tea for the last rinse.`,
  fruit: t`Rub it over hands and feet today; hair would keep the bits.`,
  freeze: t`Mash and freeze it: thawed it goes into a mask like fresh.`,
}));

/** A next use: a recipe of hers that takes it, else what it is still good for. */
export function nextUseOf(
  { ingredientId, part }: Pick<Leftover, 'ingredientId' | 'part'>,
  recipes: readonly RecipeVersion[],
  larder: Larder,
  besideId?: string,
): string {
  const ingredient = larder.ingredient(ingredientId);
  if (part === 'piece') {
    const other = recipes.find(
      ({ recipeId, lines }) =>
        recipeId !== besideId && lines.some((line) => line.ingredientId === ingredientId),
    );
    return other ? t`Goes into ${{ recipe: other.name }}.` : again().freeze;
  }
  const { mucilage = 0 } = ingredient?.actives ?? {};
  if (mucilage >= 1) return again().gel;
  if ((ingredient?.composition.water ?? 0) > FRESH_WATER) return again().fruit;
  return (ingredient?.composition.starch ?? 0) > 30 ? again().grain : again().leaf;
}
