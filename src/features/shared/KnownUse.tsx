import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import type { Head, RecipeVersion, StoredRecord } from '@/core/records/shapes';
import { Button, DateField, LabelledChoice, Problem, Small } from '@/ui';
import {
  dayMeant,
  howOften,
  lastTimes,
  NOTHING_REMEMBERED,
  rememberedRecords,
  type Remembered,
} from './remembered';
import { newStamp } from './stamp';
import { useAddRecords } from './useAddRecords';
import { useToday } from './useToday';

interface KnownUseProps {
  readonly recipe: RecipeVersion;
  readonly head: Head;
  readonly onClose: () => void;
}

/** A recipe that was used before this application knew it: when about, how often, and how the skin took it. */
export function KnownUse({ recipe, head, onClose }: KnownUseProps) {
  const add = useAddRecords();
  const today = useToday();
  const [told, setTold] = useState(NOTHING_REMEMBERED);
  const [reacted, setReacted] = useState<'no' | 'yes'>('no');
  const [problem, setProblem] = useState<string | null>(null);
  const save = () => {
    const lastOn = dayMeant(told, today);
    if (lastOn === null) {
      setProblem(t`Choose the day, today or before.`);
      return;
    }
    const did = reacted === 'yes';
    const reaction: StoredRecord = {
      ...newStamp(),
      kind: 'patch-test',
      headId: head.headId,
      recipeId: recipe.recipeId,
      startedOn: lastOn,
      outcome: 'reacted',
      note: '',
    };
    add(
      did
        ? [...rememberedRecords(recipe, head, { ...told, often: 'seldom' }, lastOn, today), reaction]
        : rememberedRecords(recipe, head, told, lastOn, today),
      did
        ? t`${{ recipeName: recipe.name }} is not for ${{ headName: head.name }}.`
        : t`${{ recipeName: recipe.name }} needs no test. Test again after bleach, on sore skin, or with a new brand in it.`,
    );
    onClose();
  };
  return (
    <View className="gap-3" testID="known-use">
      <RememberedFields value={told} onChange={setTold} problem={problem} />
      <LabelledChoice
        label={t`How the skin took it`}
        value={reacted}
        onChange={setReacted}
        options={[
          { value: 'no', label: t`no reaction` },
          { value: 'yes', label: t`a reaction` },
        ]}
        testID="known-reaction"
      />
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Save that I've used it`} onPress={save} testID="save-known" />
        <Button label={t`Close`} onPress={onClose} />
      </View>
      {told.last === 'day' ? null : <Small>{t`The day counts as about right.`}</Small>}
    </View>
  );
}

interface RememberedFieldsProps {
  readonly value: Remembered;
  readonly onChange: (value: Remembered) => void;
  readonly problem: string | null;
}

/** When it was last, and how often. */
export function RememberedFields({ value, onChange, problem }: RememberedFieldsProps) {
  return (
    <>
      <LabelledChoice
        label={t`Last time`}
        value={value.last}
        onChange={(last) => onChange({ ...value, last })}
        options={lastTimes()}
        testID="known-last"
      >
        {value.last === 'day' ? (
          <DateField
            label={t`Last time on`}
            value={value.day}
            onChange={(day) => onChange({ ...value, day })}
            testID="known-day"
          />
        ) : null}
        {problem ? <Problem live>{problem}</Problem> : null}
      </LabelledChoice>
      <LabelledChoice
        label={t`How often`}
        value={value.often}
        onChange={(often) => onChange({ ...value, often })}
        options={howOften()}
        testID="known-often"
      />
    </>
  );
}
