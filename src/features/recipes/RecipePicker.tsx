import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import type { RecipeVersion } from '@/core/records/shapes';
import { selectLarder, selectLiveRecords, selectRecipes, useAppSelector } from '@/store';
import { Button, Choice, Field, FieldGroup, Strong } from '@/ui';
import { useRecipeSearch } from './useRecipeSearch';

interface RecipePickerProps {
  readonly label: string;
  readonly chosen: RecipeVersion | undefined;
  readonly onChoose: (version: RecipeVersion) => void;
  readonly testID: string;
}

const OFFERED = 5;
/** Versions to choose from at once, the newest. */
const VERSIONS = 6;

/** One version of one recipe: found by name, then by its number. */
export function RecipePicker({ label, chosen, onChoose, testID }: RecipePickerProps) {
  const recipes = useAppSelector(selectRecipes);
  const records = useAppSelector(selectLiveRecords);
  const larder = useAppSelector(selectLarder);
  const [words, setWords] = useState('');
  const { found } = useRecipeSearch(recipes, words);
  const versions = records
    .filter(
      (record): record is RecipeVersion => record.kind === 'recipe' && record.recipeId === chosen?.recipeId,
    )
    .slice(-VERSIONS);
  return (
    <FieldGroup label={label}>
      {chosen ? <Strong>{chosen.name}</Strong> : null}
      {versions.length > 1 && chosen ? (
        <Choice
          label={t`Version of ${{ chosenName: chosen.name }}`}
          options={versions.map((each) => ({
            value: each.id,
            label: t`version ${{ versionName: larder.versionName(each) }}`,
          }))}
          value={chosen.id}
          onChange={(id) => {
            const version = versions.find((known) => known.id === id);
            if (version) onChoose(version);
          }}
        />
      ) : null}
      <Field
        label={chosen ? t`Another recipe` : t`Name of a recipe`}
        value={words}
        onChange={setWords}
        testID={testID}
      />
      <View className="flex-row flex-wrap gap-2">
        {(words.trim() === '' && chosen ? [] : found.slice(0, OFFERED)).map((recipe) => (
          <Button
            key={recipe.recipeId}
            label={recipe.name}
            hint={t`Take ${{ recipeName: recipe.name }} as ${label}`}
            onPress={() => {
              setWords('');
              onChoose(recipe);
            }}
          />
        ))}
      </View>
    </FieldGroup>
  );
}
