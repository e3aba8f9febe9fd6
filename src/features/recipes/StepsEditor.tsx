import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { arrangedMethod, shownMethod, type Arranging } from '@/core/kitchen/methods';
import type { RecipeVersion, SavedStep } from '@/core/records/shapes';
import { Button, Field, Small } from '@/ui';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useLarder } from '../shared/useLarder';

interface StepsEditorProps {
  readonly recipe: RecipeVersion;
  readonly steps: readonly SavedStep[];
  readonly onDone: () => void;
}

/** Moves, joins, strikes and rewords steps; they are saved with the recipe as its next version. */
export function StepsEditor({ recipe, steps: before, onDone }: StepsEditorProps) {
  const larder = useLarder();
  const add = useAddRecords();
  const [steps, setSteps] = useState<readonly SavedStep[]>(before);
  const { steps: shown } = shownMethod(steps, recipe.lines, larder, { factor: 1, hasScale: false });
  const change = (arranging: Arranging) => setSteps(arrangedMethod(steps, arranging));
  const save = () => {
    const { id, recordedAt } = newStamp();
    const last = larder.lastVersion(recipe.recipeId)?.version ?? recipe.version;
    add(
      [{ ...recipe, id, recordedAt, version: last + 1, method: [...steps], arranged: true }],
      t`The steps of ${{ name: recipe.name }} are saved.`,
    );
    onDone();
  };
  return (
    <View className="gap-3" testID="steps-editor">
      <Small>{t`Amounts that stay in a step go on changing with the batch.`}</Small>
      {shown.map((step, index) => (
        <View key={`${index} ${steps[index]?.text ?? ''}`} className="gap-1 border-t border-line pt-2">
          <StepText
            number={index + 1}
            text={step.text}
            onSay={(text) => change({ what: 'say', step: index, text, shown: step })}
          />
          <View className="flex-row flex-wrap gap-x-4">
            <Button
              tone="quiet"
              label={t`Move up`}
              hint={t`Move up step ${{ number: index + 1 }}`}
              disabled={index === 0}
              onPress={() => change({ what: 'move', step: index, by: -1 })}
            />
            <Button
              tone="quiet"
              label={t`Move down`}
              hint={t`Move down step ${{ number: index + 1 }}`}
              disabled={index === shown.length - 1}
              onPress={() => change({ what: 'move', step: index, by: 1 })}
            />
            <Button
              tone="quiet"
              label={t`Join`}
              hint={t`Join step ${{ number: index + 1 }} with the one before`}
              disabled={index === 0}
              onPress={() => change({ what: 'join', step: index })}
            />
            <Button
              tone="quiet"
              label={t`Remove`}
              hint={t`Remove step ${{ number: index + 1 }}; what goes in stays`}
              disabled={shown.length === 1}
              onPress={() => change({ what: 'strike', step: index })}
            />
          </View>
        </View>
      ))}
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Save the steps`} onPress={save} testID="save-steps" />
        <Button label={t`Leave them as they were`} onPress={onDone} />
      </View>
      <Small live>{plural({ count: shown.length }, { one: '# step', other: '# steps' })}</Small>
    </View>
  );
}

interface StepTextProps {
  readonly number: number;
  readonly text: string;
  readonly onSay: (text: string) => void;
}

/** Her words for a step, taken when she leaves the field. */
function StepText({ number, text, onSay }: StepTextProps) {
  const [typed, setTyped] = useState(text);
  return (
    <Field
      label={t`Step ${number}`}
      value={typed}
      onChange={setTyped}
      onBlur={() => (typed.trim() === text ? undefined : onSay(typed))}
      lines={2}
      testID={`step-text-${number}`}
    />
  );
}
