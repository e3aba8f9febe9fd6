import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { isSmall } from '@/core/plan/agenda';
import type { Beat } from '@/core/plan/planning';
import { Button, Chip } from '@/ui';
import { RecipeChoices } from './RecipeChoices';
import { useWeek } from './WeekContext';
import { WhatIfReply } from './WhatIfReply';

/** What she can do with a planned beat: keep it, move it, swap it, leave it out, or ask what if. */
export function BeatActions({ beat }: { beat: Beat }) {
  const { decisions, startMove, moving, ask, whatIf } = useWeek();
  const [swapping, setSwapping] = useState(false);
  const isMoving = moving === beat;
  const canAsk = !isSmall(beat) && beat.slot !== 'follow-up';
  const isAsked =
    whatIf.asked?.what === 'without' &&
    whatIf.asked.day === beat.day &&
    whatIf.asked.recipeId === beat.recipeId;
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <Chip
          label={beat.locked ? t`Kept` : t`Keep`}
          hint={
            beat.locked
              ? t`Let the plan move ${{ beatName: beat.name }} again`
              : t`Keep ${{ beatName: beat.name }} on this day`
          }
          pressed={beat.locked}
          onPress={() => (beat.locked ? decisions.release(beat) : decisions.keep(beat))}
        />
        {beat.slot === 'main' ? (
          <>
            <Chip
              label={t`Move`}
              hint={t`Move ${{ beatName: beat.name }} to another day`}
              pressed={isMoving}
              onPress={() => startMove(isMoving ? null : beat)}
              testID={`move-${beat.day}`}
            />
            <Button
              label={t`Swap`}
              hint={t`Another recipe instead of ${{ beatName: beat.name }}`}
              expanded={swapping}
              onPress={() => setSwapping(!swapping)}
            />
          </>
        ) : null}
        <Button
          label={t`Skip`}
          hint={t`Skip ${{ beatName: beat.name }}`}
          onPress={() => decisions.skip(beat)}
        />
      </View>
      {swapping ? (
        <RecipeChoices
          label={t`Instead of ${{ beatName: beat.name }}`}
          except={beat.recipeId}
          masksOnly
          actions={(recipe) => [
            {
              label: t`Take it`,
              hint: t`${{ recipeName: recipe.name }} instead of ${{ beatName: beat.name }}`,
              run: () => {
                setSwapping(false);
                decisions.swap(beat, recipe.recipeId, recipe.name);
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
            hint={t`What if I skip ${{ beatName: beat.name }}?`}
            expanded={isAsked}
            onPress={() => {
              if (beat.slot !== 'main' && beat.slot !== 'pre-poo') return;
              ask({ what: 'without', slot: beat.slot, recipeId: beat.recipeId, day: beat.day });
            }}
          />
        </View>
      ) : null}
      {isAsked ? <WhatIfReply /> : null}
    </View>
  );
}
