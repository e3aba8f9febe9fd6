import { router } from 'expo-router';
import { useForm, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { SIGNALS, type Head } from '@/core/hair';
import { addDays, type CalendarDay } from '@/core/measures';
import {
  callsForDoctor,
  FEEL_WORDS,
  measurementsOf,
  readingFromDraft,
  type Measurement,
  type ReadingDraft,
} from '@/core/readings';
import { Body, Button, FieldGroup, Heading, Problem, Screen, Small, Strong } from '@/ui';
import { FormChoice, FormField, resolverOf, NotSavedYet } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { useHead } from '../shared/useHead';
import { useHistory } from '../shared/useHistory';
import { useAddRecords } from '../shared/useAddRecords';
import { useToday } from '../shared/useToday';
import { Welcome } from '../shared/Welcome';
import { daysSinceDetangle } from './daysSinceDetangle';
import { DayField } from './DayField';
import { levelText } from './levelText';
import { StrandFields } from './StrandFields';

const BLANK_STRAND = { rest: '', stretched: '', released: '', snapped: false } as const;
const FIRST_STRANDS = 3;

export function ReadingScreen() {
  const head = useHead();
  const today = useToday();
  return head ? <ReadingForm key={head.headId} head={head} today={today} /> : <Welcome />;
}

/** One reading: stretch, tally, mist, feel. Any one of them is enough. */
function ReadingForm({ head, today }: { head: Head; today: CalendarDay }) {
  const add = useAddRecords();
  const history = useHistory(head.headId);
  const made = (draft: ReadingDraft) =>
    readingFromDraft(draft, { ...newStamp(), headId: head.headId }, today);
  const { control, handleSubmit, formState } = useForm<ReadingDraft>({
    defaultValues: {
      day: today,
      moment: 'before',
      strands: Array.from({ length: FIRST_STRANDS }, () => ({ ...BLANK_STRAND })),
      broken: '',
      shed: '',
      days: String(daysSinceDetangle(history, today) ?? ''),
      mistSeconds: '',
      feel: null,
    },
    resolver: resolverOf(made),
    mode: 'onTouched',
  });

  const save = handleSubmit((draft) => {
    const reading = made(draft);
    if (!reading.ok) return;
    add([reading.value], `The reading of ${head.name} is written down.`);
    router.navigate('/week');
  });

  return (
    <Screen
      over={`Reading of ${head.name}`}
      headline="How is it today?"
      reason="Take it the same way each time. Any one of the four is enough."
      side={<Says control={control} made={made} />}
    >
      <View className="flex-row flex-wrap items-start gap-4">
        <DayField control={control} today={today} yesterday={addDays(today, -1)} />
        <FormChoice
          control={control}
          name="moment"
          label="Moment"
          options={[
            { value: 'before', label: 'before' },
            { value: 'after', label: 'after' },
            { value: 'dry', label: 'dry, next day' },
          ]}
        />
      </View>
      <StrandFields control={control} />
      <FieldGroup label="Detangling" help="Broken: short, no bulb. Shed: full length, with a bulb.">
        <View className="flex-row flex-wrap gap-3">
          <FormField
            control={control}
            name="broken"
            label="Broken"
            numeric
            className="w-[100px]"
            testID="broken"
          />
          <FormField control={control} name="shed" label="Shed" numeric className="w-[100px]" testID="shed" />
          <FormField
            control={control}
            name="days"
            label="Days since the last"
            numeric
            className="w-[140px]"
            testID="days"
          />
        </View>
      </FieldGroup>
      <FieldGroup label="Mist" help="Mist one strand section, count until the drops are gone.">
        <FormField
          control={control}
          name="mistSeconds"
          label="Seconds to soak in"
          numeric
          className="w-[160px]"
          testID="mist"
        />
      </FieldGroup>
      <FormChoice
        control={control}
        name="feel"
        label="Feel, wet"
        options={FEEL_WORDS.map((label, index) => ({ value: index - 3, label }))}
      />
      {formState.errors.root ? <Problem live>{String(formState.errors.root.message)}</Problem> : null}
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label="Save reading" onPress={save} testID="save-reading" />
        <Button label="Back" onPress={() => router.navigate('/strand')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
}

interface SaysProps {
  readonly control: Control<ReadingDraft>;
  readonly made: (draft: ReadingDraft) => ReturnType<typeof readingFromDraft>;
}

/** What the reading says as it stands. */
function Says({ control, made }: SaysProps) {
  const draft = useWatch({ control }) as ReadingDraft;
  const reading = made(draft);
  if (!reading.ok) return null;
  return (
    <View className="gap-3 pt-2" testID="reading-says">
      <Heading level={2}>This reading alone says</Heading>
      {measurementsOf(reading.value).map((measurement) => (
        <View key={measurement.test}>
          <Strong>{measurementWords(measurement)}</Strong>
          <Small>{measurement.why}</Small>
        </View>
      ))}
      {callsForDoctor(reading.value) ? (
        <Body>
          That is a lot of shed hair. It is not a mask’s job: please ask a doctor or a dermatologist.
        </Body>
      ) : null}
    </View>
  );
}

function measurementWords({ signal, value, sd }: Measurement): string {
  const { label } = SIGNALS[signal];
  const unit = signal === 'breakage' ? ' a day' : '';
  return `${label} ${levelText(signal, value)}${unit}, likely between ${levelText(signal, value - sd)} and ${levelText(signal, value + sd)}`;
}
