import { router } from 'expo-router';
import { View } from 'react-native';
import { SIGNAL_IDS } from '@/core/readings';
import type { Head } from '@/core/hair';
import { Button, Screen, useWide } from '@/ui';
import { HeadPicker } from '../shared/HeadPicker';
import type { HairAnswer } from '../shared/HairAnswer';
import { useHistory } from '../shared/useHistory';
import { WithHead } from '../shared/WithHead';
import { SignalHistory } from './SignalHistory';
import { WhatWorks } from './WhatWorks';

export function StrandScreen() {
  return <WithHead>{(head, answer) => <StrandView head={head} answer={answer} />}</WithHead>;
}

function StrandView({ head, answer }: { head: Head; answer: NonNullable<HairAnswer['answer']> }) {
  const history = useHistory(head.headId);
  const wide = useWide();
  const { state } = answer;
  const count = state.readingCount;
  return (
    <Screen
      over={`${head.name} · ${count === 0 ? 'no reading yet' : `${count} ${count === 1 ? 'reading' : 'readings'}`}`}
      headline={state.need.headline}
      reason={state.need.reasons[0]}
      side={<WhatWorks state={state} larder={history.larder} />}
    >
      <HeadPicker />
      <View className="items-start">
        <Button
          tone="main"
          label="Take a reading"
          onPress={() => router.push('/strand/reading')}
          testID="take-reading"
        />
      </View>
      <View className={wide ? 'gap-6' : 'gap-5'}>
        {SIGNAL_IDS.map((signal) => (
          <SignalHistory key={signal} state={state.signals[signal]} sessions={history.sessions} />
        ))}
      </View>
    </Screen>
  );
}
