import { t } from '@lingui/core/macro';
import { memo } from 'react';
import type { Control } from 'react-hook-form';
import { View } from 'react-native';
import { RECIPE_USES } from '@/core/records/shapes';
import type { RecipeDraft } from '@/store';
import { FormChoice, FormField, FormToggles } from '../shared/form';
import { recipeUseWords } from '../shared/treatmentWords';

/** What is said of a recipe beside its lines. */
export const RecipeFields = memo(function RecipeFields({ control }: { control: Control<RecipeDraft> }) {
  return (
    <>
      <FormField control={control} name="name" label={t`Name`} testID="recipe-name" />
      <FormChoice
        control={control}
        name="use"
        label={t`Used as`}
        options={RECIPE_USES.map((value) => ({ value, label: recipeUseWords()[value] }))}
      />
      <FormToggles
        control={control}
        name="alsoAs"
        label={t`Also used as`}
        options={RECIPE_USES.map((value) => ({ value, label: recipeUseWords()[value] }))}
      />
      <FormChoice
        control={control}
        name="onScalp"
        label={t`On the scalp`}
        options={[
          { value: 'no', label: t`lengths only` },
          { value: 'yes', label: t`scalp too` },
        ]}
      />
      <View className="flex-row flex-wrap items-start gap-4">
        <FormField
          control={control}
          name="contactMinutes"
          className="w-field-l"
          label={t`Minutes on the hair`}
          numeric
        />
        <FormChoice
          control={control}
          name="warmth"
          label={t`Warmth`}
          options={[
            { value: 'room', label: t`room` },
            { value: 'warm', label: t`warm, under a cap` },
          ]}
        />
      </View>
    </>
  );
});
