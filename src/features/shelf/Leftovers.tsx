import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { nextUseOf } from '@/core/kitchen/methods';
import { ofKind, type Leftover } from '@/core/records/shapes';
import { selectLiveRecords, selectRecipes, useAppSelector } from '@/store';
import { Button, Heading, Small, Strong } from '@/ui';
import { useLarder } from '../shared/useLarder';
import { useTakeBack } from '../shared/useTakeBack';
import { useToday } from '../shared/useToday';

/** What earlier batches left over, each with what it is still good for and until when. */
export function Leftovers() {
  const leftovers = ofKind(useAppSelector(selectLiveRecords), 'leftover');
  if (leftovers.length === 0) return null;
  const inOrder = [...leftovers].sort((a, b) => (a.useBy < b.useBy ? -1 : 1));
  return (
    <View className="gap-1">
      <Heading level={2}>{t`Left over`}</Heading>
      <View role="list" aria-label={t`Left over`}>
        {inOrder.map((leftover) => (
          <LeftoverRow key={leftover.id} leftover={leftover} />
        ))}
      </View>
    </View>
  );
}

function LeftoverRow({ leftover }: { leftover: Leftover }) {
  const today = useToday();
  const larder = useLarder();
  const recipes = useAppSelector(selectRecipes);
  const takeBack = useTakeBack();
  const { id, name, useBy } = leftover;
  const isPast = useBy < today;
  return (
    <View role="listitem" className="gap-1 border-t border-line py-3" testID={`leftover-${id}`}>
      <View className="flex-row justify-between gap-3">
        <Strong className="flex-1">{name}</Strong>
        <Strong className={isPast ? 'text-danger' : ''}>
          {isPast
            ? t`past since ${{ useBy: formatDay(useBy, 'd MMM') }}`
            : t`until ${{ useBy: formatDay(useBy, 'd MMM') }}`}
        </Strong>
      </View>
      {isPast ? null : <Small>{nextUseOf(leftover, recipes, larder)}</Small>}
      <View className="flex-row flex-wrap gap-x-4">
        {isPast ? null : (
          <Button
            tone="quiet"
            label={t`Used it`}
            hint={t`Used it: ${name}`}
            onPress={() => takeBack(id, t`${name} is used up.`)}
          />
        )}
        <Button
          tone="quiet"
          label={t`Threw it out`}
          hint={t`Threw it out: ${name}`}
          onPress={() => takeBack(id, t`${name} is thrown out.`)}
        />
      </View>
    </View>
  );
}
