import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { addDays, dayRange, weekdayOrDate } from '@/core/base/measures';
import type { Head, RecipeVersion } from '@/core/records/shapes';
import { Button, LabelledChoice } from '@/ui';
import { dayOptions } from '../shared/dayOptions';
import { PatchTests, usePatchTestState } from '../shared/PatchTests';
import { placesOf } from '../shared/placesOf';
import { useDecisions } from '../shared/useDecisions';
import { useToday } from '../shared/useToday';

const DAYS_OFFERED = 7;

/** Puts a recipe on a day of the plan; a patch test comes first, whatever she puts where. */
export function PlanIt({
  recipe,
  head,
  onDone,
}: {
  readonly recipe: RecipeVersion;
  readonly head: Head;
  readonly onDone: () => void;
}) {
  const today = useToday();
  const decisions = useDecisions(head.headId, today);
  const { allowedFrom } = usePatchTestState(head)(recipe.recipeId);
  const [day, setDay] = useState(allowedFrom > today ? allowedFrom : today);
  const last = addDays(today, DAYS_OFFERED - 1);
  return (
    <View className="gap-3 rounded-2xl bg-sunken p-4" testID="plan-it">
      {allowedFrom > today ? (
        <PatchTests recipeId={recipe.recipeId} recipeName={recipe.name} head={head} isNamed />
      ) : null}
      {day <= last ? (
        <>
          <LabelledChoice
            label={t`On which day?`}
            options={dayOptions(
              dayRange(today, DAYS_OFFERED).filter((each) => each >= allowedFrom),
              today,
            )}
            value={day}
            onChange={setDay}
          />
          <View className="flex-row flex-wrap gap-2">
            {placesOf(recipe).map(({ label, hint, slot, overnight }) => (
              <Button
                key={label}
                label={label}
                hint={hint(recipe.name, weekdayOrDate(day, today))}
                onPress={() => {
                  decisions.add(day, recipe.recipeId, recipe.name, slot, overnight);
                  onDone();
                }}
              />
            ))}
          </View>
        </>
      ) : null}
    </View>
  );
}
