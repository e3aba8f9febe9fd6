import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import type { OwnPart } from '@/core/plan/scheduling';
import { usesOf } from '@/core/recipe/larder';
import { Button, Heading, LabelledChoice, Strong } from '@/ui';
import { useLarder } from '../shared/useLarder';

const EVERY = [4, 7, 10, 14, 21, 28, 42] as const;

/** Puts a rhythm together: which recipe, how often. */
export function OwnRhythm({ onTry }: { onTry: (own: readonly OwnPart[]) => void }) {
  const larder = useLarder();
  const [parts, setParts] = useState<readonly OwnPart[]>([]);
  const [recipeId, setRecipeId] = useState<string | null>(null);
  const [everyDays, setEveryDays] = useState<number>(7);
  const masks = larder.recipes.filter((recipe) => usesOf(recipe).includes('mask'));
  const nameOf = (id: string) => masks.find((recipe) => recipe.recipeId === id)?.name ?? id;
  return (
    <View className="gap-3 pt-2">
      <Heading level={2}>{t`A rhythm of your own`}</Heading>
      <LabelledChoice<string>
        label={t`Recipe`}
        options={masks.map((recipe) => ({ value: recipe.recipeId, label: recipe.name }))}
        value={recipeId}
        onChange={setRecipeId}
      />
      <LabelledChoice<number>
        label={t`Every so many days`}
        options={EVERY.map((days) => ({ value: days, label: String(days) }))}
        value={everyDays}
        onChange={setEveryDays}
      />
      {parts.map((part) => (
        <View key={part.recipeId} className="flex-row flex-wrap items-center gap-x-3">
          <Strong>{t`${{ name: nameOf(part.recipeId) }}, every ${plural({ everyDays: part.everyDays }, { one: '# day', other: '# days' })}`}</Strong>
          <Button
            tone="quiet"
            label={t`Remove`}
            hint={t`Remove ${{ name: nameOf(part.recipeId) }}`}
            onPress={() => setParts(parts.filter((each) => each !== part))}
          />
        </View>
      ))}
      <View className="flex-row flex-wrap gap-2">
        <Button
          label={t`Add`}
          hint={t`Add this recipe to the rhythm`}
          disabled={recipeId === null}
          onPress={() => {
            if (recipeId === null) return;
            setParts([...parts.filter((part) => part.recipeId !== recipeId), { recipeId, everyDays }]);
            setRecipeId(null);
          }}
        />
        <Button
          label={t`Try it`}
          hint={t`Try this rhythm`}
          disabled={parts.length === 0}
          onPress={() => onTry(parts)}
        />
      </View>
    </View>
  );
}
