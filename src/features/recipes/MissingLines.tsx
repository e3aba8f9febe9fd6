import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { errorText, lineInView } from '@/core/kitchen/making';
import { inStock } from '@/core/kitchen/pantry';
import type { Larder } from '@/core/recipe/larder';
import type { PantryItem, SavedLine } from '@/core/records/shapes';
import { Button, Small, Strong } from '@/ui';
import { grams } from '../shared/amounts';
import type { Making, makingOf } from './makingOf';
import { Substitutes } from './Substitutes';

/** What runs short, and behind a tap every line by scale and by spoon with what could take its place. */
export function MissingLines(props: LinesProps) {
  const { making, larder, pantry } = props;
  const [asks, setAsks] = useState(false);
  const short = making.lines.flatMap((line) => {
    const left = tooLittleOf(line, pantry);
    return left === null ? [] : [{ name: lineInView(line, larder).name, left }];
  });
  return (
    <View className="gap-2">
      {short.map(({ name, left }) => (
        <Small key={name}>{t`Only ${{ grams: grams(left) }} of ${name} in the pantry.`}</Small>
      ))}
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Is something missing?`}
          expanded={asks}
          onPress={() => setAsks(!asks)}
          testID="missing"
        />
      </View>
      {asks ? <LinesToMeasure {...props} /> : null}
    </View>
  );
}

interface LinesProps {
  readonly making: Making;
  readonly larder: Larder;
  readonly pantry: ReadonlyMap<string, PantryItem>;
  readonly school: Parameters<typeof makingOf>[4];
}

/** Grams in the pantry where they are fewer than a line wants; null where there is enough, or nobody knows. */
function tooLittleOf(
  { ingredientId, grams: wanted }: Pick<SavedLine, 'ingredientId' | 'grams'>,
  pantry: ReadonlyMap<string, PantryItem>,
): number | null {
  const left = ingredientId === null ? null : (pantry.get(ingredientId)?.gramsLeft ?? null);
  return left !== null && wanted !== null && left < wanted ? left : null;
}

/** Every line by scale and by spoon, with the error of each, and a way out when it is missing. */
function LinesToMeasure({ making, larder, pantry, school }: LinesProps) {
  const [missing, setMissing] = useState<number | null>(null);
  return (
    <View role="list" aria-label={t`To measure out`} className="gap-1" testID="to-measure">
      {making.lines.map((line, index) => {
        if (line.grams === null) return null;
        const { name, words, grams: weight, spoons } = lineInView(line, larder);
        const error = errorText(spoons.error);
        const item = line.ingredientId === null ? undefined : pantry.get(line.ingredientId);
        const left = tooLittleOf(line, pantry);
        return (
          <View key={index} role="listitem" className="gap-1 border-t border-line py-2">
            <View className="flex-row justify-between gap-3">
              <Strong className="flex-1">{words}</Strong>
              <Strong>{weight.text}</Strong>
            </View>
            <View className="flex-row flex-wrap items-center justify-between gap-x-3">
              <Small>
                {spoons.text}
                {error ? ` (${error})` : ''}
                {left !== null
                  ? t` · only ${{ grams: grams(left) }} in the pantry`
                  : inStock(item)
                    ? t` · in the pantry`
                    : ''}
              </Small>
              <Button
                tone="quiet"
                label={missing === index ? t`Close` : t`Instead …`}
                hint={t`What could take the place of ${name}?`}
                expanded={missing === index}
                onPress={() => setMissing(missing === index ? null : index)}
              />
            </View>
            {missing === index ? (
              <Substitutes
                recipe={making.recipe}
                factor={making.factor}
                lines={making.weighed}
                replaced={index}
                verdict={making.verdict}
                school={school}
              />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}
