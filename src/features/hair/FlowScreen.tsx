import { t } from '@lingui/core/macro';
import { router, useLocalSearchParams } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import type { Head, Measured, Moment } from '@/core/records/shapes';
import { Button, Choice, FieldGroup, Problem, Screen, Small, useWide } from '@/ui';
import { momentNow } from '../shared/momentNow';
import { useHead } from '../shared/useHead';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { Welcome } from '../shared/Welcome';
import { HOLDS } from './howto/flows';
import { HowToFold, HowToSide } from './howto/HowToPane';
import { Says } from './Says';
import { useSaveReading } from './useSaveReading';

/** A reading flow needs a head; without one there is the welcome. */
export function withHead<Props extends object>(Flow: (props: { head: Head } & Props) => ReactNode) {
  return function FlowOfHead(props: Props) {
    const head = useHead();
    return head ? <Flow key={head.headId} {...props} head={head} /> : <Welcome />;
  };
}

const moments = perLanguage((): readonly { value: Moment; label: string }[] => [
  { value: 'before', label: t`before treatment` },
  { value: 'after', label: t`after it, still wet` },
  { value: 'dry', label: t`dry, a day or two later` },
]);

interface FlowScreenProps {
  readonly head: Head;
  readonly flow: keyof typeof HOLDS;
  readonly headline: string;
  readonly reason?: string;
  /** What has been measured so far; null while there is nothing to save. */
  readonly measured: Partial<Measured> | null;
  readonly onSaved?: () => void;
  readonly saveLabel?: string;
  /** Lengths do not belong to a treatment. */
  readonly momentFree?: boolean;
  readonly children: ReactNode;
}

/** The frame of every reading: how and why, the doing, what it says, and one button to keep it. */
export function FlowScreen(props: FlowScreenProps) {
  const { head, flow, headline, reason, measured, onSaved, saveLabel = t`Save check`, momentFree } = props;
  const today = useToday();
  const history = useHistory(head.headId);
  const wide = useWide();
  const save = useSaveReading(head);
  const { side } = useLocalSearchParams<{ side?: string }>();
  const [moment, setMoment] = useState<Moment>(() => momentNow(history, today));
  const [problem, setProblem] = useState<string | null>(null);
  const before = history.readings.filter(HOLDS[flow]);
  const twice = before.some((reading) => reading.day === today && reading.moment === moment);
  const keep = () => {
    if (!measured) return;
    const made = save(measured, moment);
    if (made.ok) onSaved?.();
    else setProblem(made.problems[0].message);
  };
  return (
    <Screen
      over={
        side === 'left'
          ? t`${{ headName: head.name }}, left side only`
          : side === 'right'
            ? t`${{ headName: head.name }}, right side only`
            : t`Hair check, ${{ headName: head.name }}`
      }
      headline={headline}
      reason={reason}
      side={wide ? <HowToSide flow={flow} /> : undefined}
    >
      <HowToFold flow={flow} firstTime={before.length === 0} />
      {props.children}
      {measured ? (
        <>
          <Says head={head} measured={measured} />
          {momentFree ? null : (
            <FieldGroup label={t`When was it taken?`}>
              <Choice label={t`When was it taken?`} options={moments()} value={moment} onChange={setMoment} />
            </FieldGroup>
          )}
          {twice ? (
            <Small className="text-ink">{t`There is one of this kind from today already. Both count; to replace the first, correct it in the log.`}</Small>
          ) : null}
          {problem ? <Problem live>{problem}</Problem> : null}
        </>
      ) : null}
      <View className="flex-row flex-wrap gap-3 pt-1">
        {measured ? <Button tone="main" label={saveLabel} onPress={keep} testID="save-reading" /> : null}
        <Button label={t`Back`} onPress={() => router.navigate('/hair')} />
      </View>
    </Screen>
  );
}
