import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import type { Need } from '@/core/hair/state';
import type { Assignment, PlanDay, PrepTask } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { selectWashRuns, useAppSelector } from '@/store';
import type { HeadAnswer } from '@/store';
import { Body, Button, Heading, Screen } from '@/ui';
import { ComplaintLine } from '../shared/ComplaintLine';
import { Dues } from '../shared/Dues';
import { Entry } from '../shared/Entry';
import { PatchTestsDue } from '../shared/PatchTests';
import { promisesAtRisk } from '../shared/promisesAtRisk';
import { ReadingsDue, useReadingsDue } from '../shared/ReadingsDue';
import { Referral } from '../shared/Referral';
import { aboutText, kindInWords, minutesText, slotWords } from '../shared/treatmentWords';
import { useDoneTreatment } from '../shared/useDoneTreatment';
import { useHistory } from '../shared/useHistory';
import { useNow } from '../shared/useNow';
import { useToday } from '../shared/useToday';
import { WithPlan } from '../shared/WithHead';
import { DayCheck, NothingToday, WhyToday } from './DayCheck';
import { OilTonight } from './OilTonight';
import { OtherHeads } from './OtherHeads';
import { Preparation } from './Preparation';
import { ShelfDue } from './ShelfDue';
import { WeekPicture } from './WeekPicture';

const A_MINUTE_MS = 60_000;
const NOTHING: readonly PrepTask[] = [];

export function TodayScreen() {
  return <WithPlan>{(head, answer) => <Today head={head} answer={answer} />}</WithPlan>;
}

function Today({ head, answer }: { head: Head; answer: HeadAnswer }) {
  const today = useToday();
  const { state, plan } = answer;
  const { referral } = state.need;
  const { ask, decided } = useDayCheck(head, answer);
  // What is a doctor's matter leads to no recipe.
  const [now, ...later] = referral === null ? plan.days : [];
  const next = [now, ...later].flatMap((day) => day?.assignments ?? []).find(({ slot }) => slot === 'main');
  return (
    <Screen
      ofPerson
      over={formatDay(today, 'EEEE d MMMM')}
      headline={referral === null ? `${state.need.headline}. ${plan.headline}.` : state.need.headline}
      reason={
        referral === null && next
          ? t`${{ name: next.name }}, about ${{ minutes: aboutText(next.minutes) }}.`
          : state.need.reasons.at(-1)
      }
      side={
        <Aside head={head} answer={answer} now={now} isAsked={ask !== null} isDecided={decided !== null} />
      }
    >
      {referral ? <Referral>{referral}</Referral> : null}
      {referral === null ? <WeekPicture head={head} answer={answer} /> : null}
      <Ways head={head} now={now}>
        {decided === null ? <WhyThis reasons={reasonsOf(state.need, next)} /> : null}
      </Ways>
      {ask ? <DayCheck head={head} ask={ask} /> : null}
      {decided?.choice === null ? <NothingToday answer={decided} /> : null}
      {decided?.choice ? <WhyToday answer={decided} /> : null}
    </Screen>
  );
}

interface AsideProps {
  readonly head: Head;
  readonly answer: HeadAnswer;
  /** Today, as it is planned; none where a doctor's matter comes first. */
  readonly now: PlanDay | undefined;
  /** The day asks for a check. */
  readonly isAsked: boolean;
  /** Today's check has decided it. */
  readonly isDecided: boolean;
}

/** What is due, when things went on and go on again, and what she said about her hair. */
function Aside({ head, answer, now, isAsked, isDecided }: AsideProps) {
  const moment = new Date(useNow(A_MINUTE_MS, true));
  const minuteOfDay = 60 * moment.getHours() + moment.getMinutes();
  const { state, plan, plans, shelf } = answer;
  return (
    <>
      <Heading level={2}>{t`To do today`}</Heading>
      {now ? <Rest head={head} now={now} isDecided={isDecided} /> : null}
      <Preparation head={head} tasks={now?.preparation ?? NOTHING} minuteOfDay={minuteOfDay} />
      {now ? <TodaysTreatments head={head} now={now} /> : null}
      <ReadingsDue headId={head.headId} isAsked={isAsked} />
      <PatchTestsDue
        head={head}
        planned={plan.days.flatMap(({ assignments }) => assignments.map(({ recipeId }) => recipeId))}
      />
      <ShelfDue shelf={shelf} />
      <PromisesAtRisk plan={plan} />
      <OtherHeads head={head} plans={plans} />
      {now ? <OilTonight head={head} plan={plan} /> : null}
      {now && plan.dues.length > 0 ? <LastAndNext dues={plan.dues} /> : null}
      <Told head={head} need={state.need} />
    </>
  );
}

/** What she promised herself and these weeks do not hold, with the nearest way to it. */
function PromisesAtRisk({ plan }: Pick<HeadAnswer, 'plan'>) {
  return promisesAtRisk(plan).map(({ rhythmId, asked, nearest }) => (
    <Entry key={rhythmId} title={t`At risk: ${asked}`} text={nearest.text}>
      <Button label={t`To the week`} hint={t`To the week, ${asked}`} onPress={() => router.push('/week')} />
    </Entry>
  ));
}

/** Of the need and of what is planned; what the checks say to her own words stands with them. */
const reasonsOf = ({ reasons, complaint }: Need, assignment: Assignment | undefined): string[] => [
  ...reasons.filter((reason) => reason !== complaint?.reason),
  ...(assignment?.reasons.map(({ text }) => text) ?? []),
];

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
  const doneToday = sessions.filter(({ day }) => day === today).length;
  const isBusy =
    isDecided || now.assignments.length > 0 || now.preparation.length > 0 || due.length > 0 || doneToday > 0;
  return (
    <>
      {isBusy ? null : <Body>{t`A day of rest. Nothing to prepare, nothing to wash.`}</Body>}
      {doneToday > 0 ? (
        <Body>
          {plural(doneToday, {
            one: 'One treatment is logged today.',
            other: '# treatments are logged today.',
          })}
        </Body>
      ) : null}
      {sessions.length === 0 ? (
        <Entry title={t`What do you already use?`} text={t`Tell it once, and nothing of it needs a test.`}>
          <Button
            label={t`Tell what I use`}
            onPress={() => router.push('/people/regulars')}
            testID="tell-regulars"
          />
        </Entry>
      ) : null}
    </>
  );
}

function TodaysTreatments({ head, now }: { head: Head; now: PlanDay }) {
  const today = useToday();
  const done = useDoneTreatment();
  return now.assignments.map((assignment) => (
    <Entry
      key={`${assignment.slot}-${assignment.recipeId}`}
      title={assignment.name}
      text={`${kindInWords(assignment.kind, assignment.strength)}, ${slotWords()[assignment.slot]} · ${
        assignment.overnight ? t`overnight` : minutesText(assignment.minutes)
      }${assignment.dose ? ` · ${assignment.dose.text}` : ''}`}
    >
      <Button
        label={t`I did this`}
        hint={t`I did ${{ treatmentName: assignment.name }}`}
        onPress={() => done(head, assignment, today)}
      />
    </Entry>
  ));
}

interface WaysProps {
  readonly head: Head;
  readonly now: PlanDay | undefined;
  readonly children: ReactNode;
}

/** What most days begin with: the wash where one is planned or under way, else a check; the rest beside it. */
function Ways({ head, now, children }: WaysProps) {
  const today = useToday();
  const run = useAppSelector(selectWashRuns)[head.headId];
  const isPlanned = now?.assignments.some(({ slot }) => slot === 'main') ?? false;
  const isWash = isPlanned || run !== undefined;
  return (
    <View className="flex-row flex-wrap gap-2">
      <Button
        tone={isWash ? 'main' : 'plain'}
        label={washLabel(run?.day, today, isPlanned)}
        onPress={() => router.push('/wash')}
        className={isWash ? '' : 'order-1'}
        testID="wash-now"
      />
      <Button
        tone={isWash ? 'plain' : 'main'}
        label={t`Check your hair`}
        onPress={() => router.push('/hair/measure')}
        testID="check-hair"
      />
      <Button
        className="order-2"
        label={t`Log a treatment`}
        onPress={() => router.push('/hair/done')}
        testID="log-treatment"
      />
      {children}
    </View>
  );
}

function washLabel(begun: CalendarDay | undefined, today: CalendarDay, isPlanned: boolean): string {
  if (begun === undefined) return isPlanned ? t`Start wash day` : t`Wash today`;
  return begun === today
    ? t`Go on with the wash day`
    : t`The wash day of ${{ begun: formatDay(begun, 'EEEE') }} is not ended`;
}

function WhyThis({ reasons }: { reasons: readonly string[] }) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <View className={`order-3 gap-1 ${isOpen ? 'basis-full' : ''}`}>
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Why this?`}
          expanded={isOpen}
          onPress={() => setIsOpen(!isOpen)}
          testID="why-this"
        />
      </View>
      {isOpen ? reasons.map((reason) => <Body key={reason}>{reason}</Body>) : null}
    </View>
  );
}

function LastAndNext({ dues }: { dues: HeadAnswer['plan']['dues'] }) {
  return (
    <View className="gap-2 pt-2">
      <Heading level={2}>{t`Last time and next time`}</Heading>
      <Dues dues={dues} />
    </View>
  );
}

/** What she said about it, and what the checks say to that. */
function Told({ head, need }: { head: Head; need: Need }) {
  return (
    <View className="pt-2">
      {need.complaint ? (
        <>
          <Heading level={2}>{t`What you told us`}</Heading>
          <Body>{need.complaint.reason}</Body>
        </>
      ) : null}
      <ComplaintLine head={head} />
    </View>
  );
}
