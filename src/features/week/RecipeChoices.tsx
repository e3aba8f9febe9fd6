import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { classifyVersion } from '@/core/recipe/classification';
import { usesOf } from '@/core/recipe/larder';
import type { RecipeVersion } from '@/core/records/shapes';
import { Button, Small, Strong } from '@/ui';
import { kindInWords, recipeUseWords } from '../shared/treatmentWords';
import { useLarder } from '../shared/useLarder';
import { useWeek } from './WeekContext';

interface Action {
  readonly label: string;
  readonly hint: string;
  readonly run: () => void;
}

interface RecipeChoicesProps {
  readonly label: string;
  /** The recipe that is there already. */
  readonly except?: string;
  readonly actions: (recipe: RecipeVersion) => readonly Action[];
  /** Masks only, as when one takes another’s place; else whatever she uses. */
  readonly masksOnly?: boolean;
  /** What has to be known of a recipe first. */
  readonly note?: (recipe: RecipeVersion) => ReactNode;
}

/** Her recipes, each with what can be done with it here. */
export function RecipeChoices({ label, except, actions, note, masksOnly = false }: RecipeChoicesProps) {
  const larder = useLarder();
  const { head } = useWeek();
  const shown = larder.recipes.filter(
    (recipe) => recipe.recipeId !== except && (!masksOnly || usesOf(recipe).includes('mask')),
  );
  if (shown.length === 0) return <Small>{t`There is no other recipe: save one first.`}</Small>;
  return (
    <View role="list" aria-label={label} className="gap-1">
      {shown.map((recipe) => {
        const verdict = classifyVersion(recipe, head.school, larder);
        return (
          <View key={recipe.recipeId} role="listitem" className="flex-row flex-wrap items-center gap-x-3">
            <View className="min-w-column-m flex-1">
              <Strong>{recipe.name}</Strong>
              {verdict.ok ? (
                <Small>
                  {usesOf(recipe)
                    .map((use) => recipeUseWords()[use])
                    .join(', ')}{' '}
                  · {kindInWords(verdict.value.kind, verdict.value.strength)}
                </Small>
              ) : null}
            </View>
            {note?.(recipe)}
            {actions(recipe).map(({ label: words, hint, run }) => (
              <Button key={words} tone="quiet" label={words} hint={hint} onPress={run} />
            ))}
          </View>
        );
      })}
    </View>
  );
}
