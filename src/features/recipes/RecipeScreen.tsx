import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { selectRecipes, useAppSelector } from '@/store';
import { Screen } from '@/ui';
import { KnownUse } from '../shared/KnownUse';
import { NotFound } from '../shared/NotFound';
import { useHead } from '../shared/useHead';
import { RecipeEditor } from './RecipeEditor';
import { RecipePage } from './RecipePage';

interface RecipeScreenProps {
  readonly recipeId: string;
  /** Asks first since when it has been used. */
  readonly known?: string | undefined;
}

export function RecipeScreen({ recipeId, known }: RecipeScreenProps) {
  const head = useHead();
  const [asks, setAsks] = useState(known !== undefined);
  const recipe = useAppSelector(selectRecipes).find((each) => each.recipeId === recipeId);
  if (recipe && head && asks)
    return (
      <Screen
        over={recipe.name}
        headline={t`You've used it before`}
        reason={t`Then it needs no test on ${{ name: head.name }}, and counts from the start.`}
      >
        <KnownUse recipe={recipe} head={head} onClose={() => setAsks(false)} />
      </Screen>
    );
  return recipe ? <RecipePage key={recipeId} recipe={recipe} /> : <NotFound />;
}

interface EditScreenProps {
  readonly recipeId: string;
  /** Stands in the editor instead of the saved text, when a change was proposed elsewhere. */
  readonly text?: string | undefined;
}

export function EditScreen({ recipeId, text }: EditScreenProps) {
  const recipe = useAppSelector(selectRecipes).find((each) => each.recipeId === recipeId);
  return recipe ? (
    <RecipeEditor key={`${recipe.id} ${text ?? ''}`} existing={recipe} text={text} />
  ) : (
    <NotFound />
  );
}
