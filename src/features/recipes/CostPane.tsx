import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { againstJar, type Cost } from '@/core/kitchen/pantry';
import type { Larder } from '@/core/recipe/larder';
import type { Ingredient, PantryItem } from '@/core/records/shapes';
import { Body, Heading, Small } from '@/ui';
import { money } from '../shared/amounts';
import type { Making } from './makingOf';
import type { HeadAmount } from './useAmount';

/** Water, g in 100 g, from which a conditioner is a jar to use and not a raw material. */
const FINISHED_WATER = 40;

function isFinished(ingredient: Ingredient | undefined): boolean {
  return (
    ingredient !== undefined &&
    ingredient.roles.includes('conditioner') &&
    ingredient.composition.water > FINISHED_WATER
  );
}

interface CostPaneProps {
  readonly cost: Cost;
  readonly making: Making;
  /** What one use takes on each chosen head. */
  readonly amounts: readonly HeadAmount[];
  readonly pantry: ReadonlyMap<string, PantryItem>;
  readonly larder: Larder;
}

/** What the batch costs, a use of it, and the same weight from a bought jar. */
export function CostPane({ cost, making, amounts, pantry, larder }: CostPaneProps) {
  const jars = [...pantry.values()].filter(
    ({ ingredientId, pack }) => pack && isFinished(larder.ingredient(ingredientId)),
  );
  return (
    <View className="gap-2">
      <Heading level={2}>{t`Cost`}</Heading>
      {cost.parts.length === 0 ? (
        <Small>{t`No ingredient has a price yet. Prices are kept in the Pantry.`}</Small>
      ) : (
        <>
          <Body>{t`${{ money: money(cost.total) }} for the batch, in the currency of your prices`}</Body>
          {(making.finishedGrams > 0 ? amounts : []).map(({ head, grams: used }) => (
            <Body key={head.headId}>
              {t`${{ money: money((cost.total * used) / making.finishedGrams) }} a use on ${{ headName: head.name }}`}
            </Body>
          ))}
          {cost.parts.map(({ name, price }) => (
            <View key={name} className="flex-row justify-between gap-3">
              <Small>{name}</Small>
              <Small>{money(price)}</Small>
            </View>
          ))}
        </>
      )}
      {cost.unpriced.length > 0 ? (
        <Small>{t`Without a price: ${{ unpriced: cost.unpriced.join(', ') }}.`}</Small>
      ) : null}
      {jars.map((jar) => {
        const compared = againstJar(cost, making.finishedGrams, jar);
        return compared && cost.parts.length > 0 ? (
          <Small key={jar.ingredientId}>
            {t`100 g cost ${{ money: money(compared.perHundred) }}; of `}
            {larder.ingredient(jar.ingredientId)?.name} {money(compared.jarPerHundred)}.
          </Small>
        ) : null;
      })}
    </View>
  );
}
