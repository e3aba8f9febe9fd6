import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import {
  doneDay,
  calendarDaySchema,
  addDays,
  failed,
  formatDay,
  ok,
  type CalendarDay,
  type Result,
} from '@/core/base/measures';
import { readingOf } from '@/core/hair/checks';
import { UNNAMED } from '@/core/recipe/larder';
import { MOST_USES_A_DAY } from '@/core/records/files';
import { sessionSchema, type EventKind, type Head, type StoredRecord } from '@/core/records/shapes';
import { Button, FieldGroup, Problem, Screen, Small } from '@/ui';
import { numberFrom } from '../shared/amounts';
import { FeelScale } from '../shared/FeelScale';
import { FormChoice, FormDate, FormField, NotSavedYet, resolverOf } from '../shared/form';
import { dayMeant, lastTimes, type LastTime } from '../shared/remembered';
import { sessionOf } from '../shared/sessionOf';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { withHead } from './FlowScreen';

interface LogDraft {
  /** A recipe's id, one of the unnamed treatments, or "event:…". */
  readonly what: string;
  readonly when: 'today' | 'yesterday' | LastTime;
  readonly day: string;
  readonly minutes: string;
  readonly feel: number | null;
  readonly note: string;
}

const EVENTS = ['dye', 'bleach', 'style-in', 'style-out'] as const satisfies readonly EventKind[];
const eventLabels = perLanguage((): Record<(typeof EVENTS)[number], string> => ({
  dye: t`colour`,
  bleach: t`bleach`,
  'style-in': t`a style went in`,
  'style-out': t`a style came out`,
}));
const EVENT = 'event:';

/** Writes down what was done, on whichever day: two taps and it stands in the log. */
export const LogTreatmentScreen = withHead<{ recipeId?: string | undefined }>(function LogTreatment({
  head,
  recipeId,
}) {
  const add = useAddRecords();
  const today = useToday();
  const { larder, sessions } = useHistory(head.headId);
  const [isMore, setIsMore] = useState(false);
  const lastOf = new Map(sessions.map((session) => [session.recipeId, session.day]));
  const recipes = [...larder.recipes].sort((a, b) =>
    (lastOf.get(a.recipeId) ?? '') < (lastOf.get(b.recipeId) ?? '') ? 1 : -1,
  );
  const made = (draft: LogDraft): Result<StoredRecord[]> => {
    const day = dayOf(draft, today);
    if (draft.what === '') return failed('nothing', t`Choose what it was.`, 'what');
    if (day === null) {
      const written = calendarDaySchema.safeParse(draft.day);
      const done = written.success ? doneDay(written.data, today) : null;
      return done && !done.ok ? done : failed('no-day', t`Choose the day, today or before.`, 'day');
    }
    return recordsOf(draft, day, head, larder, today);
  };
  const usesOn = (day: CalendarDay) => sessions.filter((session) => session.day === day).length;
  const [sureOf, setSureOf] = useState<CalendarDay | null>(null);
  const { control, handleSubmit, formState, setValue } = useForm<LogDraft>({
    defaultValues: { what: recipeId ?? '', when: 'today', day: '', minutes: '', feel: null, note: '' },
    resolver: resolverOf(made),
  });
  const draft = useWatch({ control }) as LogDraft;
  const save = handleSubmit((told) => {
    const records = made(told);
    if (!records.ok) return;
    const day = dayOf(told, today) ?? today;
    if (usesOn(day) >= MOST_USES_A_DAY && sureOf !== day) {
      setSureOf(day);
      return;
    }
    const name = told.what.startsWith(EVENT) ? t`It` : larder.recipeName(told.what);
    add(records.value, t`${name} is logged for ${{ day: formatDay(day, 'EEEE d MMMM') }}.`);
    router.navigate('/hair/log');
  });
  return (
    <Screen over={head.name} headline={t`What did you do?`} reason={t`Any day, today or long ago.`}>
      <FormChoice
        control={control}
        name="when"
        label={t`When`}
        options={[
          { value: 'today', label: t`today` },
          { value: 'yesterday', label: t`yesterday` },
          ...lastTimes(),
        ]}
      />
      {draft.when === 'day' ? (
        <FormDate control={control} name="day" label={t`Which day`} testID="log-day" />
      ) : null}
      <FormChoice
        control={control}
        name="what"
        label={t`What`}
        options={[
          ...recipes.map((recipe) => ({ value: recipe.recipeId, label: recipe.name })),
          ...UNNAMED.map((id) => ({ value: id, label: larder.recipeName(id).toLowerCase() })),
          ...EVENTS.map((event) => ({ value: `${EVENT}${event}`, label: eventLabels()[event] })),
        ]}
      />
      <View className="items-start">
        <Button
          tone="quiet"
          label={isMore ? t`Less` : t`Minutes, feel, a note`}
          expanded={isMore}
          onPress={() => setIsMore(!isMore)}
        />
      </View>
      {isMore ? (
        <>
          <FormField
            control={control}
            name="minutes"
            label={t`On for, min`}
            placeholder={usualMinutes(draft.what, larder)}
            numeric
            className="w-field-m"
            testID="log-minutes"
          />
          <FieldGroup label={t`How it felt after it`}>
            <FeelScale value={draft.feel} onChange={(feel) => setValue('feel', feel)} />
          </FieldGroup>
          <FormField control={control} name="note" label={t`A note, if you like`} testID="log-note" />
        </>
      ) : null}
      {sureOf && sureOf === dayOf(draft, today) ? (
        <Problem live>
          {t`That day has ${plural({ count: usesOn(sureOf) }, { one: '# treatment', other: '# treatments' })} already. Log it once more if that’s right.`}
        </Problem>
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Log treatment`} onPress={save} testID="save-log" />
        <Button label={t`Back`} onPress={() => (router.canGoBack() ? router.back() : router.navigate('/'))} />
      </View>
      {isExact(draft) ? null : <Small>{t`The day counts as about right.`}</Small>}
      <NotSavedYet state={formState} />
    </Screen>
  );
});

type Larder = ReturnType<typeof useHistory>['larder'];

function usualMinutes(what: string, larder: Larder): string {
  const minutes = larder.lastVersion(what)?.contactMinutes;
  return minutes === undefined ? '' : String(minutes);
}

/** Whether the day is known, and not only about when. */
function isExact({ when }: Pick<LogDraft, 'when'>): boolean {
  return when === 'today' || when === 'yesterday' || when === 'day';
}

function dayOf({ when, day }: LogDraft, today: CalendarDay): CalendarDay | null {
  if (when === 'today') return today;
  return when === 'yesterday' ? addDays(today, -1) : dayMeant({ last: when, day }, today);
}

function recordsOf(
  { what, when, minutes, feel, note }: LogDraft,
  day: CalendarDay,
  head: Head,
  larder: Larder,
  today: CalendarDay,
): Result<StoredRecord[]> {
  const felt =
    feel === null
      ? []
      : readingOf({ feel }, { ...newStamp(), headId: head.headId, day, moment: 'after' }, today);
  const feels = Array.isArray(felt) || !felt.ok ? [] : [felt.value];
  if (what.startsWith(EVENT)) {
    const kind = what.slice(EVENT.length) as EventKind;
    return ok([{ ...newStamp(), kind: 'event', headId: head.headId, day, what: kind, note }, ...feels]);
  }
  const recipe = larder.lastVersion(what);
  if (!recipe) return failed('gone', t`That recipe isn't here any more.`, 'what');
  const session = sessionOf(recipe, head.headId, day);
  const parsed = sessionSchema.safeParse({
    ...session,
    contactMinutes: minutes.trim() === '' ? session.contactMinutes : numberFrom(minutes),
    note,
    ...(isExact({ when }) ? {} : { about: true }),
  });
  return parsed.success
    ? ok([parsed.data, ...feels])
    : failed('minutes', t`Write whole minutes, 1 to 720.`, 'minutes');
}
