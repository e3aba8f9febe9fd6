import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { fixed } from '@/core/base/language';
import { formatDay, Z90 } from '@/core/base/measures';
import { isSmall } from '@/core/plan/agenda';
import type { Beat, PrepTask } from '@/core/plan/planning';
import { Body, Button, ButtonBox, Heading, Small, Strong } from '@/ui';
import { kindInWords, minutesText, slotWords } from '../shared/beatWords';
import type { DoneBeat } from '../shared/weekRows';
import { AirAdvice } from './AirAdvice';
import { BeatActions } from './BeatActions';
import { useWeek } from './WeekContext';

/** One planned beat in few words; all there is to say about it comes in a sheet. */
export function PlannedBeat({ beat }: { beat: Beat }) {
  const { open, toggle } = useWeek();
  const isOpen = open === beatKey(beat);
  return (
    <View className="items-start">
      <ButtonBox
        expanded={isOpen}
        onPress={() => toggle(beat)}
        testID={`beat-${beat.slot}-${beat.day}`}
        className="w-full"
      >
        <Strong className="text-link">{beat.name}</Strong>
        <Small>{beatLine(beat)}</Small>
      </ButtonBox>
      <DoneButton beat={beat} tone="quiet" />
    </View>
  );
}

export function beatKey(beat: Pick<Beat, 'day' | 'slot' | 'recipeId'>): string {
  return `${beat.day}/${beat.slot}/${beat.recipeId}`;
}

/** "moisture, strong · 105 min · you put it here" */
export function beatLine(beat: Beat): string {
  return [
    isSmall(beat) ? slotWords()[beat.slot] : kindInWords(beat.kind, beat.strength),
    beat.overnight ? t`overnight` : minutesText(beat.minutes),
    ...(beat.dose ? [beat.dose.text] : []),
    ...(beat.onlyIfFirm ? [t`only if it feels firm`] : []),
    ...(beat.locked ? [t`kept by you`] : []),
  ].join(' · ');
}

function DoneButton({ beat, tone }: { beat: Beat; tone: 'quiet' | 'main' }) {
  const { today, done } = useWeek();
  if (beat.day !== today) return null;
  return (
    <Button
      tone={tone}
      label={t`I did this`}
      hint={t`I did ${{ beatName: beat.name }}`}
      onPress={() => done(beat, today)}
    />
  );
}

/** The pane of a wide screen. */
export function BeatPane({ beat }: { beat: Beat }) {
  return (
    <View className="gap-2 pt-4">
      <Heading level={2}>{beat.name}</Heading>
      <BeatDetail beat={beat} />
    </View>
  );
}

/** When, what it takes, what it should do, why it is here, and what can be done with it. */
export function BeatDetail({ beat }: { beat: Beat }) {
  return (
    <View className="gap-2" testID="beat-detail">
      <Small>
        {formatDay(beat.day, 'EEEE d MMMM')} · {beatLine(beat)}
      </Small>
      <BeatFacts beat={beat} />
      <View className="items-start pt-1">
        <DoneButton beat={beat} tone="main" />
      </View>
      <BeatActions beat={beat} />
    </View>
  );
}

/** When to begin, what it takes, what it should do, and why it is here. */
function BeatFacts({ beat }: { beat: Beat }) {
  const { plan } = useWeek();
  const tasks = plan.days
    .flatMap(({ preparation }) => preparation)
    .filter((task) => task.forDay === beat.day && task.forRecipeId === beat.recipeId);
  return (
    <>
      {tasks.map((task) => (
        <Body key={task.text}>
          {formatDay(task.day, 'EEEE')}: {task.text}
        </Body>
      ))}
      {isSmall(beat) ? null : <Body>{moveWords(beat)}</Body>}
      {beat.cost !== null && beat.cost > 0 ? (
        <Body>{t`It costs about ${{ cost: fixed(beat.cost, 2) }}.`}</Body>
      ) : null}
      {beat.reasons.map((reason) => (
        <Body key={reason.code}>{reason.text}</Body>
      ))}
      <AirAdvice beat={beat} />
    </>
  );
}

/** A tenth of a step is less than any reading sees. */
const NOTICEABLE = 0.1;

/** What one use should do, with how sure that is. */
function moveWords({ moves: { mean, sd }, isGuess }: Beat): string {
  const size = fixed(Math.abs(mean), 1);
  const sure = isGuess ? t`, but that is mostly a guess` : '';
  if (Math.abs(mean) < NOTICEABLE) return t`It should hardly move firmness.`;
  return mean > 0
    ? t`It should move the hair ${size} toward firm, give or take ${{ sd: fixed(Z90 * sd, 1) }}${sure}.`
    : t`It should move the hair ${size} toward soft, give or take ${{ sd: fixed(Z90 * sd, 1) }}${sure}.`;
}

export function FinishedBeat({ beat }: { beat: DoneBeat }) {
  return (
    <View className="gap-0.5">
      <Strong>{beat.name}</Strong>
      <Small>
        {t`${{ kindIn: kindInWords(beat.kind, beat.strength) }} · ${{ minutes: minutesText(beat.contactMinutes) }} on · done`}
      </Small>
    </View>
  );
}

export function Preparation({ tasks }: { tasks: readonly PrepTask[] }) {
  return tasks.map((task) => (
    <Small key={`${task.forRecipeId}-${task.text}`}>
      <Small className="font-strong text-ink">{t`Prepare: `}</Small>
      {task.text}
    </Small>
  ));
}
