import { plural, t } from '@lingui/core/macro';
import { router, useLocalSearchParams } from 'expo-router';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { fixed, perLanguage } from '@/core/base/language';
import { addDays, failedBySchema, formatDay, ok, type CalendarDay, type Result } from '@/core/base/measures';
import { expectedHalfWidth } from '@/core/hair/evidence';
import { SIGNALS } from '@/core/hair/state';
import { shortestDays } from '@/core/hair/trials';
import {
  SIGNAL_IDS,
  TRIAL_LIMITS,
  trialSchema,
  type Head,
  type SignalId,
  type Trial,
} from '@/core/records/shapes';
import { Body, Button, Problem, Screen, Small } from '@/ui';
import { FormChoice, NotSavedYet, resolverOf } from '../shared/form';
import { newStamp } from '../shared/stamp';
import { trialQuestion, trialReadings } from '../shared/trialWords';
import { useAddRecords } from '../shared/useAddRecords';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { withHead } from './FlowScreen';

interface TrialDraft {
  readonly recipeId: string | null;
  readonly againstId: string;
  readonly signal: SignalId;
  readonly rounds: number;
  readonly washoutDays: number;
  readonly design: 'days' | 'sides';
}

const designs = perLanguage(
  () =>
    [
      { value: 'days', label: t`on separate wash days` },
      { value: 'sides', label: t`left and right on one day` },
    ] as const,
);
const WITHOUT = 'without';
const ROUNDS = [3, 4, 6, 8, 12] as const;
const WASHOUTS = [3, 4, 7, 10, 14] as const;
/** Room for missed washes, as a multiple of the shortest run. */
const SLACK = 1.5;
/** Recipes offered beside those used lately. */
const MOST_RECIPES = 12;

/** One question, put so that the answer can be believed. */
export const NewTrialScreen = withHead(function NewTrial({ head }: { head: Head }) {
  const today = useToday();
  const add = useAddRecords();
  const { sessions, larder, trials } = useHistory(head.headId);
  const running = trials.find((trial) => trial.givenUpOn === null && trial.endsBy >= today);
  const { recipe } = useLocalSearchParams<{ recipe?: string }>();
  const made = (draft: TrialDraft) => trialFrom(draft, head, today);
  const { control, handleSubmit, formState } = useForm<TrialDraft>({
    defaultValues: {
      recipeId: recipe ?? null,
      againstId: WITHOUT,
      signal: 'firmness',
      rounds: 6,
      washoutDays: 4,
      design: 'days',
    },
    resolver: resolverOf(made),
  });
  const draft = useWatch({ control }) as TrialDraft;
  const trial = made(draft);
  const used = new Set([...sessions].reverse().map(({ recipeId }) => recipeId));
  const recipes = [
    ...larder.recipes.filter(({ recipeId }) => used.has(recipeId)),
    ...larder.recipes.filter(({ recipeId }) => !used.has(recipeId)),
  ]
    .slice(0, MOST_RECIPES)
    .map(({ recipeId, name }) => ({ value: recipeId, label: name }));
  const save = handleSubmit((asked) => {
    const begun = made(asked);
    if (!begun.ok) return;
    add([begun.value], t`The trial has begun.`);
    router.navigate(`/hair/trials/${begun.value.trialId}`);
  });
  return (
    <Screen
      before={null}
      over={t`Trial on ${{ headName: head.name }}`}
      headline={trial.ok ? trialQuestion(trial.value, larder) : t`What do you want to know?`}
      reason={t`One change at a time, drawn by lot, with a wait between: then the answer is the recipe’s and nobody else’s.`}
      side={trial.ok ? <Terms trial={trial.value} /> : undefined}
    >
      {running ? (
        <Problem>{t`A trial is running already: ${{ trialQuestion: trialQuestion(running, larder) }} Two at once would spoil each other.`}</Problem>
      ) : null}
      <FormChoice control={control} name="recipeId" label={t`Try`} options={recipes} />
      <FormChoice
        control={control}
        name="againstId"
        label={t`Against`}
        options={[
          { value: WITHOUT, label: t`a wash without any` },
          ...recipes.filter(({ value }) => value !== draft.recipeId),
        ]}
      />
      <FormChoice
        control={control}
        name="design"
        label={t`How`}
        help={t`Left and right needs half the washes: whatever the day does to your hair is on both sides.`}
        options={designs()}
      />
      <FormChoice
        control={control}
        name="signal"
        label={t`Looking at`}
        options={SIGNAL_IDS.filter((id) => draft.design === 'days' || id !== 'breakage').map((id) => ({
          value: id,
          label: SIGNALS[id].label.toLowerCase(),
        }))}
      />
      <FormChoice
        control={control}
        name="rounds"
        label={t`Rounds`}
        help={
          draft.design === 'sides' ? t`Each round is one wash.` : t`Each round is one wash of both kinds.`
        }
        options={ROUNDS.map((rounds) => ({ value: rounds, label: String(rounds) }))}
      />
      <FormChoice
        control={control}
        name="washoutDays"
        label={t`Days between`}
        help={t`The wash before fades in that time. Longer is clearer, and slower.`}
        options={WASHOUTS.map((days) => ({ value: days, label: String(days) }))}
      />
      <View className="flex-row flex-wrap gap-3">
        <Button
          tone="main"
          label={t`Begin the trial`}
          disabled={running !== undefined}
          onPress={save}
          testID="begin-trial"
        />
        <Button label={t`Back`} onPress={() => router.navigate('/hair/trials')} />
      </View>
      <NotSavedYet state={formState} />
    </Screen>
  );
});

/** What is agreed before it begins. */
function Terms({ trial }: { trial: Trial }) {
  return (
    <View className="gap-2 pt-2">
      <Body>{trialReadings(trial)}</Body>
      {trial.sides ? (
        <Body>{t`Part the hair in the middle. Which side gets what is drawn, and so is the side you read first; the page won't say what was on it.`}</Body>
      ) : null}
      <Body>
        {t`${plural({ rounds: (trial.sides ? 1 : 2) * trial.rounds }, { one: '# wash', other: '# washes' })}, ${plural({ washoutDays: trial.washoutDays }, { one: '# day', other: '# days' })} apart at least. It ends with the last of them, or on ${{ endsBy: formatDay(trial.endsBy, 'd MMM yyyy') }}; looking in between changes nothing, so no peeking rule is needed.`}
      </Body>
      {trial.signal === 'breakage' ? null : (
        <Body>{t`The answer will be good to about ±${{ expectedHalfWidth: fixed(expectedHalfWidth(trial), 1) }}, where comfortable is ${{ comfortable: trial.signal === 'firmness' ? '1' : '2' }} wide.`}</Body>
      )}
      <Small>{t`No other new recipe meanwhile, please, and everything else as always.`}</Small>
    </View>
  );
}

function trialFrom(draft: TrialDraft, head: Head, today: CalendarDay): Result<Trial> {
  const stamp = newStamp();
  const { recipeId, againstId, signal, rounds, washoutDays, design } = draft;
  const both = design === 'sides' ? { sides: true as const } : {};
  const days = Math.ceil(SLACK * shortestDays({ rounds, washoutDays, ...both }));
  const parsed = trialSchema.safeParse({
    ...stamp,
    kind: 'trial',
    trialId: stamp.id,
    headId: head.headId,
    ...both,
    recipeId,
    againstId: againstId === WITHOUT ? null : againstId,
    signal,
    startsOn: today,
    rounds,
    washoutDays,
    endsBy: addDays(today, Math.min(days, 7 * TRIAL_LIMITS.weeks.most)),
    givenUpOn: null,
  });
  if (parsed.success) return ok(parsed.data);
  return failedBySchema(parsed.error.issues, ({ path, message }) => ({
    path: path.map(String).join('.'),
    message: path[0] === 'recipeId' ? t`Choose a recipe to try.` : message,
  }));
}
