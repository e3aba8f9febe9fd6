import { t } from '@lingui/core/macro';
import { format } from 'date-fns/format';
import { router } from 'expo-router';
import { View } from 'react-native';
import { formatDay, type Instant } from '@/core/base/measures';
import type { Head } from '@/core/records/shapes';
import { Body, Button, Screen } from '@/ui';
import { ThrowAway } from './ThrowAway';
import type { LiveRun } from './useRun';

interface WashQuietProps {
  readonly head: Head;
  readonly live: LiveRun;
  readonly since: Instant;
}

/** A wash day that was begun and never ended: what became of it is hers to say, and no hours are made up. */
export function WashQuiet({ head, live: { run, state, happen }, since }: WashQuietProps) {
  const step = state.current?.step.title ?? '';
  // What worked by itself is taken to have worked as long as it was meant to.
  const stoodUntil = state.timers.find(({ isStep }) => isStep)?.dueAt ?? since;
  const goOn = () => {
    // Her hands rested since then; what works by itself went on.
    happen({ what: 'paused', at: since });
    happen({ what: 'resumed' });
  };
  return (
    <Screen
      over={t`Wash day of ${{ headName: head.name }}`}
      headline={t`The wash day of ${{ day: formatDay(run.day, 'EEEE') }} was not ended`}
      reason={t`Nothing was tapped since ${{ format: format(new Date(since), 'EEEE d MMMM, HH:mm') }}, at “${step}”.`}
    >
      <Body>{t`What became of it? Minutes that nobody watched are logged as not known.`}</Body>
      <View className="flex-row flex-wrap gap-3 pt-2">
        <Button
          tone="main"
          label={t`I did all of it`}
          onPress={() => happen({ what: 'ended', at: since, restDone: true })}
        />
        <Button label={t`It ended there`} onPress={() => happen({ what: 'ended', at: stoodUntil })} />
        <Button label={t`Go on from here`} onPress={goOn} />
        <Button label={t`Not now`} onPress={() => router.navigate('/')} />
        <ThrowAway headId={head.headId} />
      </View>
    </Screen>
  );
}
