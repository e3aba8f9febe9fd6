import { t } from '@lingui/core/macro';
import { Link } from 'expo-router';
import { Pressable, View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import type { TestId } from '@/core/hair/checks';
import type { HairState, NextReading } from '@/core/hair/state';
import type { Head } from '@/core/records/shapes';
import { selectUnderway, useAppSelector, type Underway } from '@/store';
import { Screen, Small, Strong } from '@/ui';
import { HeadPicker } from '../shared/HeadPicker';
import { WithState } from '../shared/WithHead';

interface Flow {
  readonly href:
    | '/strand/stretch'
    | '/strand/tally'
    | '/strand/porosity'
    | '/strand/feel'
    | '/strand/length'
    | '/strand/photo'
    | '/strand/event'
    | '/strand/reading';
  readonly title: string;
  readonly text: string;
  /** What of the state it would sharpen; null for what tells nothing of it. */
  readonly test: TestId | null;
  readonly isUnderway?: (underway: Underway) => boolean;
}

const takingFlows = perLanguage((): readonly Flow[] => [
  {
    href: '/strand/stretch',
    title: t`Stretch test`,
    text: t`wet, 5 strands · 2 min`,
    test: 'stretch',
    isUnderway: ({ strands }) => strands.length > 0,
  },
  { href: '/strand/feel', title: t`Feel and look`, text: t`a stroke over the hair · 20 s`, test: 'feel' },
  {
    href: '/strand/tally',
    title: t`Count while detangling`,
    text: t`broken and shed · no extra time`,
    test: 'tally',
    isUnderway: ({ taps }) => taps.length > 0,
  },
  {
    href: '/strand/porosity',
    title: t`Porosity`,
    text: t`mist, drying, finger, glass · 1 min`,
    test: 'porosity',
    isUnderway: ({ dryingSince }) => dryingSince !== null,
  },
  { href: '/strand/photo', title: t`Picture`, text: t`same place, same light`, test: null },
  { href: '/strand/length', title: t`Length`, text: t`four places, once a month`, test: null },
  {
    href: '/strand/event',
    title: t`Something happened`,
    text: t`heat, swim, dye, style, weather …`,
    test: null,
  },
  {
    href: '/strand/reading',
    title: t`Write figures`,
    text: t`everything on one sheet, also for another day`,
    test: null,
  },
]);

/** Which reading now? The one that would settle most comes first. */
export function TakeScreen() {
  return <WithState>{(head, state) => <Take head={head} state={state} />}</WithState>;
}

function Take({ head, state }: { head: Head; state: HairState }) {
  const underway = useAppSelector(selectUnderway(head.headId));
  const gain = (flow: Flow) => state.nextReadings.find(({ test }) => test === flow.test);
  const flows = [...takingFlows()].sort((a, b) => (gain(b)?.bits ?? -1) - (gain(a)?.bits ?? -1));
  const best = flows[0];
  return (
    <Screen
      over={t`Reading of ${{ headName: head.name }}`}
      headline={t`What can you measure now?`}
      reason={
        best && isWorth(gain(best))
          ? t`${{ title: best.title }} would settle most.`
          : t`All is fairly clear; measure what is due.`
      }
    >
      <HeadPicker />
      <View role="list">
        {flows.map((flow) => {
          const words = gainWords(gain(flow));
          return (
            <View key={flow.href} role="listitem">
              <Link href={flow.href} asChild>
                <Pressable role="link" className="min-h-[64px] justify-center border-t border-line py-3">
                  <Strong className="text-lead">{flow.title}</Strong>
                  <Small>
                    {flow.text}
                    {words ? ` · ${words}` : ''}
                  </Small>
                  {flow.isUnderway?.(underway) ? (
                    <Small className="font-strong text-accent">{t`under way: go on`}</Small>
                  ) : null}
                </Pressable>
              </Link>
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
  if (!next) return null;
  if (!isWorth(next)) return t`would tell little new`;
  return next.bits / next.ofBits >= WORTH.most ? t`would settle much` : t`would settle something`;
}
