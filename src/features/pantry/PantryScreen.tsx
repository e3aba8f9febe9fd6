import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { inStock } from '@/core/kitchen/pantry';
import { lexiconOf, near } from '@/core/recipe/parsing';
import type { PantryItem, Ingredient } from '@/core/records/shapes';
import { selectOwnIngredients, selectPantry, useAppSelector } from '@/store';
import { Button, Field, Heading, Screen, Small, Strong } from '@/ui';
import { grams, money } from '../shared/amounts';
import { LinkBox } from '../shared/LinkBox';
import { RecipeTabs } from '../shared/RecipeTabs';
import { useLarder } from '../shared/useLarder';
import { MakeableNow } from './MakeableNow';

const OFFERED = 6;

/** What she has, what it costs, what can be made of it, and ingredients of her own. */
export function PantryScreen() {
  const pantry = useAppSelector(selectPantry);
  const larder = useLarder();
  const [isAdding, setIsAdding] = useState(false);
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
      before={<RecipeTabs here="/pantry" />}
      headline={there === 0 ? t`The pantry is empty` : t`${there} in the pantry`}
      reason={
        there === 0
          ? t`Say what you have and what a pack costs: substitutes, costs and ideas come from it.`
          : undefined
      }
      side={<MakeableNow />}
      actions={
        <Button
          label={t`Add`}
          hint={t`Add to the pantry`}
          expanded={isAdding}
          onPress={() => setIsAdding(!isAdding)}
          testID="add-stock"
        />
      }
    >
      {isAdding || items.length === 0 ? <FindIngredient /> : null}
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
  return (
    <View role="listitem" className="border-t border-line">
      <LinkBox
        href={{ pathname: '/pantry/[ingredientId]', params: { ingredientId: ingredient.id } }}
        className="flex-row items-center justify-between gap-3"
      >
        <Strong className={`flex-1 ${inStock(item) ? '' : 'line-through'}`}>{ingredient.name}</Strong>
        <Small>
          {stockText(item)}
          {item.pack ? ` · ${money(item.pack.price)} / ${grams(item.pack.grams)}` : ''}
        </Small>
      </LinkBox>
    </View>
  );
}

function stockText({ gramsLeft }: PantryItem): string {
  return gramsLeft === null
    ? t({ message: 'some', context: 'an amount that is not known' })
    : gramsLeft === 0
      ? t`ran out`
      : grams(gramsLeft);
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
