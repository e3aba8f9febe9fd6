import { plural, t } from '@lingui/core/macro';
import { Link, router } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { inStock } from '@/core/kitchen/pantry';
import { lexiconOf, near } from '@/core/recipe/parsing';
import type { PantryItem, Ingredient } from '@/core/records/shapes';
import { selectOwnIngredients, selectPantry, useAppSelector } from '@/store';
import { Button, Field, Heading, Screen, Small, Strong } from '@/ui';
import { capital, grams, money } from '../shared/amounts';
import { BenchTabs } from '../shared/BenchTabs';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useLarder } from '../shared/useLarder';
import { MakeableNow } from './MakeableNow';

const OFFERED = 6;

/** What she has, what it costs, what can be made of it, and ingredients of her own. */
export function PantryScreen() {
  const pantry = useAppSelector(selectPantry);
  const larder = useLarder();
  const items = [...pantry.values()]
    .flatMap((item) => {
      const ingredient = larder.ingredient(item.ingredientId);
      return ingredient ? [{ item, ingredient }] : [];
    })
    .sort(
      (a, b) =>
        Number(inStock(b.item)) - Number(inStock(a.item)) ||
        a.ingredient.name.localeCompare(b.ingredient.name),
    );
  const there = items.filter(({ item }) => inStock(item)).length;
  return (
    <Screen
      before={<BenchTabs here="/pantry" />}
      headline={
        there === 0
          ? t`The pantry is empty`
          : t`${plural(there, { one: '# thing', other: '# things' })} in the pantry`
      }
      reason={t`Say what you have and what a pack costs: substitutes, costs and ideas come from it.`}
      side={<MakeableNow />}
    >
      <FindIngredient />
      <View role="list" aria-label={t`In the pantry`}>
        {items.map(({ item, ingredient }) => (
          <PantryRow key={ingredient.id} item={item} ingredient={ingredient} />
        ))}
      </View>
      <OwnIngredients />
    </Screen>
  );
}

/** Any ingredient by name, misspelt or not, to say that it is there. */
function FindIngredient() {
  const larder = useLarder();
  const [words, setWords] = useState('');
  const asked = useDeferredValue(words.trim());
  const found =
    asked === '' ? [] : near(lexiconOf(larder), asked, OFFERED).flatMap(({ ingredient }) => ingredient ?? []);
  return (
    <View className="gap-2">
      <Field label={t`Find an ingredient`} value={words} onChange={setWords} testID="find-ingredient" />
      <View className="flex-row flex-wrap gap-2">
        {found.map((ingredient) => (
          <Button
            key={ingredient.id}
            label={ingredient.name}
            onPress={() =>
              router.push({ pathname: '/pantry/[ingredientId]', params: { ingredientId: ingredient.id } })
            }
          />
        ))}
        {asked !== '' && found.length === 0 ? (
          <Small>{t`Nothing of this name; add it as your own.`}</Small>
        ) : null}
      </View>
    </View>
  );
}

function PantryRow({ item, ingredient }: { item: PantryItem; ingredient: Ingredient }) {
  const add = useAddRecords();
  const there = inStock(item);
  const turn = () =>
    add(
      [{ ...item, ...newStamp(), gramsLeft: there ? 0 : null }],
      there
        ? t`${{ ingredientName: capital(ingredient.name) }} ran out.`
        : t`${{ ingredientName: capital(ingredient.name) }} is there again.`,
    );
  return (
    <View role="listitem" className="flex-row items-center justify-between gap-3 border-t border-line">
      <Link
        href={{ pathname: '/pantry/[ingredientId]', params: { ingredientId: ingredient.id } }}
        className="flex-1 py-2"
      >
        <View>
          <Strong className={there ? '' : 'line-through'}>{ingredient.name}</Strong>
          <Small>
            {stockText(item)}
            {item.pack
              ? t` · ${{ money: money(item.pack.price) }} for ${{ grams: grams(item.pack.grams) }}`
              : ''}
          </Small>
        </View>
      </Link>
      <Button
        tone="quiet"
        label={there ? t`ran out` : t`got more`}
        hint={
          there
            ? t`${{ ingredientName: ingredient.name }} ran out`
            : t`There is ${{ ingredientName: ingredient.name }} again`
        }
        onPress={turn}
      />
    </View>
  );
}

function stockText({ gramsLeft }: PantryItem): string {
  return gramsLeft === null
    ? t({ message: 'some', context: 'an amount that is not known' })
    : gramsLeft === 0
      ? t`ran out`
      : t`${{ grams: grams(gramsLeft) }} left`;
}

function OwnIngredients() {
  const own = useAppSelector(selectOwnIngredients);
  return (
    <View className="gap-2 pt-2">
      <Heading level={2}>{t`Your own ingredients`}</Heading>
      <Small>{t`A bought product by its label, or anything by its figures.`}</Small>
      <View className="flex-row flex-wrap gap-2">
        {own.map(({ ingredient }) => (
          <Button
            key={ingredient.id}
            label={ingredient.name}
            onPress={() =>
              router.push({ pathname: '/pantry/[ingredientId]', params: { ingredientId: ingredient.id } })
            }
          />
        ))}
        <Button
          tone="main"
          label={t`Add one`}
          onPress={() => router.push('/pantry/new')}
          testID="new-ingredient"
        />
      </View>
    </View>
  );
}
