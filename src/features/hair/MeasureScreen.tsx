import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import type { HairState, NextReading } from '@/core/hair/state';
import type { Head } from '@/core/records/shapes';
import { selectUnderway, useAppSelector } from '@/store';
import { Screen, Small, Strong } from '@/ui';
import { LinkRow } from '../shared/LinkBox';
import { WithState } from '../shared/WithHead';
import { takingFlows, type Flow } from './howto/flows';

/** Which reading now? The one that would settle most comes first. */
export function MeasureScreen() {
  return <WithState>{(head, state) => <Take head={head} state={state} />}</WithState>;
}

function Take({ head, state }: { head: Head; state: HairState }) {
  const underway = useAppSelector(selectUnderway(head.headId));
  const gain = (flow: Flow) => state.nextReadings.find(({ test }) => test === flow.test);
  const flows = [...takingFlows()].sort((a, b) => (gain(b)?.bits ?? -1) - (gain(a)?.bits ?? -1));
  const best = flows[0];
  return (
    <Screen
      ofPerson
      over={t`Hair check`}
      headline={t`Pick a check`}
      reason={
        best && isWorth(gain(best))
          ? t`${{ title: best.title }} would settle most.`
          : t`All is fairly clear; measure what is due.`
      }
    >
      <View role="list">
        {flows.map((flow) => {
          // The reason under the headline says it of the best.
          const words = flow === best ? null : gainWords(gain(flow));
          return (
            <View key={flow.href} role="listitem">
              <LinkRow href={flow.href}>
                <Strong className="text-lead">{flow.title}</Strong>
                <Small>
                  {flow.text}
                  {words ? ` · ${words}` : ''}
                </Small>
                {flow.isUnderway?.(underway) ? (
                  <Small className="font-strong text-accent">{t`under way: go on`}</Small>
                ) : null}
              </LinkRow>
            </View>
          );
        })}
      </View>
    </Screen>
  );
}

/** Shares of the doubt from which a reading is worth its minutes, and from which it settles most of it. */
const WORTH = { some: 0.1, most: 0.4 } as const;

function isWorth(next: NextReading | undefined): boolean {
  return next !== undefined && next.ofBits > 0.1 && next.bits / next.ofBits >= WORTH.some;
}

function gainWords(next: NextReading | undefined): string | null {
  if (!next || !isWorth(next)) return null;
  return next.bits / next.ofBits >= WORTH.most ? t`would settle much` : t`would help`;
}
