import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { daysBetween, formatDay, weekdayOrDate, type CalendarDay } from '@/core/base/measures';
import type { Plan } from '@/core/plan/planning';
import { usesOf } from '@/core/recipe/larder';
import type { RecipeVersion } from '@/core/records/shapes';
import { Choice, Small } from '@/ui';
import { dayOptions } from '../shared/dayOptions';
import { PatchTests, usePatchTestState } from '../shared/PatchTests';
import { placesOf } from '../shared/placesOf';
import { RecipeChoices } from './RecipeChoices';
import { useWeek } from './WeekContext';
import { WhatIfReply } from './WhatIfReply';

/** The seven days of the plan that a day lies in. */
function weekOf({ days, from }: Plan, day: CalendarDay): readonly CalendarDay[] {
  const week = Math.floor(daysBetween(from, day) / 7);
  return days.slice(7 * week, 7 * week + 7).map((each) => each.day);
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
      <Choice
        label={t`On which day?`}
        options={dayOptions(weekOf(plan, day), plan.from)}
        value={day}
        onChange={startAdd}
      />
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
