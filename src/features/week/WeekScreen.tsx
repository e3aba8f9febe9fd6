import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import type { Assignment } from '@/core/plan/planning';
import type { WhatIfQuestion } from '@/core/plan/scheduling';
import type { Head } from '@/core/records/shapes';
import { USUAL_WEEKS, useAppDispatch, weeksLookedAt, type HeadAnswer } from '@/store';
import { Body, Button, Choice, Heading, Screen, Small, useCramped, useWide } from '@/ui';
import { Sheet } from '@/ui/Sheet';
import { Dues } from '../shared/Dues';
import { forecastLabel } from '../shared/forecastPictureOf';
import { MarkLegend } from '../shared/MarkLegend';
import { Referral } from '../shared/Referral';
import { useDecisions } from '../shared/useDecisions';
import { useDoneTreatment } from '../shared/useDoneTreatment';
import { useHistory } from '../shared/useHistory';
import { weekRows } from '../shared/weekRows';
import { WithPlan } from '../shared/WithHead';
import { AddPanel } from './AddPanel';
import { DragTreatments } from './DragTreatments';
import { ForecastAcross } from './ForecastAcross';
import { ForecastDown } from './ForecastDown';
import { PlanList } from './PlanList';
import { PlanOverview } from './PlanOverview';
import { PlanLimits, PlanNotes, PlanStatus } from './PlanStatus';
import { Promises } from './Promises';
import { TreatmentDetail, treatmentKey, TreatmentPane } from './TreatmentCard';
import { useWhatIf } from './useWhatIf';
import { WeekProvider, useWeek } from './WeekContext';
import { WeekTabs } from './WeekTabs';

/** How the plan is shown. */
type Shown = 'picture' | 'list' | 'month' | 'quarter';

/** Weeks of the overview that looks furthest. */
const QUARTER_WEEKS = 12;

export function WeekScreen() {
  return <WithPlan>{(head, answer) => <Week head={head} answer={answer} />}</WithPlan>;
}

function Week({ head, answer }: { head: Head; answer: HeadAnswer }) {
  const { plan, state } = answer;
  const done = useDoneTreatment();
  const decisions = useDecisions(head.headId, plan.from);
  const whatIf = useWhatIf(answer);
  const [open, setOpen] = useState<string | null>(null);
  const [moving, setMoving] = useState<Assignment | null>(null);
  const [adding, setAdding] = useState<CalendarDay | null>(null);
  const value = {
    head,
    today: state.asOf,
    plan,
    decisions,
    open,
    toggle: (assignment: Assignment) => {
      setAdding(null);
      setOpen((known) => (known === treatmentKey(assignment) ? null : treatmentKey(assignment)));
    },
    done: (assignment: Assignment, day: CalendarDay) => done(head, assignment, day),
    moving,
    startMove: (assignment: Assignment | null) => {
      setMoving(assignment);
      setOpen(null);
    },
    moveTo: (day: CalendarDay) => {
      if (moving) decisions.move(moving, day);
      setMoving(null);
      setOpen(null);
    },
    adding,
    startAdd: (day: CalendarDay | null) => {
      whatIf.close();
      setOpen(null);
      setAdding(day);
    },
    whatIf,
    ask: (asked: Omit<WhatIfQuestion, 'headId'>) => whatIf.ask({ headId: head.headId, ...asked }),
  };
  return (
    <WeekProvider value={value}>
      <WeekBody answer={answer} />
    </WeekProvider>
  );
}

function WeekBody({ answer }: { answer: HeadAnswer }) {
  const wide = useWide();
  const { plan } = useWeek();
  const dispatch = useAppDispatch();
  const [view, setView] = useState<Shown>('picture');
  const [week, setWeek] = useState(0);
  const { state } = answer;
  const choose = (next: Shown) => {
    setView(next);
    dispatch(weeksLookedAt(next === 'quarter' ? QUARTER_WEEKS : USUAL_WEEKS));
  };
  const shownHow = (
    <View className="flex-row flex-wrap items-center gap-x-6 gap-y-2">
      <Choice
        label={t`How the plan is shown`}
        options={[
          { value: 'picture', label: t`Picture` },
          { value: 'list', label: t`List` },
          ...(wide
            ? ([
                { value: 'month', label: t`Four weeks` },
                { value: 'quarter', label: t`Twelve weeks` },
              ] as const)
            : []),
        ]}
        value={view}
        onChange={choose}
      />
      <PlanStatus />
    </View>
  );
  return (
    <Screen
      before={<WeekTabs here="/week" />}
      ofPerson
      headline={plan.headline}
      reason={
        week === 0
          ? state.need.headline
          : t`Seven days from ${{ day: formatDay(plan.days[7 * week]?.day ?? plan.from, 'd MMMM') }}`
      }
    >
      {state.need.referral ? <Referral>{state.need.referral}</Referral> : null}
      <PlanNotes />
      <PlanLimits />
      {wide ? shownHow : null}
      {view === 'month' || view === 'quarter' ? (
        <PlanOverview />
      ) : (
        <>
          <MovingBar />
          <Days answer={answer} view={view} week={week} />
          <View className="flex-row flex-wrap gap-2">
            <AddButton week={week} />
            {week > 0 ? <Button label={t`The week before`} onPress={() => setWeek(week - 1)} /> : null}
            {week < plan.weeks - 1 ? (
              <Button label={t`The week after`} onPress={() => setWeek(week + 1)} />
            ) : null}
          </View>
          {wide ? null : shownHow}
        </>
      )}
      <View className="wide:flex-row wide:gap-10">
        {wide ? (
          <View className="flex-1">
            <ChosenTreatment />
          </View>
        ) : (
          <OpenSheet />
        )}
        <View className="flex-1 gap-2 pt-4">
          <Promises />
          <Heading level={2}>{t`Last time and next time`}</Heading>
          <Dues dues={plan.dues} />
          <Heading level={2}>{t`How to read the forecast`}</Heading>
          <MarkLegend />
          <Small>{t`The pale band is the comfort zone. Solid is what the checks say, dotted is what this plan is expected to do; about eight of ten cases stay within the shading.`}</Small>
          <View className="items-start pt-2">
            <Button label={t`Check hair`} onPress={() => router.push('/hair/measure')} />
          </View>
        </View>
      </View>
    </Screen>
  );
}

/** While something looks for another day it says so, and can be left where it was. */
function MovingBar() {
  const { moving, startMove } = useWeek();
  if (!moving) return null;
  return (
    <View
      role="status"
      className="sticky top-0 z-10 flex-row flex-wrap items-center gap-x-3 rounded-2xl bg-sunken px-4 py-1"
    >
      <Body>{t`${{ movingName: moving.name }}: choose its day, each has a button “Here”.`}</Body>
      <Button tone="quiet" label={t`Leave it`} onPress={() => startMove(null)} />
    </View>
  );
}

function Days({ answer, view, week }: { answer: HeadAnswer; view: 'picture' | 'list'; week: number }) {
  const wide = useWide();
  const { head } = useWeek();
  const history = useHistory(head.headId);
  const rows = useMemo(
    () => weekRows(answer, head, history.sessions, history.larder, week),
    [answer, head, history.sessions, history.larder, week],
  );
  const label = t`${{ what: forecastLabel(head, answer, week) }} The days are listed beside this picture.`;
  const ForecastView = wide ? ForecastAcross : ForecastDown;
  const cramped = useCramped();
  return (
    <DragTreatments>
      {view === 'list' || cramped ? <PlanList rows={rows} /> : <ForecastView rows={rows} label={label} />}
    </DragTreatments>
  );
}

/** One for all days: which day is chosen with what. */
function AddButton({ week }: { week: number }) {
  const { plan, adding, startAdd } = useWeek();
  const first = plan.days[7 * week]?.day ?? plan.from;
  return (
    <Button
      label={t`Add a treatment`}
      expanded={adding !== null}
      onPress={() => startAdd(adding === null ? first : null)}
      testID="add"
    />
  );
}

/** On a phone what is open covers the lower part of the screen. */
function OpenSheet() {
  const { plan, open, toggle, adding, startAdd } = useWeek();
  if (adding)
    return (
      <Sheet title={t`Add a treatment`} onClose={() => startAdd(null)}>
        <AddPanel day={adding} />
      </Sheet>
    );
  const assignment = plan.days
    .flatMap(({ assignments }) => assignments)
    .find((each) => treatmentKey(each) === open);
  if (!assignment) return null;
  return (
    <Sheet title={assignment.name} onClose={() => toggle(assignment)} testID="treatment-sheet">
      <TreatmentDetail assignment={assignment} />
    </Sheet>
  );
}

/** On a wide screen something is always chosen: the pane below the forecast is never empty. */
function ChosenTreatment() {
  const { plan, open, adding } = useWeek();
  if (adding)
    return (
      <View className="gap-2 pt-4">
        <Heading level={2}>{t`Add a treatment`}</Heading>
        <AddPanel day={adding} />
      </View>
    );
  const assignments = plan.days.flatMap(({ assignments: own }) => own);
  const chosen =
    assignments.find((assignment) => treatmentKey(assignment) === open) ??
    assignments.find(({ slot }) => slot === 'main');
  return chosen ? <TreatmentPane key={treatmentKey(chosen)} assignment={chosen} /> : null;
}
