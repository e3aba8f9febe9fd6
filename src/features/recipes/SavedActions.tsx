import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import type { RecipeVersion } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Body, Button } from '@/ui';
import { Sheet } from '@/ui/Sheet';
import { withdrawing } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useLarder } from '../shared/useLarder';
import { ShareRecipe } from './ShareRecipe';

/** What can be done with a recipe that is saved, beside what stands on its page. */
export function SavedActions({ recipe }: { recipe: RecipeVersion }) {
  const { recipeId, name } = recipe;
  const add = useAddRecords();
  const records = useAppSelector(selectLiveRecords);
  const larder = useLarder();
  const [isOpen, setIsOpen] = useState(false);
  const takeOut = () => {
    const versions = records.filter((record) => record.kind === 'recipe' && record.recipeId === recipeId);
    add(
      withdrawing(versions.map(({ id }) => id)),
      t`${name} is removed; what was made and done with it stays.`,
    );
    router.navigate('/recipes');
  };
  const [twin] = larder.twinsOf(recipe);
  const close = () => setIsOpen(false);
  return (
    <>
      <ShareRecipe recipe={recipe} />
      <Button
        label={t`More`}
        hint={t`More to do with ${name}`}
        expanded={isOpen}
        onPress={() => setIsOpen(true)}
        testID="more-recipe"
      />
      {twin ? (
        <Body className="basis-full">
          {t`Version ${{ version: recipe.version }} was written in two places: ${{ otherNumber: larder.versionName(twin) }} and ${{ versionNumber: larder.versionName(recipe) }} are both kept, and “Compare” shows what differs. This is ${{ versionNumber: larder.versionName(recipe) }}.`}
        </Body>
      ) : null}
      {isOpen ? (
        <Sheet title={name} onClose={close}>
          <Button
            label={t`Log a treatment`}
            hint={t`Log a treatment with ${name}`}
            onPress={() => router.push({ pathname: '/hair/done', params: { recipe: recipeId } })}
            testID="log-recipe"
          />
          <Button
            label={t`Set a rhythm`}
            hint={t`Set a rhythm for ${name}`}
            onPress={() => router.push({ pathname: '/week/days', params: { of: recipeId } })}
            testID="rhythm-recipe"
          />
          <Button
            label={t`Compare`}
            hint={t`Compare ${{ recipeName: recipe.name }} with another version or recipe`}
            onPress={() => router.push({ pathname: '/recipes/compare', params: { a: recipeId } })}
          />
          <Button
            label={t`Print a card`}
            hint={t`Print a card of ${name}`}
            onPress={() => router.push({ pathname: '/recipes/card/[recipeId]', params: { recipeId } })}
            testID="recipe-card"
          />
          <Button
            label={t`Remove`}
            hint={t`Remove ${name} from your recipes; what was made and done with it stays`}
            onPress={takeOut}
            testID="remove-recipe"
          />
        </Sheet>
      ) : null}
    </>
  );
}
