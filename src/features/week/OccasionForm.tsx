import { t } from '@lingui/core/macro';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { addDays, failedBySchema, ok, type CalendarDay, type Result } from '@/core/base/measures';
import { OCCASIONS, occasionSchema, type Occasion, type OccasionKind, Head } from '@/core/records/shapes';
import { Button, Heading, Small } from '@/ui';
import { FormChoice, FormDate, FormField, NotSavedYet, resolverOf } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { occasionLabels, occasionWords } from './occasionWords';

interface OccasionDraft {
  readonly what: OccasionKind | null;
  readonly from: string;
  readonly to: string;
  readonly minutes: string;
  /** Of a style: hours that taking it down takes, and over how many days. */
  readonly downHours: string;
  readonly downDays: number;
  readonly everybody: 'no' | 'yes';
  readonly note: string;
}

/** Something that is coming. */
export function OccasionForm({ head, today }: { head: Head; today: CalendarDay }) {
  const add = useAddRecords();
  const blank: OccasionDraft = {
    what: null,
    from: addDays(today, 1),
    to: addDays(today, 1),
    minutes: '',
    downHours: '',
    downDays: 1,
    everybody: 'no',
    note: '',
  };
  const made = (draft: OccasionDraft) => occasionFrom(draft, head);
  const { control, handleSubmit, formState, reset } = useForm<OccasionDraft>({
    defaultValues: blank,
    resolver: resolverOf(made),
  });
  const what = useWatch({ control, name: 'what' });
  const save = handleSubmit((draft) => {
    const occasion = made(draft);
    if (!occasion.ok) return;
    add([occasion.value], t`${{ title: occasionWords(occasion.value).title }}: the plan knows.`);
    reset(blank);
  });
  return (
    <View className="gap-3 pt-2">
      <Heading level={2}>{t`What is coming?`}</Heading>
      <FormChoice
        control={control}
        name="what"
        label={t`What`}
        options={OCCASIONS.map((value) => ({ value, label: occasionLabels()[value].label }))}
      />
      {what ? <Small>{occasionLabels()[what].note}</Small> : null}
      <View className="flex-row flex-wrap gap-4">
        <FormDate control={control} name="from" label={t`From`} testID="occasion-from" />
        <FormDate control={control} name="to" label={t`To, the last day`} testID="occasion-to" />
        {what === 'hours' ? (
          <FormField
            control={control}
            name="minutes"
            label={t`Minutes a day`}
            numeric
            className="w-field-m"
            testID="occasion-minutes"
          />
        ) : null}
      </View>
      {what === 'style' ? (
        <View className="flex-row flex-wrap gap-4">
          <FormField
            control={control}
            name="downHours"
            label={t`Hours to take it down, if you know`}
            numeric
            className="w-field-xl"
            testID="take-down-hours"
          />
          <FormChoice
            control={control}
            name="downDays"
            label={t`Over`}
            options={[
              { value: 1, label: t`one day` },
              { value: 2, label: t`two days` },
            ]}
          />
        </View>
      ) : null}
      <FormChoice
        control={control}
        name="everybody"
        label={t`For whom`}
        options={[
          { value: 'no', label: head.name },
          { value: 'yes', label: t`everybody` },
        ]}
      />
      <FormField control={control} name="note" label={t`A note, if you like`} testID="occasion-note" />
      <View className="items-start">
        <Button tone="main" label={t`Tell the plan`} onPress={save} testID="save-occasion" />
      </View>
      <NotSavedYet state={formState} />
    </View>
  );
}

function occasionFrom(
  { what, from, to, minutes, downHours, downDays, everybody, note }: OccasionDraft,
  head: Head,
): Result<Occasion> {
  const parsed = occasionSchema.safeParse({
    ...newStamp(),
    kind: 'occasion',
    headId: everybody === 'yes' ? null : head.headId,
    what,
    from: from.trim(),
    to: to.trim(),
    minutes: what === 'hours' && minutes.trim() !== '' ? Number(minutes) : null,
    note,
    ...(what === 'style' && downHours.trim() !== ''
      ? { takeDown: { days: downDays, hours: Number(downHours.replace(',', '.')) } }
      : {}),
  });
  if (parsed.success) return ok(parsed.data);
  return failedBySchema(parsed.error.issues, ({ path, message }) => ({
    path: path[0] === 'takeDown' ? 'downHours' : path.map(String).join('.'),
    message: path[0] === 'what' ? t`Choose what is coming.` : message,
  }));
}
