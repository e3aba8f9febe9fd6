import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay, weekdayOrDate, type CalendarDay } from '@/core/base/measures';
import type { RecipeVersion } from '@/core/records/shapes';
import { Small } from '@/ui';
import { PatchTests, usePatchTestState } from '../shared/PatchTests';
import { RecipeChoices } from './RecipeChoices';
import { useWeek } from './WeekContext';
import { WhatIfReply } from './WhatIfReply';

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
            : [
                {
                  label: t`Put it here`,
                  hint: t`Put ${{ recipeName: recipe.name }} on ${on}`,
                  run: () => {
                    startAdd(null);
                    decisions.add(day, recipe.recipeId, recipe.name);
                  },
                },
              ]),
          {
            label: t`Why not?`,
            hint: t`Why not ${{ recipeName: recipe.name }} on ${on}?`,
            run: () => ask({ what: 'why-not', slot: 'main', recipeId: recipe.recipeId, day }),
          },
        ]}
      />
    </View>
  );
}
