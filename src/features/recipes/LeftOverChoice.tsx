import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { nextUseOf, type LeftOver } from '@/core/kitchen/methods';
import { selectRecipes, useAppSelector } from '@/store';
import { Body, Small, Strong } from '@/ui';
import { Tick } from '@/ui/Tick';
import { useLarder } from '../shared/useLarder';

interface LeftOverChoiceProps {
  readonly rests: readonly LeftOver[];
  readonly kept: readonly string[];
  readonly onKeep: (name: string, keeps: boolean) => void;
  readonly recipeId: string;
}

/** What the batch leaves, each with a next use and its last day; what is kept goes into “use first”. */
export function LeftOverChoice({ rests, kept, onKeep, recipeId }: LeftOverChoiceProps) {
  const larder = useLarder();
  const recipes = useAppSelector(selectRecipes);
  if (rests.length === 0) return null;
  return (
    <View role="group" aria-label={t`Keep what is left?`} className="gap-1">
      <Strong>{t`Keep what is left?`}</Strong>
      {rests.map((rest) => (
        <Tick
          key={rest.name}
          checked={kept.includes(rest.name)}
          onChange={(keeps) => onKeep(rest.name, keeps)}
          label={rest.name}
          testID={`keep-${rest.part}-${rest.ingredientId}`}
        >
          <Body>{rest.name}</Body>
          <Small>
            {t`Until ${{ day: formatDay(rest.useBy, 'EEEE d MMMM') }}. ${{ use: nextUseOf(rest, recipes, larder, recipeId) }}`}
          </Small>
        </Tick>
      ))}
    </View>
  );
}
