import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { UNITS, unitShown, unitWord } from '@/core/base/measures';
import { allergenWords, keepingOf } from '@/core/kitchen/batches';
import { inStock } from '@/core/kitchen/pantry';
import { preparationMinutes, sourceOf } from '@/core/recipe/ingredients';
import { namesOf } from '@/core/recipe/parsing';
import type { Active, Ingredient, OwnIngredient } from '@/core/records/shapes';
import { selectOwnIngredients, selectPantry, useAppSelector } from '@/store';
import { Body, Button, Heading, Screen, Small } from '@/ui';
import { capital, grams } from '../shared/amounts';
import { FormField, FormMeasure, resolverOf } from '../shared/form';
import { NotFound } from '../shared/NotFound';
import { newStamp } from '../shared/stamp';
import { minutesText } from '../shared/treatmentWords';
import { useAddRecords } from '../shared/useAddRecords';
import { useLarder } from '../shared/useLarder';
import { useTakeBack } from '../shared/useTakeBack';
import { draftOfStock, stockFromDraft, type StockDraft } from './stockDraft';

/** All that is known of one ingredient, each figure with its source, and what is there of it. */
export function IngredientScreen({ ingredientId }: { ingredientId: string }) {
  const ingredient = useLarder().ingredient(ingredientId);
  const own = useAppSelector(selectOwnIngredients).find((record) => record.ingredient.id === ingredientId);
  if (!ingredient) return <NotFound />;
  const names = namesOf(ingredient);
  return (
    <Screen
      over={t`Pantry`}
      headline={capital(ingredient.name)}
      reason={`${ingredient.roles.map((role) => role.replaceAll('-', ' ')).join(', ')}.`}
      side={<Facts ingredient={ingredient} />}
    >
      <Stock key={ingredient.id} ingredient={ingredient} />
      {own ? <OwnNote own={own} /> : null}
      {names.length > 0 ? <Small>{t`Also read as: ${{ names: names.join(', ') }}.`}</Small> : null}
    </Screen>
  );
}

function Stock({ ingredient }: { ingredient: Ingredient }) {
  const item = useAppSelector(selectPantry).get(ingredient.id);
  const add = useAddRecords();
  const stocked = (draft: StockDraft) =>
    stockFromDraft(draft, { ...newStamp(), ingredientId: ingredient.id });
  const { control, handleSubmit } = useForm<StockDraft>({
    defaultValues: draftOfStock(item),
    resolver: resolverOf(stocked),
  });
  const save = handleSubmit((draft) => {
    const record = stocked(draft);
    if (!record.ok) return;
    add([record.value], t`${{ ingredientName: capital(ingredient.name) }} is in the pantry.`);
    router.navigate('/pantry');
  });
  const there = item !== undefined && inStock(item);
  const turn = () => {
    if (!item) return;
    add(
      [{ ...item, ...newStamp(), gramsLeft: there ? 0 : null }],
      there
        ? t`${{ ingredientName: capital(ingredient.name) }} ran out.`
        : t`${{ ingredientName: capital(ingredient.name) }} is there again.`,
    );
    router.navigate('/pantry');
  };
  return (
    <View className="gap-3">
      <Heading level={2}>{t`In the pantry`}</Heading>
      <View className="flex-row flex-wrap gap-4">
        <FormMeasure
          control={control}
          name="left"
          label={t`Left, ${{ unit: unitShown('mass') }}`}
          help={t`Empty for “some”, 0 when it ran out.`}
          measure="mass"
          className="w-field-xl"
          testID="stock-left"
        />
        <FormMeasure
          control={control}
          name="packGrams"
          label={t`A pack holds, ${{ unit: unitShown('mass') }}`}
          measure="mass"
          className="w-field-l"
          testID="pack-grams"
        />
        <FormField
          control={control}
          name="packPrice"
          label={t`and costs`}
          numeric
          className="w-field-m"
          testID="pack-price"
        />
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Save`} onPress={save} testID="save-stock" />
        {item ? (
          <Button label={there ? t`It ran out` : t`I got more`} onPress={turn} testID="stock-turn" />
        ) : null}
        <Button label={t`Back`} onPress={() => router.navigate('/pantry')} />
      </View>
    </View>
  );
}

/** Where her own figures come from, and the way to take the ingredient back. */
function OwnNote({ own }: { own: OwnIngredient }) {
  const takeBack = useTakeBack();
  return (
    <View className="gap-2">
      <Heading level={2}>{t`Yours`}</Heading>
      <Small>{own.note}</Small>
      <View className="items-start">
        <Button
          label={t`Remove it from the catalogue`}
          hint={t`Take ${{ ingredientName: own.ingredient.name }} out of the catalogue; recipes that use it stay readable`}
          onPress={() => {
            takeBack(
              own.id,
              t`${{ ingredientName: own.ingredient.name }} is removed. Recipes that use it stay readable.`,
            );
            router.navigate('/pantry');
          }}
          testID="remove-ingredient"
        />
      </View>
    </View>
  );
}

interface Fact {
  readonly name: string;
  readonly value: string;
  /** Path of the figure, whose source is shown. */
  readonly figure: string;
}

/** Every figure with where it comes from. */
function Facts({ ingredient }: { ingredient: Ingredient }) {
  const groups: readonly (readonly [string, readonly Fact[]])[] = [
    [t`In 100 g`, compositionFacts(ingredient)],
    [t`Weights`, measureFacts(ingredient)],
    [t`Preparing`, preparationFacts(ingredient)],
    [t`Use and keeping`, useFacts(ingredient)],
  ];
  return (
    <View className="gap-4">
      {groups.map(([title, facts]) =>
        facts.length === 0 ? null : (
          <View key={title} className="gap-1">
            <Heading level={3}>{title}</Heading>
            <View role="table" aria-label={title} className="gap-1">
              {facts.map(({ name, value, figure }, index) => {
                const source = sourceText(ingredient, figure);
                const next = facts[index + 1];
                // Figures of one source stand together, with the source once below them.
                const isLast = !next || sourceText(ingredient, next.figure) !== source;
                return (
                  <View key={name} role="row" className="border-t border-line pt-1">
                    <View role="cell" className="flex-row justify-between gap-3">
                      <Body>{name}</Body>
                      <Body className="flex-1 text-right">{value}</Body>
                    </View>
                    {isLast ? (
                      <View role="cell">
                        <Small>{source}</Small>
                      </View>
                    ) : null}
                  </View>
                );
              })}
            </View>
          </View>
        ),
      )}
    </View>
  );
}

const sourceWords = perLanguage(
  () => ({ measured: t`Measured`, label: t`From labels`, assumed: t`Assumed` }) as const,
);

function sourceText(ingredient: Ingredient, figure: string): string {
  const { kind, title } = sourceOf(ingredient, figure);
  return `${sourceWords()[kind]}: ${title}`;
}

/** What an ingredient is made of, and what in it acts. */
const partWords = perLanguage(
  (): Readonly<Record<string, string>> =>
    ({
      water: t`water`,
      protein: t`protein`,
      fat: t`fat`,
      sugars: t`sugars`,
      starch: t`starch`,
      fibre: t`fibre`,
      other: t`other`,
      humectant: t`humectant`,
      mucilage: t`mucilage`,
      cationic: t`conditioner that clings`,
      emollient: t`softener`,
      tannin: t`tannin`,
      acid: t`acid`,
      surfactant: t`washing agent`,
      dye: t`dye`,
      essentialOil: t`essential oil`,
      preservative: t`preservative`,
      emulsifier: t`emulsifier`,
    }) satisfies Record<keyof Ingredient['composition'] | Active, string>,
);

const formWords = perLanguage((): Record<Ingredient['proteinForm'], string> => ({
  none: t`too little to count`,
  'amino-acids': t`amino acids`,
  hydrolysed: t`hydrolysed`,
  gelatin: t`gelatin`,
  intact: t`whole`,
}));

function compositionFacts({ composition, actives, proteinForm }: Ingredient): Fact[] {
  const parts = Object.entries(composition).map(([part, value]) => ({
    name:
      part === 'protein' && value > 0
        ? t`protein, ${{ proteinForm: formWords()[proteinForm] }}`
        : (partWords()[part] ?? part),
    value: t`${value} g`,
    figure: `composition.${part}`,
  }));
  const acting = Object.entries(actives).map(([part, value]) => ({
    name: partWords()[part] ?? part,
    value: t`${value} g`,
    figure: `actives.${part}`,
  }));
  return [...parts, ...acting];
}

function measureFacts({ measures }: Ingredient): Fact[] {
  const { gramsPerMl, pieceGrams, leafGrams, packetGrams } = measures;
  const spoons = (['tsp', 'tbsp', 'cup'] as const).map(
    (unit) => t`${{ grams: grams(gramsPerMl * UNITS[unit].size) }} a ${{ unit: unitWord(unit, 1) }}`,
  );
  return [
    { name: t`by spoon`, value: spoons.join(', '), figure: 'measures.gramsPerMl' },
    ...(pieceGrams
      ? [
          {
            name: t`a piece`,
            value: t`${{ small: pieceGrams.small }} · ${{ medium: pieceGrams.medium }} · ${{ large: pieceGrams.large }} g`,
            figure: 'measures.pieceGrams',
          },
        ]
      : []),
    ...(leafGrams ? [{ name: t`a leaf`, value: t`${leafGrams} g`, figure: 'measures.leafGrams' }] : []),
    ...(packetGrams
      ? [{ name: t`a packet`, value: t`${packetGrams} g`, figure: 'measures.packetGrams' }]
      : []),
  ];
}

function preparationFacts({ preparations }: Ingredient): Fact[] {
  return preparations.map((preparation) => {
    const kept = preparation.survives.protein;
    const protein = kept === undefined ? '' : t`, ${{ kept: Math.round(100 * kept) }} % of the protein stays`;
    return {
      name: preparation.label,
      value: `${minutesText(preparationMinutes(preparation))}${protein}`,
      figure: `preparations.${preparation.id}`,
    };
  });
}

function useFacts(ingredient: Ingredient): Fact[] {
  const { usualShare, pH, coolBelowC, allergens } = ingredient;
  const alone = { text: '', ingredient, preparation: null, grams: 100, line: 0, via: [] };
  return [
    ...(usualShare
      ? [
          {
            name: t`usual share`,
            value: t`${{ from: usualShare.from }} to ${{ to: usualShare.to }} %`,
            figure: 'usualShare',
          },
        ]
      : []),
    ...(pH === undefined ? [] : [{ name: 'pH', value: String(pH), figure: 'pH' }]),
    ...(coolBelowC === undefined
      ? []
      : [{ name: t`goes in below`, value: `${coolBelowC} °C`, figure: 'coolBelowC' }]),
    {
      name: t`keeps in the fridge`,
      value: plural({ days: keepingOf([alone], 'fridge').days }, { one: '# day', other: '# days' }),
      figure: 'keeping',
    },
    ...(allergens.length > 0
      ? [{ name: 'allergens', value: allergens.map(allergenWords).join(', '), figure: 'allergens' }]
      : []),
  ];
}
