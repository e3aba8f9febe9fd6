import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useController, useForm, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { addDays, type CalendarDay, unitShown } from '@/core/base/measures';
import {
  BLANK_DRAFT,
  BLANK_STRAND,
  draftFromReading,
  feelWords,
  readingFromDraft,
  type ReadingDraft,
} from '@/core/hair/checks';
import { MARKS, REGIONS, type Head, type Reading } from '@/core/records/shapes';
import { Button, FieldGroup, Problem, Screen } from '@/ui';
import { daysSinceDetangle } from '../shared/daysSinceDetangle';
import { FormChoice, FormField, NotSavedYet, resolverOf, FormMeasure } from '../shared/form';
import { placeLabels } from '../shared/headWords';
import { markOptions } from '../shared/markOptions';
import { momentNow } from '../shared/momentNow';
import { NotFound } from '../shared/NotFound';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHead } from '../shared/useHead';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { Welcome } from '../shared/Welcome';
import { DayField } from './DayField';
import { sinkOptions, slideOptions } from './readingOptions';
import { Says } from './Says';
import { ScalpSigns } from './ScalpSigns';
import { StrandFields } from './StrandFields';

const FIRST_STRANDS = 3;

/** Everything on one sheet: to write a reading of any day, or to correct one. */
export function ReadingScreen({ readingId }: { readingId?: string }) {
  const head = useHead();
  const today = useToday();
  const { readings } = useHistory(head?.headId);
  if (!head) return <Welcome />;
  if (readingId === undefined) return <ReadingForm key={head.headId} head={head} today={today} />;
  const existing = readings.find(({ id }) => id === readingId);
  return existing ? (
    <ReadingForm key={existing.id} head={head} today={today} existing={existing} />
  ) : (
    <NotFound />
  );
}

interface ReadingFormProps {
  readonly head: Head;
  readonly today: CalendarDay;
  readonly existing?: Reading;
}

function ReadingForm({ head, today, existing }: ReadingFormProps) {
  const add = useAddRecords();
  const history = useHistory(head.headId);
  const made = (draft: ReadingDraft) =>
    readingFromDraft(
      draft,
      { ...newStamp(), headId: head.headId, ...(existing ? { corrects: existing.id } : {}) },
      today,
    );
  const { control, handleSubmit, formState } = useForm<ReadingDraft>({
    defaultValues: existing
      ? draftFromReading(existing)
      : {
          ...BLANK_DRAFT,
          day: today,
          moment: momentNow(history, today),
          strands: Array.from({ length: FIRST_STRANDS }, () => ({ ...BLANK_STRAND })),
          days: String(daysSinceDetangle(history, today) ?? ''),
        },
    resolver: resolverOf(made),
    mode: 'onTouched',
  });
  const save = handleSubmit((draft) => {
    const reading = made(draft);
    if (!reading.ok) return;
    add(
      [reading.value],
      existing
        ? t`Hair check corrected, ${{ headName: head.name }}. The old one stays in the log.`
        : t`Hair check saved, ${{ headName: head.name }}.`,
    );
    router.navigate(existing ? '/hair/log' : '/hair');
  });
  return (
    <Screen
      over={t`Hair check, ${{ headName: head.name }}`}
      headline={existing ? t`Correct a check` : t`Write figures`}
      reason={
        existing
          ? t`The corrected check counts; the old one stays visible.`
          : t`For another day, or from a sheet of paper. Anything may stay blank.`
      }
      side={<DraftSays head={head} control={control} made={made} />}
    >
      <View className="flex-row flex-wrap items-start gap-4">
        <DayField control={control} name="day" today={today} yesterday={addDays(today, -1)} />
        <FormChoice
          control={control}
          name="moment"
          label={t`Moment`}
          options={[
            { value: 'before', label: t`before` },
            { value: 'after', label: t`after` },
            { value: 'dry', label: t`dry, next day` },
          ]}
        />
      </View>
      <StrandFields control={control} />
      <CountFields control={control} />
      <PorosityFields control={control} />
      <FormChoice
        control={control}
        name="feel"
        label={t`Feel`}
        options={feelWords().map((label, index) => ({ value: index - 3, label }))}
      />
      {MARKS.map((mark) => (
        <FormChoice
          key={mark}
          control={control}
          name={`marks.${mark}`}
          label={markOptions()[mark].label}
          options={markOptions()[mark].options}
        />
      ))}
      <ScalpField control={control} />
      <FieldGroup label={t`Length, ${{ unit: unitShown('length') }}`}>
        <View className="flex-row flex-wrap gap-3">
          {REGIONS.map((place) => (
            <FormMeasure
              key={place}
              control={control}
              name={`lengths.${place}`}
              measure="length"
              label={placeLabels()[place]}
              className="w-field-s"
            />
          ))}
        </View>
      </FieldGroup>
      {formState.errors.root ? <Problem live>{String(formState.errors.root.message)}</Problem> : null}
      <View className="flex-row flex-wrap gap-3">
        <Button
          tone="main"
          label={existing ? t`Save the correction` : t`Save check`}
          onPress={save}
          testID="save-reading"
        />
        <Button label={t`Back`} onPress={() => router.navigate(existing ? '/hair/log' : '/hair')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
}

interface Fields {
  readonly control: Control<ReadingDraft>;
}

function CountFields({ control }: Fields) {
  return (
    <FieldGroup label={t`Detangling`} help={t`Broken: short, no bulb. Shed: full length, with a bulb.`}>
      <View className="flex-row flex-wrap gap-3">
        <FormField
          control={control}
          name="broken"
          label={t`Broken`}
          numeric
          className="w-field-s"
          testID="broken"
        />
        <FormField
          control={control}
          name="shed"
          label={t`Shed`}
          numeric
          className="w-field-s"
          testID="shed"
        />
        <FormField
          control={control}
          name="days"
          label={t`Days since the last`}
          numeric
          className="w-field-l"
          testID="days"
        />
      </View>
    </FieldGroup>
  );
}

function PorosityFields({ control }: Fields) {
  return (
    <>
      <View className="flex-row flex-wrap gap-3">
        <FormField
          control={control}
          name="mistSeconds"
          label={t`Mist gone after, s`}
          numeric
          className="w-field-l"
          testID="mist"
        />
        <FormField
          control={control}
          name="dryMinutes"
          label={t`Dry in the air after, min`}
          numeric
          className="w-field-l"
          testID="dry-minutes"
        />
      </View>
      <FormChoice control={control} name="slide" label={t`Finger up the strand`} options={slideOptions()} />
      <FormChoice control={control} name="sink" label={t`Strand in a glass`} options={sinkOptions()} />
    </>
  );
}

function ScalpField({ control }: Fields) {
  const { field } = useController({ control, name: 'scalp' });
  return (
    <FieldGroup label={t`Scalp`}>
      <ScalpSigns signs={field.value} onChange={field.onChange} />
    </FieldGroup>
  );
}

interface DraftSaysProps extends Fields {
  readonly head: Head;
  readonly made: (draft: ReadingDraft) => ReturnType<typeof readingFromDraft>;
}

function DraftSays({ head, control, made }: DraftSaysProps) {
  const reading = made(useWatch({ control }) as ReadingDraft);
  return reading.ok ? <Says head={head} measured={reading.value} /> : null;
}
