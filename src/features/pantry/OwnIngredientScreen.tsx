import { router } from 'expo-router';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { rounded } from '@/core/measures';
import { Body, Button, FieldGroup, Problem, Screen, Small } from '@/ui';
import { ALLERGY_OPTIONS } from '../shared/allergyOptions';
import { FormChoice, FormField, FormToggles, resolverOf, NotSavedYet } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import {
  FAT_KIND_OPTIONS,
  FIGURES,
  labelOf,
  NEW_OWN,
  ownFromDraft,
  PROTEIN_FORM_OPTIONS,
  type OwnDraft,
} from './ownDraft';
import type { LabelReading } from '@/core/products';

/** An ingredient that the catalogue lacks: a bought product by its label, or anything by its figures. */
export function OwnIngredientScreen() {
  const add = useAddRecords();
  const stamped = (draft: OwnDraft) => ownFromDraft(draft, newStamp());
  const { control, handleSubmit, formState } = useForm<OwnDraft>({
    defaultValues: NEW_OWN,
    resolver: resolverOf(stamped),
  });
  const draft = useWatch({ control }) as OwnDraft;
  const reading = labelOf(draft);
  const save = handleSubmit((checked) => {
    const own = stamped(checked);
    if (!own.ok) return;
    add([own.value], `${own.value.ingredient.name} can be used in recipes now.`);
    router.navigate('/pantry');
  });
  return (
    <Screen
      over="Pantry"
      headline="An ingredient of your own"
      reason="Recipes read it by its name."
      side={reading?.ok ? <LabelRows reading={reading.value} /> : undefined}
    >
      <FormField control={control} name="name" label="Name, as you write it in recipes" testID="own-name" />
      <FormChoice
        control={control}
        name="by"
        label="What do you know of it?"
        options={[
          { value: 'label', label: 'what stands on the label' },
          { value: 'figures', label: 'its figures' },
        ]}
      />
      {draft.by === 'label' ? (
        <FormField
          control={control}
          name="label"
          label="Ingredients as on the label"
          help="The whole list with commas, or one line such as: hydrolysed wheat protein, position 5 of 20."
          placeholder="Aqua, Cetearyl Alcohol, Glycerin, Behentrimonium Chloride …"
          lines={6}
          testID="own-label"
        />
      ) : (
        <Figures control={control} />
      )}
      <FormToggles
        control={control}
        name="allergens"
        label="It holds something people react to"
        help="A head that reacts to it is warned. What a label names is found by itself."
        options={ALLERGY_OPTIONS}
      />
      {reading && !reading.ok ? <Problem live>{reading.problems[0].message}</Problem> : null}
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label="Save" onPress={save} testID="save-own" />
        <Button label="Back" onPress={() => router.navigate('/pantry')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
}

function Figures({ control }: { control: ReturnType<typeof useForm<OwnDraft>>['control'] }) {
  return (
    <View className="gap-4">
      <FieldGroup label="Grams in 100 g" help="Leave empty what it does not hold.">
        <View className="flex-row flex-wrap gap-2">
          {FIGURES.map(({ key, label }) => (
            <FormField
              key={key}
              control={control}
              name={`figures.${key}`}
              label={label}
              numeric
              className="w-[104px]"
              testID={`figure-${key}`}
            />
          ))}
        </View>
      </FieldGroup>
      <FormChoice
        control={control}
        name="proteinForm"
        label="Its protein is"
        options={PROTEIN_FORM_OPTIONS}
      />
      <FormChoice control={control} name="fatKind" label="Its oil" options={FAT_KIND_OPTIONS} />
      <FormChoice
        control={control}
        name="keeping"
        label="It keeps like"
        options={[
          { value: 'preserved', label: 'a bought product' },
          { value: 'oil', label: 'an oil' },
          { value: 'dry', label: 'a dry powder' },
          { value: 'cooked', label: 'something cooked' },
          { value: 'fresh', label: 'fresh fruit' },
        ]}
      />
      <FormField
        control={control}
        name="gramsPerMl"
        label="Grams in a millilitre"
        numeric
        className="w-[160px]"
      />
    </View>
  );
}

/** How the label was read: each name with its rough share. */
function LabelRows({ reading }: { reading: LabelReading }) {
  return (
    <View className="gap-2">
      <Small live>{reading.said}</Small>
      <View className="gap-2" role="table" aria-label="How the label was read">
        {reading.rows.map((row) => (
          <View
            key={row.position}
            role="row"
            className="flex-row justify-between gap-3 border-t border-line pt-1"
          >
            <View role="cell" className="flex-1">
              <Body>{row.name}</Body>
              <Small>{row.part === null ? 'not known here' : PART_WORDS[row.part]}</Small>
            </View>
            <View role="cell">
              <Body>about {rounded(row.percent, row.percent < 1 ? 2 : 0)} %</Body>
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}

const PART_WORDS: Record<NonNullable<LabelReading['rows'][number]['part']>, string> = {
  water: 'water',
  cationic: 'conditioner that clings',
  emollient: 'softener',
  silicone: 'silicone',
  humectant: 'draws water',
  sugars: 'sugars',
  mucilage: 'gum, slip',
  protein: 'protein',
  penetrating: 'oil that enters',
  sealing: 'oil that stays on',
  tannin: 'tannin',
  acid: 'acid',
  surfactant: 'washing agent',
  preservative: 'preservative',
  fragrance: 'fragrance',
  none: 'does nothing for the verdict',
};
