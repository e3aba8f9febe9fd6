import { t } from '@lingui/core/macro';
import { router, useLocalSearchParams } from 'expo-router';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { rounded } from '@/core/base/measures';
import type { LabelReading } from '@/core/recipe/products';
import { Body, Button, FieldGroup, Problem, Screen, Small } from '@/ui';
import { allergyOptions } from '../shared/allergyOptions';
import { FormChoice, FormField, FormToggles, resolverOf, NotSavedYet } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { LabelPhoto } from './LabelPhoto';
import {
  fatKindOptions,
  FIGURES,
  labelOf,
  NEW_OWN,
  ownFromDraft,
  proteinFormOptions,
  type OwnDraft,
} from './ownDraft';

/** An ingredient that the catalogue lacks: a bought product by its label, or anything by its figures. */
export function OwnIngredientScreen() {
  const { label } = useLocalSearchParams<{ label?: string }>();
  const add = useAddRecords();
  const stamped = (draft: OwnDraft) => ownFromDraft(draft, newStamp());
  const { control, handleSubmit, formState, setValue } = useForm<OwnDraft>({
    defaultValues: label === undefined ? NEW_OWN : { ...NEW_OWN, label },
    resolver: resolverOf(stamped),
  });
  const draft = useWatch({ control }) as OwnDraft;
  const reading = labelOf(draft);
  const save = handleSubmit((checked) => {
    const own = stamped(checked);
    if (!own.ok) return;
    add([own.value], t`${{ ingredientName: own.value.ingredient.name }} can be used in recipes now.`);
    router.navigate('/pantry');
  });
  return (
    <Screen
      over={t`Pantry`}
      headline={t`An ingredient of your own`}
      reason={t`Recipes read it by its name.`}
      side={reading?.ok ? <LabelRows reading={reading.value} /> : undefined}
    >
      <FormField
        control={control}
        name="name"
        label={t`Name, as you write it in recipes`}
        testID="own-name"
      />
      <FormChoice
        control={control}
        name="by"
        label={t`What do you know of it?`}
        options={[
          { value: 'label', label: t`what stands on the label` },
          { value: 'figures', label: t`its figures` },
        ]}
      />
      {draft.by === 'label' ? (
        <LabelPhoto onNames={(list) => setValue('label', list, { shouldValidate: true })} />
      ) : null}
      {draft.by === 'label' ? (
        <FormField
          control={control}
          name="label"
          label={t`Ingredients as on the label`}
          help={t`The whole list with commas, or one line such as: hydrolysed wheat protein, position 5 of 20.`}
          placeholder={t`Aqua, Cetearyl Alcohol, Glycerin, Behentrimonium Chloride …`}
          lines={6}
          testID="own-label"
        />
      ) : (
        <Figures control={control} />
      )}
      <FormToggles
        control={control}
        name="allergens"
        label={t`It holds something people react to`}
        help={t`Whoever reacts to it is warned. What a label names is found automatically.`}
        options={allergyOptions()}
      />
      {reading && !reading.ok ? <Problem live>{reading.problems[0].message}</Problem> : null}
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Save`} onPress={save} testID="save-own" />
        <Button label={t`Back`} onPress={() => router.navigate('/pantry')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
}

function Figures({ control }: { control: ReturnType<typeof useForm<OwnDraft>>['control'] }) {
  return (
    <View className="gap-4">
      <FieldGroup label={t`Grams in 100 g`} help={t`Leave empty what isn't in it.`}>
        <View className="flex-row flex-wrap gap-2">
          {FIGURES.map(({ key, label }) => (
            <FormField
              key={key}
              control={control}
              name={`figures.${key}`}
              label={label}
              numeric
              className="w-rail"
              testID={`figure-${key}`}
            />
          ))}
        </View>
      </FieldGroup>
      <FormChoice
        control={control}
        name="proteinForm"
        label={t`Its protein is`}
        options={proteinFormOptions()}
      />
      <FormChoice control={control} name="fatKind" label={t`Its oil`} options={fatKindOptions()} />
      <FormChoice
        control={control}
        name="keeping"
        label={t`It keeps like`}
        options={[
          { value: 'preserved', label: t`a bought product` },
          { value: 'oil', label: t`an oil` },
          { value: 'dry', label: t`a dry powder` },
          { value: 'cooked', label: t`something cooked` },
          { value: 'fresh', label: t`fresh fruit` },
        ]}
      />
      <FormField
        control={control}
        name="gramsPerMl"
        label={t`Grams in a millilitre`}
        numeric
        className="w-field-l"
      />
    </View>
  );
}

/** How the label was read: each name with its rough share. */
function LabelRows({ reading }: { reading: LabelReading }) {
  return (
    <View className="gap-2">
      <Small live>{reading.said}</Small>
      <View className="gap-2" role="table" aria-label={t`How the label was read`}>
        {reading.rows.map((row) => (
          <View
            key={row.position}
            role="row"
            className="flex-row justify-between gap-3 border-t border-line pt-1"
          >
            <View role="cell" className="flex-1">
              <Body>{row.name}</Body>
              <Small>{row.part === null ? t`not known here` : partWords()[row.part]}</Small>
            </View>
            <View role="cell">
              <Body>{t`about ${{ percent: rounded(row.percent, row.percent < 1 ? 2 : 0) }} %`}</Body>
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}

const partWords = perLanguage((): Record<NonNullable<LabelReading['rows'][number]['part']>, string> => ({
  water: t`water`,
  cationic: t`conditioner that clings`,
  emollient: t`softener`,
  silicone: t`silicone`,
  humectant: t`draws water`,
  sugars: t`sugars`,
  mucilage: t`gum, slip`,
  protein: t`protein`,
  penetrating: t`oil that enters`,
  sealing: t`oil that stays on`,
  tannin: t`tannin`,
  acid: t`acid`,
  surfactant: t`washing agent`,
  preservative: t`preservative`,
  fragrance: t`fragrance`,
  none: t`does nothing for the verdict`,
}));
