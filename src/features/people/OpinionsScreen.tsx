import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { VIEWS } from '@/core/base/measures';
import { schoolWords } from '@/core/recipe/classification';
import { SCHOOLS, type School, Head } from '@/core/records/shapes';
import { prefsChanged, selectPrefs, useAppDispatch, useAppSelector } from '@/store';
import { Button, FieldGroup, LabelledChoice, Screen, Small } from '@/ui';
import { PeopleTabs } from '../shared/PeopleTabs';
import { SchoolRows } from '../shared/SchoolRows';
import { SchoolSides } from '../shared/SchoolSides';
import { viewWords } from '../shared/settingWords';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useChoices } from '../shared/useChoices';
import { WithHead } from '../shared/WithHead';

/** Where makers disagree: both sides of each question in a sentence, and which one is in force for this head. */
export function OpinionsScreen() {
  return <WithHead>{(head) => <Schools key={head.headId} head={head} />}</WithHead>;
}

function Schools({ head }: { head: Head }) {
  const [choices, change] = useChoices(head);
  const add = useAddRecords();
  const dispatch = useAppDispatch();
  const { view } = useAppSelector(selectPrefs);
  const chooseSchool = (school: School) =>
    add(
      [{ ...head, ...newStamp(), corrects: head.id, school }],
      t`Protein: ${{ school: schoolWords()[school].label }}.`,
    );
  return (
    <Screen
      before={<PeopleTabs here="/people/opinions" />}
      ofPerson
      headline={t`Where makers disagree`}
      reason={t`Nobody has measured most of this. Choose a side; your own checks may settle it.`}
      side={<MeasuredInstead />}
    >
      <LabelledChoice
        label={t`What counts as protein`}
        options={SCHOOLS.map((value) => ({ value, label: schoolWords()[value].label }))}
        value={head.school}
        onChange={chooseSchool}
      >
        <SchoolSides
          sides={SCHOOLS.map((value) => ({ value, ...schoolWords()[value] }))}
          inForce={head.school}
        />
      </LabelledChoice>
      <View role="list" aria-label={t`Where makers disagree`}>
        <SchoolRows choices={choices} change={change} />
      </View>
      <LabelledChoice
        label={t`Spoons or grams`}
        options={VIEWS.map((value) => ({ value, label: viewWords()[value].label }))}
        value={view}
        onChange={(chosen) => dispatch(prefsChanged({ view: chosen }))}
      >
        <SchoolSides sides={VIEWS.map((value) => ({ value, ...viewWords()[value] }))} inForce={view} />
      </LabelledChoice>
    </Screen>
  );
}

/** One question has no switch: each recipe answers it for itself. */
function MeasuredInstead() {
  return (
    <View className="gap-3">
      <FieldGroup label={t`How long it stays on`}>
        <Small>{t`Twenty minutes, for most of what acts has happened by then. Or an hour or two, or the night, for what goes in slowly. Heat shortens the time and its lack lengthens it.`}</Small>
        <Small className="text-ink">{t`Used now: the minutes that each recipe says. The dose is worked out from them, with or without heat, and what longer does on your hair shows under “What works”.`}</Small>
        <View className="items-start">
          <Button label={t`To what works`} onPress={() => router.push('/hair/works')} />
        </View>
      </FieldGroup>
    </View>
  );
}
