import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { perLanguage } from '@/core/base/language';
import type { OwnUnit } from '@/core/recipe/parsing';
import { prefsChanged, useAppDispatch } from '@/store';
import { Button, Small, useTokens } from '@/ui';

/** What cups and spoons of households hold, ml (working assumptions), with what each is. */
const sizes = perLanguage(
  (): Record<OwnUnit, readonly { readonly millilitres: number; readonly what: string }[]> => ({
    'my cup': [
      { millilitres: 100, what: t`small coffee cup` },
      { millilitres: 150, what: t`tea cup` },
      { millilitres: 240, what: t`large cup` },
      { millilitres: 330, what: t`mug` },
    ],
    'my spoon': [
      { millilitres: 5, what: t`tea spoon` },
      { millilitres: 10, what: t`dessert spoon` },
      { millilitres: 15, what: t`soup spoon` },
      { millilitres: 40, what: t`serving spoon` },
    ],
  }),
);

/** The side of the largest drawing, px; volumes grow by the cube of it. */
const SIDE = 44;

/** Which of these is hers: chosen once, it counts in every recipe. */
export function OwnMeasureChoice({ unit }: { unit: OwnUnit }) {
  const dispatch = useAppDispatch();
  const tokens = useTokens();
  const offered = sizes()[unit];
  const largest = Math.max(...offered.map(({ millilitres }) => millilitres));
  return (
    <View className="basis-full flex-row flex-wrap items-end gap-3">
      {offered.map(({ millilitres, what }) => {
        const side = SIDE * Math.cbrt(millilitres / largest);
        return (
          <View key={millilitres} className="items-center gap-1">
            <Svg width={side} height={side} viewBox="0 0 20 20" aria-hidden>
              <Path
                d={unit === 'my cup' ? CUP : SPOON}
                fill={tokens.band}
                stroke={tokens.ink}
                strokeWidth={1.5}
              />
            </Svg>
            <Button
              label={t`${{ millilitres }} ml`}
              hint={t`Mine is a ${what} of ${{ millilitres }} ml`}
              onPress={() =>
                dispatch(prefsChanged(unit === 'my cup' ? { myCup: millilitres } : { mySpoon: millilitres }))
              }
            />
            <Small>{what}</Small>
          </View>
        );
      })}
    </View>
  );
}

const CUP = 'M3 4h11v8a4 4 0 0 1-4 4H7a4 4 0 0 1-4-4zM14 6h1.5a2.5 2.5 0 0 1 0 5H14';
const SPOON = 'M2 8a5 4 0 0 1 10 0a5 4 0 0 1-10 0M12 8h7';
