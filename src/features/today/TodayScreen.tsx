import { router } from 'expo-router';
import { View } from 'react-native';
import type { Head } from '@/core/hair';
import { formatDay } from '@/core/measures';
import { selectWashRuns, useAppSelector } from '@/store';
import { Body, Button, Heading, Screen, Small } from '@/ui';
import { kindInWords, minutesText, SLOT_WORDS } from '../shared/beatWords';
import { HeadPicker } from '../shared/HeadPicker';
import { useHairAnswer, type HairAnswer } from '../shared/HairAnswer';
import { PatchTestsDue } from '../shared/PatchTests';
import { useDoneBeat } from '../shared/useDoneBeat';
import { useHistory } from '../shared/useHistory';
import { Referral } from '../shared/Referral';
import { ReadingsDue, useReadingsDue } from '../shared/ReadingsDue';
import { WithHead } from '../shared/WithHead';
import { Entry } from '../shared/Entry';

export function TodayScreen() {
  return <WithHead>{(head, answer) => <Today head={head} answer={answer} />}</WithHead>;
}

function Today({ head, answer }: { head: Head; answer: NonNullable<HairAnswer['answer']> }) {
  const { today } = useHairAnswer();
  const history = useHistory(head.headId);
  const done = useDoneBeat(head);
  const { state, plan } = answer;
  const isUnderWay = useAppSelector(selectWashRuns)[head.headId] !== undefined;
  const { referral } = state.need;
  // What is a doctor's matter leads to no recipe.
  const [now, ...later] = referral === null ? plan.days : [];
  const due = useReadingsDue(head.headId);
  const doneToday = history.sessions.filter((session) => session.day === today);
  const next = later.flatMap((day) => day.beats).find((beat) => beat.slot === 'main');
  const isRestful =
    !now ||
    (now.beats.length === 0 && now.preparation.length === 0 && due.length === 0 && doneToday.length === 0);
  return (
    <Screen
      over={`${head.name} · ${formatDay(today, 'EEEE d MMMM')}`}
      headline={state.need.headline}
      reason={state.need.reasons.at(-1)}
      side={<Why reasons={state.need.reasons} />}
    >
      {referral ? <Referral>{referral}</Referral> : null}
      <HeadPicker />
      {isRestful && referral === null ? (
        <Body>A day of rest. Nothing to prepare, nothing to wash.</Body>
      ) : null}
      {now?.preparation.map((task) => (
        <Entry key={task.text} title="Prepare" text={task.text} />
      ))}
      {now?.beats.map((beat) => (
        <Entry
          key={`${beat.slot}-${beat.recipeId}`}
          title={beat.name}
          text={`${kindInWords(beat.kind, beat.strength)}, ${SLOT_WORDS[beat.slot]} · ${
            beat.overnight ? 'overnight' : minutesText(beat.minutes)
          }`}
        >
          {beat.slot === 'main' ? (
            <Button
              tone="main"
              label={isUnderWay ? 'Go on' : 'Wash now'}
              hint={`${isUnderWay ? 'Go on with' : 'Begin'} the wash day`}
              onPress={() => router.push('/wash')}
              testID="wash-now"
            />
          ) : null}
          <Button
            tone={beat.slot === 'main' ? 'quiet' : 'plain'}
            label="I did this"
            hint={`I did ${beat.name}`}
            onPress={() => done(beat, today)}
          />
        </Entry>
      ))}
      <ReadingsDue headId={head.headId} />
      <PatchTestsDue
        head={head}
        planned={plan.days.flatMap(({ beats }) => beats.map(({ recipeId }) => recipeId))}
      />
      {doneToday.length > 0 ? (
        <Body>
          {doneToday.length === 1 ? 'One treatment is' : `${doneToday.length} treatments are`} written down
          today.
        </Body>
      ) : null}
      {next ? (
        <Small>
          Next: {next.name} on {formatDay(next.day, 'EEEE')}.
        </Small>
      ) : null}
      <View className="flex-row flex-wrap gap-3 pt-2">
        <Button label="See the week" onPress={() => router.push('/week')} />
        {now?.beats.some(({ slot }) => slot === 'main') ? null : (
          <Button
            label={isUnderWay ? 'Go on with the wash day' : 'Wash today'}
            onPress={() => router.push('/wash')}
          />
        )}
        {due.some(({ to }) => to === '/strand/take') ? null : (
          <Button label="Take a reading" onPress={() => router.push('/strand/take')} />
        )}
      </View>
    </Screen>
  );
}

function Why({ reasons }: { reasons: readonly string[] }) {
  return (
    <View className="gap-2 pt-2">
      <Heading level={2}>Why</Heading>
      {reasons.map((reason) => (
        <Body key={reason}>{reason}</Body>
      ))}
    </View>
  );
}
