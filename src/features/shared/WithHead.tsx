import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import type { HairState } from '@/core/hair/state';
import type { Head } from '@/core/records/shapes';
import { selectFailure, useAppSelector, type HeadAnswer } from '@/store';
import { Body, Screen } from '@/ui';
import { useHairAnswer, useHairState } from './useHairAnswer';
import { useHead } from './useHead';
import { Welcome } from './Welcome';

/** A screen that needs a head: shows the welcome where there is none. */
export function WithHead({ children }: { readonly children: (head: Head) => ReactNode }) {
  const head = useHead();
  return head ? children(head) : <Welcome />;
}

/** A screen that needs a head and the state of its hair. */
export function WithState({ children }: { readonly children: (head: Head, state: HairState) => ReactNode }) {
  const head = useHead();
  const state = useHairState();
  if (!head) return <Welcome />;
  return state ? (
    children(head, state)
  ) : (
    <OneMoment reason={t`Working out ${{ headName: head.name }}'s hair from the checks.`} />
  );
}

/** A screen that needs a head and its plan. */
export function WithPlan({ children }: { readonly children: (head: Head, answer: HeadAnswer) => ReactNode }) {
  const head = useHead();
  const answer = useHairAnswer();
  if (!head) return <Welcome />;
  return answer ? (
    children(head, answer)
  ) : (
    <OneMoment reason={t`Working out ${{ headName: head.name }}'s week from the checks.`} />
  );
}

/** The wait, or why there is nothing to wait for. */
function OneMoment({ reason }: { readonly reason: string }) {
  const failure = useAppSelector(selectFailure);
  return failure ? (
    <Screen headline={t`That did not work`}>
      <Body>{failure}</Body>
    </Screen>
  ) : (
    <Screen headline={t`One moment`} reason={reason}>
      {null}
    </Screen>
  );
}
