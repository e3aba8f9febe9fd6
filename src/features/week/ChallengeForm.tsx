import { t } from '@lingui/core/macro';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { failedBySchema, ok, type CalendarDay, type Result } from '@/core/base/measures';
import { challengeSchema, type Challenge, type ChallengeCounts, Head } from '@/core/records/shapes';
import { Button, Heading } from '@/ui';
import { FormChoice, FormField, NotSavedYet, resolverOf } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';

interface ChallengeDraft {
  readonly name: string;
  readonly counts: ChallengeCounts;
  readonly perWeek: number;
  readonly weeks: number;
}

const BLANK: ChallengeDraft = { name: '', counts: 'moisture', perWeek: 1, weeks: 8 };

/** A habit to keep for some weeks; it begins today. */
export function ChallengeForm({ head, today }: { head: Head; today: CalendarDay }) {
  const add = useAddRecords();
  const made = (draft: ChallengeDraft) => challengeFrom(draft, head, today);
  const { control, handleSubmit, formState, reset } = useForm<ChallengeDraft>({
    defaultValues: BLANK,
    resolver: resolverOf(made),
  });
  const save = handleSubmit((draft) => {
    const challenge = made(draft);
    if (!challenge.ok) return;
    add([challenge.value], t`${{ challengeName: challenge.value.name }} begins today.`);
    reset(BLANK);
  });
  return (
    <View className="gap-3">
      <Heading level={3}>{t`Begin one`}</Heading>
      <FormField control={control} name="name" label={t`What do you call it?`} testID="challenge-name" />
      <FormChoice
        control={control}
        name="counts"
        label={t`What counts`}
        options={[
          { value: 'main', label: t`any treatment` },
          { value: 'moisture', label: t`moisture` },
          { value: 'protein', label: t`protein` },
          { value: 'pre-poo', label: t`pre-poo` },
        ]}
      />
      <FormChoice
        control={control}
        name="perWeek"
        label={t`Days a week`}
        options={[1, 2, 3].map((value) => ({ value, label: String(value) }))}
      />
      <FormChoice
        control={control}
        name="weeks"
        label={t`For`}
        options={[
          { value: 4, label: t`four weeks` },
          { value: 8, label: t`eight weeks` },
          { value: 26, label: t`half a year` },
          { value: 52, label: t`a year` },
        ]}
      />
      <View className="items-start">
        <Button label={t`Begin it`} onPress={save} testID="save-challenge" />
      </View>
      <NotSavedYet state={formState} />
    </View>
  );
}

function challengeFrom(draft: ChallengeDraft, head: Head, today: CalendarDay): Result<Challenge> {
  const stamp = newStamp();
  const parsed = challengeSchema.safeParse({
    ...stamp,
    ...draft,
    kind: 'challenge',
    challengeId: stamp.id,
    headId: head.headId,
    startsOn: today,
    givenUpOn: null,
  });
  if (parsed.success) return ok(parsed.data);
  return failedBySchema(parsed.error.issues, ({ path }) => ({ path: path.map(String).join('.') }));
}
