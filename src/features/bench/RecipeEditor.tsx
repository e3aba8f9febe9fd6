import { router } from 'expo-router';
import { useDeferredValue, useMemo } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { classify, verdictHeadline } from '@/core/classification';
import { parseRecipe, readLines, type RecipeVersion } from '@/core/recipes';
import { cautionsFor } from '@/core/safety';
import { Button, Problem, Screen, Small, useWide } from '@/ui';
import { FormChoice, FormField, resolverOf } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useHead } from '../shared/useHead';
import { useAddRecords } from '../shared/useAddRecords';
import { RecipeLines } from './RecipeLines';
import { draftOf, EMPTY_RECIPE, versionFromDraft, type RecipeDraft } from './recipeDraft';
import { VerdictPane } from './VerdictPane';

const EXAMPLE = '2 tbsp soaked linseed\nhalf a papaya\n1 tsp honey\n100 ml oat milk';

/** Paste or type a recipe; the verdict follows. Saving an existing one writes its next version. */
export function RecipeEditor({ existing }: { existing?: RecipeVersion }) {
  const add = useAddRecords();
  const stamped = (draft: RecipeDraft) => {
    const stamp = newStamp();
    return versionFromDraft(draft, {
      ...stamp,
      recipeId: existing?.recipeId ?? stamp.id,
      version: (existing?.version ?? 0) + 1,
    });
  };
  const { control, handleSubmit, setValue, formState } = useForm<RecipeDraft>({
    defaultValues: existing ? draftOf(existing) : EMPTY_RECIPE,
    resolver: resolverOf(stamped),
  });
  const wide = useWide();
  const typed = useWatch({ control, name: 'text' });
  const { parsed, verdict, cautions } = useVerdict(typed);

  const pane = verdict.ok ? <VerdictPane verdict={verdict.value} cautions={cautions} /> : undefined;

  const replaceLine = (line: string, by: string) =>
    setValue(
      'text',
      typed
        .split('\n')
        .map((row) => (row.trim() === line ? by : row))
        .join('\n'),
    );

  const save = handleSubmit((draft) => {
    const version = stamped(draft);
    if (!version.ok) return;
    const { name, version: number } = version.value;
    add([version.value], existing ? `${name} is saved as version ${number}.` : `${name} is saved.`);
    router.navigate('/bench');
  });

  return (
    <Screen
      over={existing ? `${existing.name} · version ${existing.version}` : 'New recipe'}
      headline={verdict.ok ? verdictHeadline(verdict.value) : 'What is in the bowl?'}
      {...(verdict.ok ? {} : { reason: 'One ingredient to a line. The verdict appears as you type.' })}
      sideShare="half"
      side={wide ? pane : undefined}
    >
      <FormField
        control={control}
        name="text"
        label="Recipe, one ingredient to a line"
        placeholder={EXAMPLE}
        lines={7}
        testID="recipe-text"
      />
      {parsed.ok ? (
        <RecipeLines recipe={parsed.value} onReplace={replaceLine} />
      ) : typed.trim() === '' ? null : (
        <Problem live>{parsed.problems[0].message}</Problem>
      )}
      {wide ? null : pane}
      <FormField control={control} name="name" label="Name" testID="recipe-name" />
      <FormChoice
        control={control}
        name="use"
        label="Used as"
        options={[
          { value: 'mask', label: 'mask' },
          { value: 'pre-poo', label: 'pre-poo' },
          { value: 'rinse', label: 'rinse or mist' },
        ]}
      />
      <View className="flex-row flex-wrap items-start gap-4">
        <FormField
          control={control}
          name="contactMinutes"
          className="w-[160px]"
          label="Minutes on the hair"
          numeric
        />
        <FormChoice
          control={control}
          name="warmth"
          label="Warmth"
          options={[
            { value: 'room', label: 'room' },
            { value: 'warm', label: 'warm, under a cap' },
          ]}
        />
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Button
          tone="main"
          label={existing ? 'Save as a new version' : 'Save recipe'}
          onPress={save}
          testID="save-recipe"
        />
        <Button label="Back" onPress={() => router.navigate('/bench')} />
      </View>
      {formState.isSubmitted && !formState.isValid ? (
        <Problem live>Not saved yet: see the marked fields.</Problem>
      ) : null}
      {existing ? <Small>Past sessions keep the version they used.</Small> : null}
    </Screen>
  );
}

/** Parsed lines, verdict and cautions of a text, a step behind the typing when the text is long. */
function useVerdict(typed: string) {
  const text = useDeferredValue(typed);
  const school = useHead()?.school ?? 'my-hair';
  return useMemo(() => {
    const parsed = parseRecipe(text);
    const verdict = parsed.ok ? classify(parsed.value, school) : parsed;
    const cautions = parsed.ok && verdict.ok ? cautionsFor(readLines(parsed.value), verdict.value) : [];
    return { parsed, verdict, cautions };
  }, [text, school]);
}
