import { useMemo, useState } from 'react';
import { router } from 'expo-router';
import { View } from 'react-native';
import { placeInWords } from '@/core/planning';
import type { Head } from '@/core/hair';
import { Body, Button, Heading, Screen, Small, useWide } from '@/ui';
import { HeadPicker } from '../shared/HeadPicker';
import { useHairAnswer, type HairAnswer } from '../shared/HairAnswer';
import { useDoneBeat } from '../shared/useDoneBeat';
import { useHistory } from '../shared/useHistory';
import { Referral } from '../shared/Referral';
import { WithHead } from '../shared/WithHead';
import { BeatDetail } from './BeatCard';
import { MarkLegend } from './MarkLegend';
import { ThreadAcross } from './ThreadAcross';
import { ThreadDown } from './ThreadDown';
import { beatKey } from './WeekDay';
import { weekRows } from './weekRows';

export function WeekScreen() {
  return <WithHead>{(head, answer) => <Week head={head} answer={answer} />}</WithHead>;
}

function Week({ head, answer }: { head: Head; answer: NonNullable<HairAnswer['answer']> }) {
  const wide = useWide();
  const { pending } = useHairAnswer();
  const history = useHistory(head.headId);
  const done = useDoneBeat(head);
  const [openBeat, setOpenBeat] = useState<string | null>(null);
  const rows = useMemo(
    () => weekRows(answer, head, history.sessions, history.larder),
    [answer, head, history.sessions, history.larder],
  );
  const { plan, state } = answer;
  const last = plan.days.at(-1);
  const beats = plan.days.flatMap((day) => day.beats);
  // On a wide screen something is always chosen: the pane below the thread is never empty.
  const chosen =
    beats.find((beat) => beatKey(beat) === openBeat) ?? beats.find((beat) => beat.slot === 'main');
  const actions = {
    openBeat: wide && chosen ? beatKey(chosen) : openBeat,
    onToggle: (key: string) => setOpenBeat((open) => (open === key ? null : key)),
    onDone: done,
  };
  const label = `${head.name}'s hair is ${placeInWords(state.signals.firmness)} today and should be ${
    last ? placeInWords(last.forecast) : 'the same'
  } at the end of the week. The days are listed beside this picture.`;
  const ThreadView = wide ? ThreadAcross : ThreadDown;
  return (
    <Screen
      over={`${head.name} · next seven days${pending ? ' · working it out again' : ''}`}
      headline={plan.headline}
      reason={`${state.need.headline}. ${state.need.reasons[0] ?? ''}`}
    >
      {state.need.referral ? <Referral>{state.need.referral}</Referral> : null}
      <HeadPicker />
      {plan.unmet.length > 0 ? (
        <View role="note" className="gap-1 rounded-2xl bg-sunken p-4">
          {plan.unmet.map((rule) => (
            <Body key={rule.rule}>{rule.text}</Body>
          ))}
        </View>
      ) : null}
      <ThreadView rows={rows} label={label} {...actions} />
      <View className={wide ? 'flex-row gap-10' : ''}>
        {wide ? (
          <View className="flex-1">
            {chosen ? (
              <BeatDetail
                beat={chosen}
                onDone={chosen.day === state.asOf ? () => done(chosen, chosen.day) : undefined}
              />
            ) : null}
          </View>
        ) : null}
        <View className="flex-1 gap-2 pt-4">
          <Heading level={2}>Reading the thread</Heading>
          <MarkLegend />
          <Small>
            The pale lane is comfortable firmness. Solid is what the readings say, dotted is what is expected
            with this plan; the band holds about eight of ten cases.
          </Small>
          <View className="items-start pt-2">
            <Button label="Take a reading" onPress={() => router.push('/strand/take')} />
          </View>
        </View>
      </View>
    </Screen>
  );
}
