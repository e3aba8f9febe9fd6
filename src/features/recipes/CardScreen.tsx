import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { patchTestDays } from '@/core/plan/agenda';
import { daysText } from '@/core/recipe/safety';
import { ofKind } from '@/core/records/shapes';
import { selectLiveRecords, selectPantry, useAppSelector } from '@/store';
import { Button, Screen, Small } from '@/ui';
import { NotFound } from '../shared/NotFound';
import { PrintSheet } from '../shared/PrintSheet';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';
import { makingOf } from './makingOf';
import { recipeCard } from './recipeCard';
import { useMeasureBy } from './useMethod';

/** A recipe on one sheet of paper. */
export function CardScreen({ recipeId }: { recipeId: string }) {
  const larder = useLarder();
  const pantry = useAppSelector(selectPantry);
  const head = useHead();
  const records = useAppSelector(selectLiveRecords);
  const testDays = patchTestDays(ofKind(records, 'plan-settings'), head?.headId ?? '');
  const { by } = useMeasureBy();
  const recipe = larder.lastVersion(recipeId);
  const making = useMemo(
    () => (recipe ? makingOf(recipe, 1, larder, pantry, head?.school ?? 'my-hair') : null),
    [recipe, larder, pantry, head],
  );
  if (!recipe || !making) return <NotFound />;
  const back = () => router.navigate({ pathname: '/recipes/[recipeId]', params: { recipeId } });
  if (!making.ok)
    return (
      <Screen headline={recipe.name} reason={making.problems[0].message}>
        <View className="items-start">
          <Button label={t`Back`} onPress={back} />
        </View>
      </Screen>
    );
  return (
    <Screen
      over={t`Recipe`}
      headline={t`A card to print`}
      reason={t`One sheet, for the kitchen wall or a friend.`}
    >
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Print`} onPress={() => window.print()} testID="print" />
        <Button label={t`Back`} onPress={back} />
      </View>
      <PrintSheet
        title={t`${{ recipeName: recipe.name }}, version ${{ versionName: larder.versionName(recipe) }}`}
        parts={recipeCard(making.value, larder, { head, hasScale: by === 'scale' })}
        foot={t`For hair only, not food. New for this person: put a little behind the ear and look for ${{ days: daysText(testDays) }}.`}
      />
      <Small>
        {head
          ? t`The cautions are those of ${{ headName: head.name }}.`
          : t`Nobody’s allergies are known here.`}
      </Small>
    </Screen>
  );
}
