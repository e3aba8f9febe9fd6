import { t } from '@lingui/core/macro';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { waysOf } from '@/core/kitchen/methods';
import { Button, Small, Strong } from '@/ui';
import { useLarder } from '../shared/useLarder';
import type { Making } from './makingOf';

/** What each way of making leaves in the bowl, and what may go wrong with it; behind a tap. */
export function WaysPane({ making: { recipe, steps } }: { making: Pick<Making, 'recipe' | 'steps'> }) {
  const larder = useLarder();
  const [asks, setAsks] = useState(false);
  const ways = useMemo(() => waysOf(steps, recipe.lines, larder), [steps, recipe, larder]);
  if (ways.length === 0) return null;
  return (
    <View className="gap-2">
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`What can go wrong?`}
          expanded={asks}
          onPress={() => setAsks(!asks)}
          testID="ways"
        />
      </View>
      {asks
        ? ways.map(({ id, label, survives, wrong, keeps }) => (
            <View key={id}>
              <Strong>{label}</Strong>
              <Small>{survives}</Small>
              <Small>{wrong}</Small>
              {keeps === null ? null : <Small>{keeps}</Small>}
            </View>
          ))
        : null}
    </View>
  );
}
