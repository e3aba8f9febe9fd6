import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useForm, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { schoolWords } from '@/core/recipe/classification';
import { SCHOOLS, REGIONS } from '@/core/records/shapes';
import { AGE_BANDS, CHEMISTRY, HEALTH, type Head } from '@/core/records/shapes';
import { headChosen, selectPrefs, selectRecipes, useAppDispatch, useAppSelector } from '@/store';
import { Button, FieldGroup, Screen } from '@/ui';
import { allergyOptions } from '../shared/allergyOptions';
import { FormChoice, FormField, FormToggles, resolverOf, NotSavedYet } from '../shared/form';
import { ageWords, chemistryWords, complaintOptions, healthWords, placeLabels } from '../shared/headWords';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { weekdaysFrom } from '../shared/weekdays';
import { draftOfHead, headFromDraft, NEW_HEAD, type HeadDraft } from './headDraft';

const yesNo = perLanguage(
  () =>
    [
      { value: 'no', label: t`no` },
      { value: 'yes', label: t`yes` },
    ] as const,
);

/** Weekdays in the order that she reads them in. */
function useWeekdays() {
  return weekdaysFrom(useAppSelector(selectPrefs).weekStart);
}

interface WeekdayFieldsProps {
  readonly control: Control<HeadDraft>;
  readonly name: 'free' | 'from';
  readonly label: string;
  readonly help: string;
}

function WeekdayFields({ control, name, label, help }: WeekdayFieldsProps) {
  return (
    <FieldGroup label={label} help={help}>
      <View className="flex-row flex-wrap gap-2">
        {useWeekdays().map(({ label: day, index }) => (
          <FormField
            key={day}
            control={control}
            name={`${name}.${index}`}
            testID={`${name}-${index}`}
            label={day}
            numeric
            className="w-column-xs"
          />
        ))}
      </View>
    </FieldGroup>
  );
}

/** What troubled her on the first day stays known where she says otherwise now. */
function withFirst(draft: HeadDraft, existing: Head | undefined): HeadDraft {
  const isSame = !existing || existing.complaints.join() === draft.complaints.join();
  return isSame ? draft : { ...draft, firstComplaints: existing.firstComplaints ?? existing.complaints };
}

/** Describes a head, or corrects the description of one; the old one stays in the records. */
export function HeadEditor({ existing }: { existing?: Head }) {
  const add = useAddRecords();
  const dispatch = useAppDispatch();
  const weekdays = useWeekdays();
  const hasRecipes = useAppSelector(selectRecipes).length > 0;
  const stamped = (draft: HeadDraft) => {
    const stamp = newStamp();
    return headFromDraft(withFirst(draft, existing), {
      ...stamp,
      headId: existing?.headId ?? stamp.id,
      corrects: existing?.id,
    });
  };
  const { control, handleSubmit, formState } = useForm<HeadDraft>({
    defaultValues: existing ? draftOfHead(existing) : NEW_HEAD,
    resolver: resolverOf(stamped),
  });
  const save = handleSubmit((draft) => {
    const head = stamped(draft);
    if (!head.ok) return;
    add([head.value], t`${{ headName: head.value.name }} is saved.`);
    dispatch(headChosen(head.value.headId));
    // A first week wants something to plan with.
    router.navigate(existing ? '/heads' : hasRecipes ? '/week' : '/heads/first');
  });

  return (
    <Screen
      over={t`People`}
      headline={existing ? existing.name : t`Whose hair is it?`}
      reason={t`Guesses are fine; checks will correct them.`}
      side={
        <View className="gap-4">
          <WeekdayFields
            control={control}
            name="free"
            label={t`Free minutes on each day`}
            help={t`Waiting time included; 0 where there is no time to wash.`}
          />
          <WeekdayFields
            control={control}
            name="from"
            label={t`A wash may begin at`}
            help={t`The hour, 0 to 23: what has to soak is counted back from it.`}
          />
          <FormToggles
            control={control}
            name="nights"
            label={t`Evenings at home`}
            help={t`When something may be set to soak, or put on for the night.`}
            options={weekdays.map(({ label, index }) => ({ value: String(index), label }))}
          />
          <FormChoice
            control={control}
            name="school"
            label={t`What counts as protein`}
            help={t`Makers differ; the verdict shows all three, this one is in force.`}
            options={SCHOOLS.map((value) => ({
              value,
              label: schoolWords()[value].label,
              hint: schoolWords()[value].meaning,
            }))}
          />
          <FormChoice
            control={control}
            name="ageBand"
            label={t`Age`}
            help={t`Children get no strong protein and no essential oil.`}
            options={AGE_BANDS.map((value) => ({ value, label: ageWords()[value] }))}
          />
          <FormToggles
            control={control}
            name="chemistry"
            label={t`What was done to the hair that is there now`}
            help={t`Later times are written down under Hair.`}
            options={CHEMISTRY.map((value) => ({ value, label: chemistryWords()[value] }))}
          />
          <FormToggles
            control={control}
            name="health"
            label={t`To mind`}
            help={t`Cautions follow from it; a doctor knows more.`}
            options={HEALTH.map((value) => ({ value, label: healthWords()[value] }))}
          />
          <FormToggles
            control={control}
            name="allergies"
            label={t`Reacts to`}
            help={t`A recipe that has it in is stopped for this person.`}
            options={allergyOptions()}
          />
        </View>
      }
    >
      <View className="flex-row flex-wrap gap-4">
        <FormField control={control} name="name" label={t`Name`} className="w-field-xl" testID="head-name" />
        <FormField
          control={control}
          name="lengthCm"
          label={t`Length, cm`}
          numeric
          className="w-field-s"
          testID="head-length"
        />
      </View>
      <FieldGroup label={t`Where it is longer or shorter, cm`} help={t`Left empty it is as long as above.`}>
        <View className="flex-row flex-wrap gap-2">
          {REGIONS.map((region) => (
            <FormField
              key={region}
              control={control}
              name={`lengths.${region}`}
              testID={`length-${region}`}
              label={placeLabels()[region]}
              numeric
              className="w-column-xs"
            />
          ))}
        </View>
      </FieldGroup>
      <FormToggles
        control={control}
        name="complaints"
        label={t`What troubles you about it?`}
        help={t`The first is where every answer begins. Change it whenever it changes.`}
        options={complaintOptions()}
      />
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
        <Button
          tone="main"
          label={existing ? t`Save` : t`Save and plan the week`}
          onPress={save}
          testID="save-head"
        />
        <Button label={t`Back`} onPress={() => router.navigate('/heads')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
}
