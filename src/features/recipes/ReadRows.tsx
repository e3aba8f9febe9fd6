import { t } from '@lingui/core/macro';
import { memo } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { CUPS, VIEWS } from '@/core/base/measures';
import type { JudgedText } from '@/core/kitchen/formulation';
import { rewriteIn } from '@/core/kitchen/making';
import type { ParsedLine } from '@/core/recipe/larder';
import { prefsChanged, selectPrefs, useAppDispatch, useAppSelector } from '@/store';
import { Button, Choice, Problem } from '@/ui';
import { cupKinds, viewWords } from '../shared/settingWords';
import { useLarder } from '../shared/useLarder';
import { OneLine, RecipeLines } from './RecipeLines';
import { ToldText } from './ToldText';

const viewOptions = perLanguage(() => VIEWS.map((value) => ({ value, label: viewWords()[value].label })));
const cupOptions = perLanguage(() =>
  cupKinds().map((value) => ({ value, label: t`cup ${{ millilitres: CUPS[value].millilitres }} ml` })),
);

interface ReadRowsProps {
  readonly read: JudgedText;
  readonly onText: (changed: string) => void;
  readonly onReplace: (line: ParsedLine, by: string) => void;
}

/** The rows as they were understood, in the chosen view, or why there are none. */
export const ReadRows = memo(function ReadRows({ read, onText, onReplace }: ReadRowsProps) {
  const { text, parsed, judged, formula } = read;
  const dispatch = useAppDispatch();
  const larder = useLarder();
  const { cup, view } = useAppSelector(selectPrefs);
  if (!parsed.ok) return text.trim() === '' ? null : <Problem live>{parsed.problems[0].message}</Problem>;
  return (
    <View className="gap-3">
      <ToldText
        text={text}
        recipe={parsed.value}
        onCount={(name) => onText(`${text.trimEnd()}\n${name}`)}
        lineView={(line, index) => (
          <OneLine
            line={line}
            index={index}
            recipe={parsed.value}
            view={view}
            formula={formula}
            onReplace={onReplace}
          />
        )}
      />
      <View className="flex-row flex-wrap items-center gap-3">
        <Choice
          label={t`Show amounts in`}
          options={viewOptions()}
          value={view}
          onChange={(chosen) => dispatch(prefsChanged({ view: chosen }))}
        />
        <Choice
          label={t`A cup holds`}
          options={cupOptions()}
          value={cup}
          onChange={(chosen) => dispatch(prefsChanged({ cup: chosen }))}
        />
      </View>
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Write the recipe in ${{ view: viewWords()[view].label }}`}
          onPress={() => onText(rewriteIn(view, parsed.value, larder))}
          testID="rewrite"
        />
      </View>
      {!judged.ok && judged.problems[0].code !== 'nothing-weighed' ? (
        <Problem live>{judged.problems[0].message}</Problem>
      ) : null}
      <RecipeLines recipe={parsed.value} view={view} formula={formula} onReplace={onReplace} />
    </View>
  );
});
