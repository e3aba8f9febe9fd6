import { View } from 'react-native';
import { t } from '@/core/language';
import { formatDay, type CalendarDay } from '@/core/measures';
import { RecipeChoices } from './RecipeChoices';
import { useWeek } from './WeekContext';
import { WonderAnswer } from './WonderAnswer';

/** Puts something on a day by hand, or asks why the plan did not. */
export function AddPanel({ day }: { day: CalendarDay }) {
  const { decisions, startAdd, ask, wonder } = useWeek();
  const on = formatDay(day, 'EEEE');
  const isAsked = wonder.asked?.what === 'why-not' && wonder.asked.day === day;
  return (
    <View className="gap-2">
      {isAsked ? <WonderAnswer /> : null}
      <RecipeChoices
        label={t`For ${on}`}
        actions={({ recipeId, name }) => [
          {
            label: t`Put it here`,
            hint: t`Put ${name} on ${on}`,
            run: () => {
              startAdd(null);
              decisions.add(day, recipeId, name);
            },
          },
          {
            label: t`Why not?`,
            hint: t`Why not ${name} on ${on}?`,
            run: () => ask({ what: 'why-not', slot: 'main', recipeId, day }),
          },
        ]}
      />
    </View>
  );
}
