import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
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

/** Read like recipes in what was done; never planned, never listed among the recipes. */
const unnamedRecipes = perLanguage((): Readonly<Record<Unnamed, RecipeVersion>> => {
  const named = (recipeId: Unnamed, name: string): RecipeVersion => ({
    id: recipeId,
    recordedAt: '2000-01-01T00:00:00Z',
    kind: 'recipe',
    recipeId,
    version: 1,
    name,
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
  });
  return {
    'some-protein': named('some-protein', t`A protein treatment`),
    'some-moisture': named('some-moisture', t`A moisture treatment`),
    'some-oil': named('some-oil', t`An oil treatment`),
  };
});

/** Such a treatment as a recipe; undefined for whatever has a recipe of its own. */
export function unnamedRecipe(recipeId: string): RecipeVersion | undefined {
  return isUnnamed(recipeId) ? unnamedRecipes()[recipeId] : undefined;
}
