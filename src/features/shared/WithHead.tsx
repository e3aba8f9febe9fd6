import type { ReactNode } from 'react';
import type { Head } from '@/core/hair';
import { t } from '@/core/language';
import { Body, Screen } from '@/ui';
import { useHairAnswer, type HairAnswer } from './HairAnswer';
import { useHead } from './useHead';
import { Welcome } from './Welcome';

interface WithHeadProps {
  readonly children: (head: Head, answer: NonNullable<HairAnswer['answer']>) => ReactNode;
}

/** A screen that needs a head and its state: shows the welcome, the wait or the failure where there is none. */
export function WithHead({ children }: WithHeadProps) {
  const head = useHead();
  const { answer, failure } = useHairAnswer();
  if (!head) return <Welcome />;
  if (answer) return children(head, answer);
  return failure ? (
    <Screen headline={t`That did not work`}>
      <Body>{failure}</Body>
    </Screen>
  ) : (
    <Screen headline={t`One moment`} reason={t`Working out ${head.name}'s week from the readings.`}>
      {null}
    </Screen>
  );
}
