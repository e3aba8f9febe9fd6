import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import {
  doneDay,
  addDays,
  failedBySchema,
  formatDay,
  ok,
  type CalendarDay,
  type Result,
} from '@/core/base/measures';
import { sessionSchema, type Head, type Session } from '@/core/records/shapes';
import { Button, Screen } from '@/ui';
import { numberFrom } from '../shared/amounts';
import { FormChoice, FormField, NotSavedYet, resolverOf } from '../shared/form';
import { NotFound } from '../shared/NotFound';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHead } from '../shared/useHead';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { Welcome } from '../shared/Welcome';
import { DayField } from './DayField';

interface TreatmentDraft {
  readonly day: string;
  readonly minutes: string;
  readonly warmth: Session['warmth'];
  readonly grams: string;
  readonly note: string;
}

/** Corrects a treatment that was done; what was written before stays in the log. */
export function TreatmentScreen({ sessionId }: { sessionId: string }) {
  const head = useHead();
  const { sessions } = useHistory(head?.headId);
  const today = useToday();
  const existing = sessions.find(({ id }) => id === sessionId);
  if (!head) return <Welcome />;
  return existing ? (
    <Treatment key={existing.id} head={head} existing={existing} today={today} />
  ) : (
    <NotFound />
  );
}

const whatToWrite = perLanguage((): Readonly<Record<string, string>> => ({
  contactMinutes: t`Write whole minutes, 1 to 720.`,
  grams: t`Write grams, up to 5000, or leave it empty.`,
  note: t`A note may have 1000 characters.`,
}));
const FIELD: Readonly<Record<string, string>> = { contactMinutes: 'minutes' };

function Treatment({ head, existing, today }: { head: Head; existing: Session; today: CalendarDay }) {
  const add = useAddRecords();
  const { larder } = useHistory(head.headId);
  const name = larder.lastVersion(existing.recipeId)?.name ?? t`The treatment`;
  const made = ({ day, minutes, warmth, grams, note }: TreatmentDraft): Result<Session> => {
    const parsed = sessionSchema.safeParse({
      ...existing,
      ...newStamp(),
      corrects: existing.id,
      day,
      contactMinutes: numberFrom(minutes),
      warmth,
      grams: grams.trim() === '' ? null : numberFrom(grams),
      note,
    });
    if (!parsed.success)
      return failedBySchema(parsed.error.issues, ({ path, message }) => ({
        path: FIELD[String(path[0])] ?? String(path[0]),
        message: whatToWrite()[String(path[0])] ?? message,
      }));
    const done = doneDay(parsed.data.day, today);
    return done.ok ? ok(parsed.data) : done;
  };
  const { control, handleSubmit, formState } = useForm<TreatmentDraft>({
    defaultValues: {
      day: existing.day,
      minutes: String(existing.contactMinutes),
      warmth: existing.warmth,
      grams: existing.grams === null ? '' : String(existing.grams),
      note: existing.note,
    },
    resolver: resolverOf(made),
  });
  const save = handleSubmit((draft) => {
    const session = made(draft);
    if (!session.ok) return;
    add([session.value], t`${name} is corrected; the old one stays in the log.`);
    router.navigate('/hair/log');
  });
  return (
    <Screen
      over={`${head.name} · ${formatDay(existing.day, 'EEEE d MMMM')}`}
      headline={name}
      reason={t`As it was: the dose and the plan follow from it.`}
    >
      <DayField control={control} name="day" today={today} yesterday={addDays(today, -1)} />
      <View className="flex-row flex-wrap gap-4">
        <FormField
          control={control}
          name="minutes"
          label={t`On for, min`}
          numeric
          className="w-field-m"
          testID="treatment-minutes"
        />
        <FormField
          control={control}
          name="grams"
          label={t`Grams, if weighed`}
          numeric
          className="w-field-l"
          testID="treatment-grams"
        />
      </View>
      <FormChoice
        control={control}
        name="warmth"
        label={t`With heat`}
        options={[
          { value: 'room', label: t`without` },
          { value: 'warm', label: t`warm` },
        ]}
      />
      <FormField control={control} name="note" label={t`A note, if you like`} testID="treatment-note" />
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Save the correction`} onPress={save} testID="save-treatment" />
        <Button label={t`Back`} onPress={() => router.navigate('/hair/log')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
}
