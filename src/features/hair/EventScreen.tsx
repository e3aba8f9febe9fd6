import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { fixed } from '@/core/base/language';
import { doneDay, addDays, failedBySchema, ok, type Result } from '@/core/base/measures';
import { EVENT_EFFECTS, EVENT_STAYS, SIGNALS } from '@/core/hair/state';
import {
  EVENT_KINDS,
  headEventSchema,
  SIGNAL_IDS,
  type EventKind,
  type Head,
  type HeadEvent,
} from '@/core/records/shapes';
import { Body, Button, Screen, Small } from '@/ui';
import { FormChoice, FormField, NotSavedYet, resolverOf } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useToday } from '../shared/useToday';
import { DayField } from './DayField';
import { eventWords } from './eventWords';
import { withHead } from './FlowScreen';

interface EventDraft {
  readonly what: EventKind | null;
  readonly day: string;
  readonly note: string;
}

/** Something that happened to the hair beside treatments. */
export const EventScreen = withHead(function EventFlow({ head }: { head: Head }) {
  const add = useAddRecords();
  const today = useToday();
  const made = (draft: EventDraft): Result<HeadEvent> => {
    const parsed = headEventSchema.safeParse({ ...newStamp(), ...draft, kind: 'event', headId: head.headId });
    if (!parsed.success)
      return failedBySchema(parsed.error.issues, ({ path, message }) => ({
        path: path.map(String).join('.'),
        message: path[0] === 'what' ? t`Choose what happened.` : message,
      }));
    const day = doneDay(parsed.data.day, today);
    return day.ok ? ok(parsed.data) : day;
  };
  const { control, handleSubmit, formState } = useForm<EventDraft>({
    defaultValues: { what: null, day: today, note: '' },
    resolver: resolverOf(made),
  });
  const what = useWatch({ control, name: 'what' });
  const save = handleSubmit((draft) => {
    const event = made(draft);
    if (!event.ok) return;
    add(
      [event.value],
      t`${{ what: eventWords()[event.value.what].label }} is logged for ${{ headName: head.name }}.`,
    );
    router.navigate('/hair');
  });
  return (
    <Screen
      over={head.name}
      headline={t`What happened to it?`}
      reason={t`What else moves the hair: no recipe is blamed or praised for it.`}
    >
      <FormChoice
        control={control}
        name="what"
        label={t`What happened`}
        options={EVENT_KINDS.map((value) => ({ value, label: eventWords()[value].label }))}
      />
      {what ? (
        <View>
          <Body>{eventWords()[what].note}</Body>
          <Small>{expectedWords(what)}</Small>
        </View>
      ) : null}
      <DayField control={control} name="day" today={today} yesterday={addDays(today, -1)} />
      <FormField control={control} name="note" label={t`A note, if you like`} testID="event-note" />
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Write it down`} onPress={save} testID="save-event" />
        <Button label={t`Back`} onPress={() => router.navigate('/hair')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
});

/** What is expected of it before this head has shown anything. */
function expectedWords(what: EventKind): string {
  const moved = SIGNAL_IDS.filter((signal) => EVENT_EFFECTS[what][signal] !== 0).map((signal) => {
    const effect = EVENT_EFFECTS[what][signal];
    if (signal === 'breakage') return t`breakage × ${{ effect: fixed(Math.exp(effect), 2) }}`;
    return `${SIGNALS[signal].label.toLowerCase()} ${effect > 0 ? '+' : '−'}${fixed(Math.abs(effect), 2)}`;
  });
  const expected = t`Expected at first: ${{ moved: moved.join(', ') }}. Your own checks correct it.`;
  return EVENT_STAYS[what] === 1 ? `${expected} ${t`It stays until that hair is cut off.`}` : expected;
}
