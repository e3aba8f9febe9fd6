import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { formatDay, whenWords, type CalendarDay } from '@/core/base/measures';
import type { Beat, PlanDay, PrepTask } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { selectWashRuns, useAppSelector } from '@/store';
import type { HeadAnswer } from '@/store';
import { Body, Button, Heading, Screen, Small } from '@/ui';
import { kindInWords, minutesText, slotWords } from '../shared/beatWords';
import { ComplaintLine } from '../shared/ComplaintLine';
import { Dues } from '../shared/Dues';
import { Entry } from '../shared/Entry';
import { HeadPicker } from '../shared/HeadPicker';
import { needReason } from '../shared/needReason';
import { PatchTestsDue } from '../shared/PatchTests';
import { ReadingsDue, useReadingsDue } from '../shared/ReadingsDue';
import { Referral } from '../shared/Referral';
import { useDoneBeat } from '../shared/useDoneBeat';
import { useHistory } from '../shared/useHistory';
import { useNow } from '../shared/useNow';
import { useToday } from '../shared/useToday';
import { WithPlan } from '../shared/WithHead';
import { DayCheck, NothingToday, WhyToday } from './DayCheck';
import { OilTonight } from './OilTonight';
import { OtherHeads } from './OtherHeads';
import { Preparation } from './Preparation';
import { ShelfDue } from './ShelfDue';

const A_MINUTE_MS = 60_000;
const NOTHING: readonly PrepTask[] = [];

export function TodayScreen() {
  return <WithPlan>{(head, answer) => <Today head={head} answer={answer} />}</WithPlan>;
}

function Today({ head, answer }: { head: Head; answer: HeadAnswer }) {
  const today = useToday();
  const moment = new Date(useNow(A_MINUTE_MS, true));
  const minuteOfDay = 60 * moment.getHours() + moment.getMinutes();
  const { state, plan, plans, shelf } = answer;
  const { referral } = state.need;
  const { ask, decided } = useDayCheck(head, answer);
  // What is a doctor's matter leads to no recipe.
  const [now, ...later] = referral === null ? plan.days : [];
  return (
    <Screen
      over={`${head.name} · ${formatDay(today, 'EEEE d MMMM')}`}
      headline={state.need.headline}
      reason={needReason(state.need)}
      side={<Aside reasons={state.need.reasons} dues={referral === null ? plan.dues : []} />}
    >
      {referral ? <Referral>{referral}</Referral> : null}
      <HeadPicker />
      <ComplaintLine head={head} />
      {ask ? <DayCheck head={head} ask={ask} /> : null}
      {decided?.choice === null ? <NothingToday answer={decided} /> : null}
      {now ? <Rest head={head} now={now} isDecided={decided !== null} /> : null}
      <Preparation head={head} tasks={now?.preparation ?? NOTHING} minuteOfDay={minuteOfDay} />
      {now ? <Beats head={head} now={now} /> : null}
      {decided?.choice ? <WhyToday answer={decided} /> : null}
      <ReadingsDue headId={head.headId} isAsked={ask !== null} />
      <PatchTestsDue
        head={head}
        planned={plan.days.flatMap(({ beats }) => beats.map(({ recipeId }) => recipeId))}
      />
      <ShelfDue shelf={shelf} />
      <OtherHeads head={head} plans={plans} />
      <Next head={head} beats={later.flatMap(({ beats }) => beats)} />
      {referral === null ? <OilTonight head={head} plan={plan} /> : null}
      <Ways head={head} now={now} />
    </Screen>
  );
}

/** What today's check would ask, and what it has decided; neither where a doctor's matter comes first. */
function useDayCheck(head: Head, { state, today: answer }: HeadAnswer) {
  const today = useToday();
  const { sessions } = useHistory(head.headId);
  if (!answer || state.need.referral !== null) return { ask: null, decided: null };
  const isDone = sessions.some(({ day }) => day === today);
  return {
    ask: answer.ask?.day === today ? answer.ask : null,
    decided: answer.isChecked && !isDone ? answer : null,
  };
}

/** An empty day is restful, not blank. */
function Rest({ head, now, isDecided }: { head: Head; now: PlanDay; isDecided: boolean }) {
  const today = useToday();
  const due = useReadingsDue(head.headId);
  const { sessions } = useHistory(head.headId);
  const isBusy =
    isDecided ||
    now.beats.length > 0 ||
    now.preparation.length > 0 ||
    due.length > 0 ||
    sessions.some(({ day }) => day === today);
  return (
    <>
      {isBusy ? null : <Body>{t`A day of rest. Nothing to prepare, nothing to wash.`}</Body>}
      {sessions.length === 0 ? (
        <Entry title={t`What do you already use?`} text={t`Tell it once, and nothing of it needs a test.`}>
          <Button
            label={t`Tell what I use`}
            onPress={() => router.push('/heads/regulars')}
            testID="tell-regulars"
          />
        </Entry>
      ) : null}
    </>
  );
}

function Beats({ head, now }: { head: Head; now: PlanDay }) {
  const today = useToday();
  const done = useDoneBeat();
  const isUnderWay = useAppSelector(selectWashRuns)[head.headId]?.day === today;
  return now.beats.map((beat) => (
    <Entry
      key={`${beat.slot}-${beat.recipeId}`}
      title={beat.name}
      text={`${kindInWords(beat.kind, beat.strength)}, ${slotWords()[beat.slot]} · ${
        beat.overnight ? t`overnight` : minutesText(beat.minutes)
      }${beat.dose ? ` · ${beat.dose.text}` : ''}`}
    >
      {beat.slot === 'main' ? (
        <Button
          tone="main"
          label={isUnderWay ? t`Go on` : t`Wash now`}
          hint={isUnderWay ? t`Go on with the wash day` : t`Begin the wash day`}
          onPress={() => router.push('/wash')}
          testID="wash-now"
        />
      ) : null}
      <Button
        tone={beat.slot === 'main' ? 'quiet' : 'plain'}
        label={t`I did this`}
        hint={t`I did ${{ beatName: beat.name }}`}
        onPress={() => done(head, beat, today)}
      />
    </Entry>
  ));
}

function Next({ head, beats }: { head: Head; beats: readonly Beat[] }) {
  const today = useToday();
  const { sessions } = useHistory(head.headId);
  const doneToday = sessions.filter((session) => session.day === today).length;
  const next = beats.find((beat) => beat.slot === 'main');
  return (
    <>
      {doneToday > 0 ? (
        <Body>
          {plural(doneToday, {
            one: 'One treatment is written down today.',
            other: '# treatments are written down today.',
          })}
        </Body>
      ) : null}
      {next ? (
        <Small>{t`Next: ${{ nextName: next.name }} ${{ when: whenWords(next.day, today) }}.`}</Small>
      ) : null}
    </>
  );
}

function Ways({ head, now }: { head: Head; now: PlanDay | undefined }) {
  const due = useReadingsDue(head.headId);
  const today = useToday();
  const run = useAppSelector(selectWashRuns)[head.headId];
  const isPlanned = now?.beats.some(({ slot }) => slot === 'main') ?? false;
  return (
    <View className="flex-row flex-wrap gap-3 pt-2">
      <Button label={t`Log a treatment`} onPress={() => router.push('/strand/done')} testID="log-treatment" />
      <Button label={t`See the week`} onPress={() => router.push('/week')} />
      {isPlanned && (!run || run.day === today) ? null : (
        <Button label={washLabel(run?.day, today)} onPress={() => router.push('/wash')} />
      )}
      {due.some(({ to }) => to === '/strand/take') ? null : (
        <Button label={t`Check hair`} onPress={() => router.push('/strand/take')} />
      )}
    </View>
  );
}

function washLabel(begun: CalendarDay | undefined, today: CalendarDay): string {
  if (begun === undefined) return t`Wash today`;
  return begun === today
    ? t`Go on with the wash day`
    : t`The wash day of ${{ begun: formatDay(begun, 'EEEE') }} is not ended`;
}

function Aside({ reasons, dues }: { reasons: readonly string[]; dues: HeadAnswer['plan']['dues'] }) {
  return (
    <View className="gap-2 pt-2">
      <Heading level={2}>{t`Why`}</Heading>
      {reasons.map((reason) => (
        <Body key={reason}>{reason}</Body>
      ))}
      {dues.length > 0 ? (
        <View className="gap-2 pt-3">
          <Heading level={2}>{t`Since when, and when again`}</Heading>
          <Dues dues={dues} />
        </View>
      ) : null}
    </View>
  );
}
