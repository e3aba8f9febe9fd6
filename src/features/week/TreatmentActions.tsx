import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { isSmall } from '@/core/plan/agenda';
import type { Assignment } from '@/core/plan/planning';
import { Button, Chip } from '@/ui';
import { RecipeChoices } from './RecipeChoices';
import { useWeek } from './WeekContext';
import { WhatIfReply } from './WhatIfReply';

/** What she can do with a planned treatment: keep it, move it, swap it, leave it out, or ask what if. */
export function TreatmentActions({ assignment }: { assignment: Assignment }) {
  const { decisions, startMove, moving, ask, whatIf } = useWeek();
  const [swapping, setSwapping] = useState(false);
  const isMoving = moving === assignment;
  const canAsk = !isSmall(assignment) && assignment.slot !== 'follow-up';
  const isAsked =
    whatIf.asked?.what === 'without' &&
    whatIf.asked.day === assignment.day &&
    whatIf.asked.recipeId === assignment.recipeId;
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <Chip
          label={assignment.locked ? t`Kept` : t`Keep`}
          hint={
            assignment.locked
              ? t`Let the plan move ${{ treatmentName: assignment.name }} again`
              : t`Keep ${{ treatmentName: assignment.name }} on this day`
          }
          pressed={assignment.locked}
          onPress={() => (assignment.locked ? decisions.release(assignment) : decisions.keep(assignment))}
        />
        {assignment.slot === 'main' ? (
          <>
            <Chip
              label={t`Move`}
              hint={t`Move ${{ treatmentName: assignment.name }} to another day`}
              pressed={isMoving}
              onPress={() => startMove(isMoving ? null : assignment)}
              testID={`move-${assignment.day}`}
            />
            <Button
              label={t`Swap`}
              hint={t`Another recipe instead of ${{ treatmentName: assignment.name }}`}
              expanded={swapping}
              onPress={() => setSwapping(!swapping)}
            />
          </>
        ) : null}
        <Button
          label={t`Skip`}
          hint={t`Skip ${{ treatmentName: assignment.name }}`}
          onPress={() => decisions.skip(assignment)}
        />
      </View>
      {swapping ? (
        <RecipeChoices
          label={t`Instead of ${{ treatmentName: assignment.name }}`}
          except={assignment.recipeId}
          masksOnly
          actions={(recipe) => [
            {
              label: t`Take it`,
              hint: t`${{ recipeName: recipe.name }} instead of ${{ treatmentName: assignment.name }}`,
              run: () => {
                setSwapping(false);
                decisions.swap(assignment, recipe.recipeId, recipe.name);
              },
            },
          ]}
        />
      ) : null}
      {canAsk ? (
        <View className="items-start">
          <Button
            tone="quiet"
            label={t`What if I skip it?`}
            hint={t`What if I skip ${{ treatmentName: assignment.name }}?`}
            expanded={isAsked}
            onPress={() => {
              if (assignment.slot !== 'main' && assignment.slot !== 'pre-poo') return;
              ask({
                what: 'without',
                slot: assignment.slot,
                recipeId: assignment.recipeId,
                day: assignment.day,
              });
            }}
          />
        </View>
      ) : null}
      {isAsked ? <WhatIfReply /> : null}
    </View>
  );
}
