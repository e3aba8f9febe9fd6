import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { useForm, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import { rhythmLine, rhythmOf, sortWords } from '@/core/plan/agenda';
import { RHYTHM_SORTS, type Head, type Rhythm } from '@/core/records/shapes';
import { selectPrefs, useAppSelector } from '@/store';
import { Button, Heading, Small, Strong } from '@/ui';
import { FormChoice, FormDate, FormField, FormToggles, NotSavedYet, resolverOf } from '../shared/form';
import { useAddRecords } from '../shared/useAddRecords';
import { useLarder } from '../shared/useLarder';
import { weekdaysFrom } from '../shared/weekdays';
import { blankRhythm, rhythmFromDraft, type RhythmDraft } from './rhythmDraft';

const everyOptions = perLanguage(
  (): readonly { readonly value: Rhythm['when']['every']; readonly label: string }[] => [
    { value: 'weekdays', label: t`on weekdays` },
    { value: 'days', label: t`every so many days` },
    { value: 'week', label: t`times a week` },
    { value: 'month', label: t`times a month` },
    { value: 'wash', label: t`every wash` },
    { value: 'night', label: t`every night` },
    { value: 'style', label: t`before each style` },
  ],
);

interface RhythmFormProps {
  readonly head: Head;
  readonly today: CalendarDay;
  /** The recipe that she comes from. */
  readonly recipeId?: string | undefined;
}

/** How often she does something, in her words: for a recipe or for a sort of treatment, several beside each other. */
export function RhythmForm({ head, today, recipeId }: RhythmFormProps) {
  const add = useAddRecords();
  const larder = useLarder();
  const [isMore, setIsMore] = useState(false);
  const made = (draft: RhythmDraft) => rhythmFromDraft(draft, head, today);
  const { control, handleSubmit, formState, reset } = useForm<RhythmDraft>({
    defaultValues: blankRhythm(today, recipeId),
    resolver: resolverOf(made),
  });
  const save = handleSubmit((draft) => {
    const rhythm = made(draft);
    if (!rhythm.ok) return;
    const name = rhythm.value.name ?? rhythmOf(rhythm.value, larder.recipeName);
    add([rhythm.value], t`${name}: ${{ line: rhythmLine(rhythm.value, today) }}. The plan serves it.`);
    reset(blankRhythm(today));
  });
  return (
    <View className="gap-3" testID="rhythm-form">
      <Heading level={3}>{t`Add a rhythm`}</Heading>
      <FormChoice
        control={control}
        name="of"
        label={t`What`}
        options={[
          ...larder.recipes.map(({ recipeId: id, name }) => ({ value: `recipe:${id}`, label: name })),
          ...RHYTHM_SORTS.map((sort) => ({ value: `sort:${sort}`, label: sortWords()[sort].toLowerCase() })),
        ]}
      />
      <FormChoice control={control} name="every" label={t`How often`} options={everyOptions()} />
      <HowOften control={control} />
      <Spell control={control} />
      <View className="items-start">
        <Button
          tone="quiet"
          label={isMore ? t`Less` : t`More: a name, seasons, themes`}
          expanded={isMore}
          onPress={() => setIsMore(!isMore)}
        />
      </View>
      {isMore ? <More control={control} /> : null}
      <FormChoice
        control={control}
        name="firm"
        label={t`When other things are in the way`}
        options={[
          { value: 'no', label: t`as far as it fits` },
          { value: 'yes', label: t`it goes first` },
        ]}
      />
      <InOneLine control={control} made={made} today={today} />
      <View className="items-start">
        <Button tone="main" label={t`Save rhythm`} onPress={save} testID="save-rhythm" />
      </View>
      <NotSavedYet state={formState} />
    </View>
  );
}

type Part = { readonly control: Control<RhythmDraft> };

function HowOften({ control }: Part) {
  const every = useWatch({ control, name: 'every' });
  const { weekStart } = useAppSelector(selectPrefs);
  const counted = (most: number) =>
    Array.from({ length: most }, (_, index) => ({ value: index + 1, label: String(index + 1) }));
  switch (every) {
    case 'weekdays':
      return (
        <View className="gap-3">
          <FormToggles
            control={control}
            name="weekdays"
            label={t`Days`}
            options={weekdaysFrom(weekStart).map(({ label, index }) => ({ value: String(index), label }))}
          />
          <FormChoice
            control={control}
            name="weeks"
            label={t`Which weeks`}
            options={[
              { value: 1, label: t`each week` },
              { value: 2, label: t`every second` },
              { value: 3, label: t`every third` },
              { value: 4, label: t`every fourth` },
            ]}
          />
        </View>
      );
    case 'days':
      return (
        <FormField
          control={control}
          name="days"
          label={t`Days from one to the next`}
          numeric
          className="w-field-m"
          testID="rhythm-days"
        />
      );
    case 'week':
      return <FormChoice control={control} name="perWeek" label={t`Times a week`} options={counted(7)} />;
    case 'month':
      return <FormChoice control={control} name="perMonth" label={t`Times a month`} options={counted(6)} />;
    default:
      return null;
  }
}

/** From when until when. */
function Spell({ control }: Part) {
  const ends = useWatch({ control, name: 'ends' });
  return (
    <View className="gap-3">
      <FormDate
        control={control}
        name="startsOn"
        label={t`From (it may lie in the past)`}
        testID="rhythm-from"
      />
      <FormChoice
        control={control}
        name="ends"
        label={t`Until`}
        options={[
          { value: 'never', label: t`no end` },
          { value: 'until', label: t`a day` },
          { value: 'weeks', label: t`so many weeks` },
          { value: 'times', label: t`so many times` },
        ]}
      />
      {ends === 'until' ? (
        <FormDate control={control} name="until" label={t`Last day`} testID="rhythm-until" />
      ) : null}
      {ends === 'weeks' ? (
        <FormChoice
          control={control}
          name="forWeeks"
          label={t`Weeks`}
          options={[4, 6, 8, 12, 26, 52].map((value) => ({ value, label: String(value) }))}
        />
      ) : null}
      {ends === 'times' ? (
        <FormField
          control={control}
          name="times"
          label={t`Times`}
          numeric
          className="w-field-m"
          testID="rhythm-times"
        />
      ) : null}
    </View>
  );
}

const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1);

function More({ control }: Part) {
  return (
    <View className="gap-3">
      <FormToggles
        control={control}
        name="notIn"
        label={t`Not in these months`}
        options={MONTHS.map((month) => ({
          value: String(month),
          label: formatDay(`2026-${String(month).padStart(2, '0')}-01` as CalendarDay, 'LLL'),
        }))}
      />
      <FormField control={control} name="name" label={t`A name makes it a challenge`} testID="rhythm-name" />
      <FormField
        control={control}
        name="themes"
        label={t`What each week is about, a line a week`}
        lines={4}
        testID="rhythm-themes"
      />
    </View>
  );
}

/** What she has said so far, as it will be shown. */
function InOneLine({
  control,
  made,
  today,
}: Part & { made: (draft: RhythmDraft) => ReturnType<typeof rhythmFromDraft>; today: CalendarDay }) {
  const larder = useLarder();
  const draft = useWatch({ control }) as RhythmDraft;
  const rhythm = draft.of === '' ? null : made(draft);
  if (!rhythm?.ok) return <Small>{t`Say what and how often.`}</Small>;
  return (
    <Strong live>
      {rhythmOf(rhythm.value, larder.recipeName)}: {rhythmLine(rhythm.value, today)}
    </Strong>
  );
}
