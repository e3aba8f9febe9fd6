import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { TookTooLong } from '@/core/base/measures';
import { partText, WISHES, type PantryRecipe, type WishId } from '@/core/kitchen/making';
import { verdictHeadline } from '@/core/recipe/classification';
import { selectLarder, useAppSelector } from '@/store';
import { Body, Button, Choice, Heading, Problem, Small } from '@/ui';
import { askSolver } from '@/workers';
import { useSchool } from '../shared/useSchool';
import { useStock } from '../shared/useStock';

const options = perLanguage(() =>
  (Object.keys(WISHES) as WishId[]).map((value) => ({ value, label: WISHES[value].label })),
);

/** What can I make with what I have that is …? */
export function MakeableNow() {
  const stock = useStock();
  const school = useSchool();
  const { science } = useAppSelector(selectLarder);
  const [wish, setWish] = useState<WishId | null>(null);
  const [answer, setAnswer] = useState<{ wish: WishId; recipes: readonly PantryRecipe[] } | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  useEffect(() => {
    if (!wish) return;
    let current = true;
    askSolver('fromPantry', { wish, stock, school, science }).then(
      (recipes) => {
        if (!current) return;
        setAnswer({ wish, recipes });
        setFailure(null);
      },
      (error: unknown) =>
        current &&
        setFailure(
          error instanceof TookTooLong
            ? error.message
            : t`The solver could not be started: ${{ error: String(error) }}`,
        ),
    );
    return () => {
      current = false;
    };
  }, [wish, stock, school, science]);
  const recipes = answer && answer.wish === wish ? answer.recipes : null;
  return (
    <View className="gap-3" testID="makeable">
      <Heading level={2}>{t`What can I make of it?`}</Heading>
      <Choice label={t`Make me`} options={options()} value={wish} onChange={setWish} />
      {failure ? <Problem live>{failure}</Problem> : null}
      {wish && !recipes && !failure ? <Small>{t`Looking through the pantry …`}</Small> : null}
      {recipes?.length === 0 ? (
        <Small live>
          {wish
            ? t`Nothing in the pantry makes ${{ wish: WISHES[wish].label }} yet.`
            : t`Nothing in the pantry makes that yet.`}
        </Small>
      ) : null}
      {recipes?.map((recipe) => (
        <View key={textOf(recipe)} className="gap-1 border-t border-line pt-2">
          <Body>{recipe.lines.map(partText).join(', ')}</Body>
          <Small>{t`${{ verdictHeadline: verdictHeadline(recipe.verdict) }}, for 100 g.`}</Small>
          <View className="items-start">
            <Button
              tone="quiet"
              label={t`Write it down`}
              hint={t`Write down ${{ replaceAll: textOf(recipe).replaceAll('\n', ', ') }}`}
              onPress={() => router.push({ pathname: '/recipes/new', params: { text: textOf(recipe) } })}
            />
          </View>
        </View>
      ))}
      {recipes && recipes.length > 0 ? (
        <Small>{t`Found by the verdict’s arithmetic alone: cautions are shown when you write one down.`}</Small>
      ) : null}
    </View>
  );
}

function textOf({ lines }: PantryRecipe): string {
  return lines.map(partText).join('\n');
}
