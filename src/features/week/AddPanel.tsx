import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay, weekdayOrDate, type CalendarDay } from '@/core/base/measures';
import { SLOT_OF_USE } from '@/core/plan/agenda';
import { usesOf } from '@/core/recipe/larder';
import type { RecipeVersion, Slot } from '@/core/records/shapes';
import { Small } from '@/ui';
import { recipeUseWords } from '../shared/beatWords';
import { PatchTests, usePatchTestState } from '../shared/PatchTests';
import { RecipeChoices } from './RecipeChoices';
import { useWeek } from './WeekContext';
import { WhatIfReply } from './WhatIfReply';

interface Place {
  readonly label: string;
  readonly hint: (name: string, on: string) => string;
  readonly slot: Slot;
  readonly overnight: boolean;
}

/** Where a recipe can be put on a day: once for each of its uses, and for the night as well before a shampoo. */
function placesOf(recipe: RecipeVersion): Place[] {
  const uses = usesOf(recipe);
  return uses.flatMap((use): Place[] => {
    const slot = SLOT_OF_USE[use];
    const here: Place = {
      label: uses.length > 1 ? t`Here, as ${{ use: recipeUseWords()[use] }}` : t`Put it here`,
      hint: (name, on) =>
        uses.length > 1
          ? t`Put ${name} on ${on}, as ${{ use: recipeUseWords()[use] }}`
          : t`Put ${name} on ${on}`,
      slot,
      overnight: false,
    };
    if (use !== 'pre-poo') return [here];
    return [
      { ...here, label: t`Before the wash`, hint: (name, on) => t`Before the wash: ${name} on ${on}` },
      {
        label: t`For the night`,
        hint: (name, on) => t`For the night: ${name} on ${on}`,
        slot,
        overnight: true,
      },
    ];
  });
}

/** Puts something on a day by hand, or asks why the plan did not. */
export function AddPanel({ day }: { day: CalendarDay }) {
  const { decisions, startAdd, ask, whatIf, head, plan } = useWeek();
  const stateOf = usePatchTestState(head);
  const on = weekdayOrDate(day, plan.from);
  const isAsked = whatIf.asked?.what === 'why-not' && whatIf.asked.day === day;
  const waits = ({ recipeId }: RecipeVersion) => stateOf(recipeId).allowedFrom > day;
  return (
    <View className="gap-2">
      {isAsked ? <WhatIfReply /> : null}
      <RecipeChoices
        label={t`For ${on}`}
        // A patch test comes first, whatever she puts where.
        note={(recipe) =>
          waits(recipe) ? (
            <View className="basis-full gap-1">
              <PatchTests recipeId={recipe.recipeId} recipeName={recipe.name} head={head} isNamed />
              <Small>
                {t`With its patch test clear it may go on from ${{ allowedFrom: formatDay(stateOf(recipe.recipeId).allowedFrom, 'EEEE d MMMM') }}.`}
              </Small>
            </View>
          ) : null
        }
        actions={(recipe) => [
          ...(waits(recipe)
            ? []
            : placesOf(recipe).map(({ label, hint, slot, overnight }) => ({
                label,
                hint: hint(recipe.name, on),
                run: () => {
                  startAdd(null);
                  decisions.add(day, recipe.recipeId, recipe.name, slot, overnight);
                },
              }))),
          ...(usesOf(recipe).includes('mask')
            ? [
                {
                  label: t`Why not?`,
                  hint: t`Why not ${{ recipeName: recipe.name }} on ${on}?`,
                  run: () => ask({ what: 'why-not', slot: 'main' as const, recipeId: recipe.recipeId, day }),
                },
              ]
            : []),
        ]}
      />
    </View>
  );
}
