import { useMemo } from 'react';
import type { StockedIngredient } from '@/core/kitchen/making';
import { inStock } from '@/core/kitchen/pantry';
import { selectPantry, useAppSelector } from '@/store';
import { useLarder } from './useLarder';

/** Tap water is always there. */
const ALWAYS = 'water';

/** What can be taken from the pantry today. */
export function useStock(): readonly StockedIngredient[] {
  const pantry = useAppSelector(selectPantry);
  const larder = useLarder();
  return useMemo(
    () =>
      larder.ingredients.flatMap((ingredient): StockedIngredient[] => {
        if (ingredient.id === ALWAYS) return [{ ingredient, gramsLeft: null }];
        const item = pantry.get(ingredient.id);
        return item && inStock(item) ? [{ ingredient, gramsLeft: item.gramsLeft }] : [];
      }),
    [larder, pantry],
  );
}
