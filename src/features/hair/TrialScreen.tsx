import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { formatDay, Z90 } from '@/core/base/measures';
import { changeWords, trialReport, type TrialReport } from '@/core/hair/evidence';
import { readingsFor, trialState, type TrialState } from '@/core/hair/trials';
import type { Larder } from '@/core/recipe/larder';
import type { Arm, Head, Trial, TrialWash } from '@/core/records/shapes';
import { Body, Button, Heading, Problem, Screen, Small, Strong } from '@/ui';
import { effectText } from '../shared/effectWords';
import { NotFound } from '../shared/NotFound';
import { sessionOf } from '../shared/sessionOf';
import { newStamp } from '../shared/stamp';
import { armWords, sidesWords, trialQuestion, trialReadings, washWords } from '../shared/trialWords';
import { useAddRecords } from '../shared/useAddRecords';
import { useHairState } from '../shared/useHairAnswer';
import { useHead } from '../shared/useHead';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';

/** One trial: what is next, what was done, and what it says so far. */
export function TrialScreen({ trialId }: { trialId: string }) {
  const head = useHead();
  const history = useHistory(head?.headId);
  const trial = history.trials.find((known) => known.trialId === trialId);
  return head && trial ? <TrialView head={head} trial={trial} /> : <NotFound />;
}

function TrialView({ head, trial }: { head: Head; trial: Trial }) {
  const history = useHistory(head.headId);
  const today = useToday();
  const { larder, sessions, trialWashes } = history;
  const readings = readingsFor(trial, history);
  const state = trialState(trial, trialWashes, readings, today);
  const isOver = state.stage.what === 'over';
  const report = trialReport(trial, state.washes, readings, sessions, head, isOver);
  return (
    <Screen
      over={t`Trial on ${{ headName: head.name }}`}
      headline={trialQuestion(trial, larder)}
      reason={
        isOver
          ? report.answer.words
          : t`${{ done: state.done }} of ${plural({ of: state.of }, { one: '# wash', other: '# washes' })} are done.`
      }
      side={<Report trial={trial} report={report} isOver={isOver} />}
    >
      <Next head={head} state={state} />
      {isOver ? <Body>{state.stage.what === 'over' ? state.stage.why : ''}</Body> : null}
      <Washes report={report} trial={trial} isOver={isOver} />
      <View className="flex-row flex-wrap gap-3">
        <Button label={t`All trials`} onPress={() => router.navigate('/hair/trials')} />
        {isOver ? null : <GiveUp trial={trial} />}
      </View>
    </Screen>
  );
}

/** The wash that is due, or the reading that is missing, with one button. */
function Next({ head, state }: { head: Head; state: TrialState }) {
  const { trial, stage, readingDue } = state;
  const { larder } = useHistory(head.headId);
  const today = useToday();
  const add = useAddRecords();
  if (stage.what === 'over') return null;
  const arm = washWords(stage.arm, trial, larder);
  const arms: readonly Arm[] = trial.sides ? ['a', 'b'] : [stage.arm];
  const used = arms.flatMap((each) => {
    const recipeId = each === 'a' ? trial.recipeId : trial.againstId;
    const recipe = recipeId === null ? undefined : larder.lastVersion(recipeId);
    return recipe ? [recipe] : [];
  });
  // While a side is to be read nothing tells what was on it.
  const isBlind = readingDue === 'left' || readingDue === 'right';
  const write = () =>
    add(
      [
        {
          ...newStamp(),
          kind: 'trial-wash',
          trialId: trial.trialId,
          headId: head.headId,
          day: today,
          arm: stage.arm,
        },
        ...used.map((recipe) => sessionOf(recipe, head.headId, today)),
      ],
      t`The wash of the trial is logged: ${arm}.`,
    );
  return (
    <View className="gap-2 border-l-4 border-rule pl-3">
      {readingDue ? <ReadingOf trial={trial} due={readingDue} /> : null}
      {isBlind ? null : (
        <Strong className="text-lead">{stage.isDue ? t`Now: ${arm}` : t`Next: ${arm}`}</Strong>
      )}
      <Small className="text-ink">
        {stage.isDue
          ? t`${{ trialReadings: trialReadings(trial) }} Which of the two comes first was drawn by lot.`
          : t`From ${{ from: formatDay(stage.from, 'EEEE d MMM') }}, when the last wash has faded.`}
      </Small>
      <View className="items-start">
        <Button
          disabled={isBlind}
          label={stage.isDue ? t`I washed like this today` : t`I washed like this today, too soon`}
          onPress={write}
          testID="trial-wash"
        />
      </View>
    </View>
  );
}

/** The reading that is missing, with the way to it. */
function ReadingOf({ trial, due }: { trial: Trial; due: NonNullable<TrialState['readingDue']> }) {
  const where = trial.signal === 'porosity' ? '/hair/porosity' : '/hair/stretch';
  const words = {
    before: t`First: the check before`,
    dry: t`The dry check is due`,
    left: t`Now check the left side, and only that`,
    right: t`Now check the right side, and only that`,
  }[due];
  const isSide = due === 'left' || due === 'right';
  return (
    <>
      <Strong className="text-lead">{words}</Strong>
      <View className="items-start">
        <Button
          tone="main"
          label={t`Check now`}
          onPress={() =>
            router.push(isSide ? { pathname: where, params: { side: due, trial: trial.trialId } } : where)
          }
          testID="trial-reading"
        />
      </View>
    </>
  );
}

function Washes({ report, trial, isOver }: { report: TrialReport; trial: Trial; isOver: boolean }) {
  const { larder } = useHistory(trial.headId);
  if (report.rows.length === 0) return null;
  return (
    <View className="gap-1">
      <Heading level={2}>{t`Washes so far`}</Heading>
      <View role="list">
        {report.rows.map(({ wash, change }) => (
          <View key={wash.id} role="listitem" className="border-t border-line py-2">
            <Strong>{washTitle(wash, trial, larder, isOver)}</Strong>
            {trial.signal === 'breakage' ? null : <Small>{changeText(trial, change, isOver)}</Small>}
          </View>
        ))}
      </View>
    </View>
  );
}

/** Of two sides, what was on which is told with the answer: until then they are read blind. */
function washTitle(wash: TrialWash, trial: Trial, larder: Larder, isOver: boolean): string {
  const day = formatDay(wash.day, 'EEE d MMM');
  if (!trial.sides) return `${day}, ${armWords(wash.arm, trial, larder)}`;
  return isOver ? t`${day}: ${{ sides: sidesWords(wash.arm, trial, larder) }}` : day;
}

/** What a wash changed is told with the answer, not before it. */
function changeText(trial: Trial, change: TrialReport['rows'][number]['change'], isOver: boolean): string {
  if (!change) return t`a check is missing: it does not count`;
  return isOver ? changeWords(trial.signal, change) : t`both checks are there`;
}

function Report({ trial, report, isOver }: { trial: Trial; report: TrialReport; isOver: boolean }) {
  const response = useHairState()?.signals[trial.signal].responses.find(
    ({ recipeId, uses }) => recipeId === trial.recipeId && uses > 0,
  );
  return (
    <View className="gap-2 pt-2" testID="trial-report">
      <Heading level={2}>{isOver ? t`What it showed` : t`What it will show`}</Heading>
      <Body>{report.answer.words}</Body>
      {report.answer.what === 'difference' ? (
        <Small>{t`Mean of ${{ pairs: report.answer.pairs }} differences, one a round, with Student’s t; the trial’s own checks and nothing else.`}</Small>
      ) : null}
      {report.besides.map((text) => (
        <Problem key={text}>{text}</Problem>
      ))}
      {response && isOver ? (
        <Small className="text-ink">{t`The state, which also uses everything outside the trial, has it at ${{ effect: effectText(trial.signal, response.mean) }} a use (${{ leastEffect: effectText(trial.signal, response.mean - Z90 * response.sd) }} to ${{ mostEffect: effectText(trial.signal, response.mean + Z90 * response.sd) }}).`}</Small>
      ) : null}
    </View>
  );
}

function GiveUp({ trial }: { trial: Trial }) {
  const today = useToday();
  const add = useAddRecords();
  return (
    <Button
      label={t`Give it up`}
      onPress={() =>
        add([{ ...trial, ...newStamp(), corrects: trial.id, givenUpOn: today }], t`The trial is given up.`)
      }
      testID="give-up-trial"
    />
  );
}
