import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { unitShown } from '@/core/base/measures';
import { schoolWords } from '@/core/recipe/classification';
import { SCHOOLS, REGIONS } from '@/core/records/shapes';
import { CHEMISTRY, type Head } from '@/core/records/shapes';
import { headChosen, useAppDispatch, type HeadDraft } from '@/store';
import { Button, FieldGroup, Screen } from '@/ui';
import { FormChoice, FormMeasure, FormToggles, resolverOf, NotSavedYet } from '../shared/form';
import { chemistryWords, placeLabels } from '../shared/headWords';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { draftOfHead, headFromDraft } from './personDraft';
import { ComplaintField, DayFields, LengthField, NameField, SafetyFields } from './personFields';

const yesNo = perLanguage(
  () =>
    [
      { value: 'no', label: t`no` },
      { value: 'yes', label: t`yes` },
    ] as const,
);

/** What troubled her on the first day stays known where she says otherwise now. */
function withFirst(draft: HeadDraft, existing: Head): HeadDraft {
  const isSame = existing.complaints.join() === draft.complaints.join();
  return isSame ? draft : { ...draft, firstComplaints: existing.firstComplaints ?? existing.complaints };
}

/** Corrects the description of a person; the old one stays in the records. */
export function PersonEditor({ existing }: { existing: Head }) {
  const add = useAddRecords();
  const dispatch = useAppDispatch();
  const stamped = (draft: HeadDraft) => {
    const stamp = newStamp();
    return headFromDraft(withFirst(draft, existing), {
      ...stamp,
      headId: existing.headId,
      corrects: existing.id,
    });
  };
  const { control, handleSubmit, formState } = useForm<HeadDraft>({
    defaultValues: draftOfHead(existing),
    resolver: resolverOf(stamped),
  });
  const save = handleSubmit((draft) => {
    const head = stamped(draft);
    if (!head.ok) return;
    add([head.value], t`${{ headName: head.value.name }} is saved.`);
    dispatch(headChosen(head.value.headId));
    router.navigate('/people');
  });

  return (
    <Screen
      over={t`People`}
      headline={existing.name}
      reason={t`Guesses are fine; checks will correct them.`}
      side={
        <View className="gap-4">
          <DayFields control={control} />
          <FormChoice
            control={control}
            name="school"
            label={t`What counts as protein`}
            help={t`Makers differ; the verdict shows all three, your plan goes by this one.`}
            options={SCHOOLS.map((value) => ({
              value,
              label: schoolWords()[value].label,
              hint: schoolWords()[value].meaning,
            }))}
          />
          <SafetyFields control={control} />
          <FormToggles
            control={control}
            name="chemistry"
            label={t`What was done to the hair that is there now`}
            help={t`Log later times under Hair.`}
            options={CHEMISTRY.map((value) => ({ value, label: chemistryWords()[value] }))}
          />
        </View>
      }
    >
      <View className="flex-row flex-wrap gap-4">
        <NameField control={control} />
        <LengthField control={control} />
      </View>
      <FieldGroup
        label={t`Where it is longer or shorter, ${{ unit: unitShown('length') }}`}
        help={t`Left empty it is as long as above.`}
      >
        <View className="flex-row flex-wrap gap-2">
          {REGIONS.map((region) => (
            <FormMeasure
              key={region}
              control={control}
              name={`lengths.${region}`}
              testID={`length-${region}`}
              label={placeLabels()[region]}
              measure="length"
              className="w-column-xs"
            />
          ))}
        </View>
      </FieldGroup>
      <ComplaintField control={control} />
      <FormChoice
        control={control}
        name="curl"
        label={t`How does it fall when you leave it alone?`}
        options={[
          { value: 'straight', label: t`straight` },
          { value: 'wavy', label: t`in waves` },
          { value: 'curly', label: t`in curls` },
          { value: 'coily', label: t`in tight coils` },
          { value: 'unknown', label: t`don’t know` },
        ]}
      />
      <FormChoice
        control={control}
        name="porosityGuess"
        label={t`Does it drink water?`}
        help={t`Drop water on a clean, dry lock and watch for a minute.`}
        options={[
          { value: 'low', label: t`drops stay on it` },
          { value: 'medium', label: t`in between` },
          { value: 'high', label: t`soaks at once` },
          { value: 'unknown', label: t`don’t know` },
        ]}
      />
      <FormChoice
        control={control}
        name="strand"
        label={t`One strand between two fingers`}
        options={[
          { value: 'fine', label: t`barely felt` },
          { value: 'medium', label: t`felt` },
          { value: 'coarse', label: t`like a thread` },
        ]}
      />
      <FormChoice
        control={control}
        name="density"
        label={t`How much hair`}
        options={[
          { value: 'thin', label: t({ message: 'little', context: 'density of hair' }) },
          { value: 'medium', label: t({ message: 'ordinary', context: 'density of hair' }) },
          { value: 'thick', label: t`plenty` },
        ]}
      />
      <View className="flex-row flex-wrap gap-6">
        <FormChoice
          control={control}
          name="sensitive"
          label={t`Gets stiff from a little protein`}
          options={yesNo()}
        />
      </View>
      <View className="flex-row flex-wrap gap-3 pt-2">
        <Button tone="main" label={t`Save`} onPress={save} testID="save-head" />
        <Button label={t`Back`} onPress={() => router.navigate('/people')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
}
