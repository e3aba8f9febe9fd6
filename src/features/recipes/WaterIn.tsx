import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { useAppDispatch, waterAdded } from '@/store';
import { Button, Small } from '@/ui';
import { grams } from '../shared/amounts';

/** Spoons of water at a time, g: as it goes in when a mixture is thinned. */
const WATER_STEPS = [5, 15, 50] as const;

/** The water that went in beside the recipe, counted up as it is poured. */
export function WaterIn({ added, last }: { added: number; last: number | null }) {
  const dispatch = useAppDispatch();
  return (
    <View className="gap-1">
      <Small live>
        {last === null
          ? t`Water added: ${{ grams: grams(added) }}`
          : t`Water added: ${{ grams: grams(added) }}; last time ${{ last: grams(last) }} for this much`}
      </Small>
      <View className="flex-row flex-wrap gap-2">
        {WATER_STEPS.map((step) => (
          <Button
            key={step}
            label={`+ ${step} g`}
            hint={t`${step} grams of water more`}
            onPress={() => dispatch(waterAdded(added + step))}
            testID={`water-${step}`}
          />
        ))}
        {added > 0 ? (
          <Button
            label={t({ message: 'None', context: 'water added' })}
            hint={t`No water was added`}
            onPress={() => dispatch(waterAdded(0))}
          />
        ) : null}
      </View>
    </View>
  );
}
