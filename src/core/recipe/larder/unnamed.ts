import { t } from '@lingui/core/macro';
import type { RecipeVersion, SavedLine } from '../../records/shapes';

/** Treatments of which only the sort is remembered; a `session` names them like recipes. */
export const UNNAMED = ['some-protein', 'some-moisture', 'some-oil'] as const;
export type Unnamed = (typeof UNNAMED)[number];

export const isUnnamed = (recipeId: string): recipeId is Unnamed =>
  (UNNAMED as readonly string[]).includes(recipeId);

/** What such a treatment usually is: a light protein in conditioner, a conditioner with glycerin, plain oil (working assumption). */
const INSIDE: Readonly<Record<Unnamed, readonly (readonly [ingredientId: string, grams: number])[]>> = {
  'some-protein': [
    ['conditioner', 60],
    ['hydrolysed-wheat', 3],
  ],
  'some-moisture': [
    ['conditioner', 60],
    ['glycerin', 6],
  ],
  'some-oil': [['olive-oil', 15]],
};

const MINUTES = 30;

/** Read like a recipe in what was done; never planned, never listed among the recipes. */
export function unnamedRecipes(): RecipeVersion[] {
  const names: Record<Unnamed, string> = {
    'some-protein': t`A protein treatment`,
    'some-moisture': t`A moisture treatment`,
    'some-oil': t`An oil treatment`,
  };
  return UNNAMED.map((recipeId) => ({
    id: recipeId,
    recordedAt: '2000-01-01T00:00:00Z',
    kind: 'recipe',
    recipeId,
    version: 1,
    name: names[recipeId],
    text: INSIDE[recipeId].map(([id, grams]) => `${grams} g ${id}`).join('\n'),
    lines: INSIDE[recipeId].map(([ingredientId, grams]): SavedLine => ({
      text: `${grams} g ${ingredientId}`,
      ingredientId,
      preparationId: null,
      grams,
    })),
    use: recipeId === 'some-oil' ? 'pre-poo' : 'mask',
    contactMinutes: MINUTES,
    warmth: 'room',
  }));
}
