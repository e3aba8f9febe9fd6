import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { fixed } from '@/core/base/language';
import { formatDay, Z90 } from '@/core/base/measures';
import { isSmall } from '@/core/plan/agenda';
import type { Assignment, PrepTask } from '@/core/plan/planning';
import { Body, Button, ButtonBox, Heading, Small, Strong } from '@/ui';
import { kindInWords, kindWord, minutesText, slotWords } from '../shared/treatmentWords';
import type { DoneTreatment } from '../shared/weekRows';
import { AirAdvice } from './AirAdvice';
import { TreatmentActions } from './TreatmentActions';
import { useWeek } from './WeekContext';

/** One planned treatment in few words; all there is to say about it comes in a sheet. */
export function PlannedTreatment({ assignment }: { assignment: Assignment }) {
  const { open, toggle } = useWeek();
  const isOpen = open === treatmentKey(assignment);
  return (
    <View className="items-start">
      <ButtonBox
        expanded={isOpen}
        onPress={() => toggle(assignment)}
        testID={`treatment-${assignment.slot}-${assignment.day}`}
        className="w-full"
      >
        <Strong className="text-link">{assignment.name}</Strong>
        <Small>{shortLine(assignment)}</Small>
      </ButtonBox>
      <DoneButton assignment={assignment} tone="quiet" />
    </View>
  );
}

export function treatmentKey(assignment: Pick<Assignment, 'day' | 'slot' | 'recipeId'>): string {
  return `${assignment.day}/${assignment.slot}/${assignment.recipeId}`;
}

/** "protein · 105 min": at a glance; its sheet has the rest. */
const shortLine = (assignment: Assignment): string =>
  lineOf(assignment, kindWord(assignment.kind), assignment.dose && t`gentler`);

/** "moisture, strong · 105 min · you put it here" */
export const treatmentLine = (assignment: Assignment): string =>
  lineOf(assignment, kindInWords(assignment.kind, assignment.strength), assignment.dose?.text);

function lineOf(assignment: Assignment, kind: string, dose: string | null | undefined): string {
  const { slot, overnight, minutes, onlyIfFirm, locked } = assignment;
  return [
    isSmall(assignment) ? slotWords()[slot] : kind,
    overnight ? t`overnight` : minutesText(minutes),
    ...(dose ? [dose] : []),
    ...(onlyIfFirm ? [t`only if it feels firm`] : []),
    ...(locked ? [t`kept by you`] : []),
  ].join(' · ');
}

function DoneButton({ assignment, tone }: { assignment: Assignment; tone: 'quiet' | 'main' }) {
  const { today, done } = useWeek();
  if (assignment.day !== today) return null;
  return (
    <Button
      tone={tone}
      label={t`I did this`}
      hint={t`I did ${{ treatmentName: assignment.name }}`}
      onPress={() => done(assignment, today)}
    />
  );
}

/** The pane of a wide screen. */
export function TreatmentPane({ assignment }: { assignment: Assignment }) {
  return (
    <View className="gap-2 pt-4">
      <Heading level={2}>{assignment.name}</Heading>
      <TreatmentDetail assignment={assignment} />
    </View>
  );
}

/** When, what it takes, what it should do, why it is here, and what can be done with it. */
export function TreatmentDetail({ assignment }: { assignment: Assignment }) {
  return (
    <View className="gap-2" testID="treatment-detail">
      <Small>
        {formatDay(assignment.day, 'EEEE d MMMM')} · {treatmentLine(assignment)}
      </Small>
      <TreatmentFacts assignment={assignment} />
      <View className="items-start pt-1">
        <DoneButton assignment={assignment} tone="main" />
      </View>
      <TreatmentActions assignment={assignment} />
    </View>
  );
}

/** When to begin, what it takes, what it should do, and why it is here. */
function TreatmentFacts({ assignment }: { assignment: Assignment }) {
  const { plan } = useWeek();
  const tasks = plan.days
    .flatMap(({ preparation }) => preparation)
    .filter((task) => task.forDay === assignment.day && task.forRecipeId === assignment.recipeId);
  return (
    <>
      {tasks.map((task) => (
        <Body key={task.text}>
          {formatDay(task.day, 'EEEE')}: {task.text}
        </Body>
      ))}
      {isSmall(assignment) ? null : <Body>{moveWords(assignment)}</Body>}
      {assignment.cost !== null && assignment.cost > 0 ? (
        <Body>{t`It costs about ${{ cost: fixed(assignment.cost, 2) }}.`}</Body>
      ) : null}
      {assignment.reasons.map((reason) => (
        <Body key={reason.code}>{reason.text}</Body>
      ))}
      <AirAdvice assignment={assignment} />
    </>
  );
}

/** A tenth of a step is less than any reading sees. */
const NOTICEABLE = 0.1;

/** What one use should do, with how sure that is. */
function moveWords({ moves: { mean, sd }, isGuess }: Assignment): string {
  const size = fixed(Math.abs(mean), 1);
  const sure = isGuess ? t`, but that is mostly a guess` : '';
  if (Math.abs(mean) < NOTICEABLE) return t`It should hardly move firmness.`;
  return mean > 0
    ? t`It should move the hair ${size} toward firm, give or take ${{ sd: fixed(Z90 * sd, 1) }}${sure}.`
    : t`It should move the hair ${size} toward soft, give or take ${{ sd: fixed(Z90 * sd, 1) }}${sure}.`;
}

export function FinishedTreatment({ assignment }: { assignment: DoneTreatment }) {
  return (
    <View className="gap-0.5">
      <Strong>{assignment.name}</Strong>
      <Small>{t`${{ kind: kindWord(assignment.kind) }} · done`}</Small>
    </View>
  );
}

/** What is to begin, named by what it is for: the sheet of that says the rest. */
export function PreparationFor({ tasks }: { tasks: readonly PrepTask[] }) {
  const { plan } = useWeek();
  const assignments = plan.days.flatMap((day) => day.assignments);
  return tasks.map(({ text, isPatchTest, forDay, forRecipeId }) => {
    const of = assignments.find(
      ({ day, recipeId }) => !isPatchTest && day === forDay && recipeId === forRecipeId,
    );
    return (
      <Small key={`${forRecipeId}-${text}`} className="text-ink">
        {of ? t`Prepare ${{ name: of.name }}` : text}
      </Small>
    );
  });
}

/** What is to begin. */
export function Preparation({ tasks }: { tasks: readonly PrepTask[] }) {
  return tasks.map((task) => (
    <Small key={`${task.forRecipeId}-${task.text}`} className="text-ink">
      {task.text}
    </Small>
  ));
}
