import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { formatDay, Z90 } from '@/core/base/measures';
import type { HeadHistory } from '@/core/hair/history';
import { firstUsesTogether } from '@/core/hair/history';
import { isMostlyGuess, SIGNALS, type HairState, type SignalState } from '@/core/hair/state';
import { SIGNAL_IDS, type Head, type SignalId } from '@/core/records/shapes';
import { Body, Choice, Heading, Screen, Small, Strong, useWidth } from '@/ui';
import { EffectAxis, EffectBar } from '@/ui/charts/EffectBar';
import { effectInWords, effectText, ways } from '../shared/effectWords';
import { useHistory } from '../shared/useHistory';
import { WithState } from '../shared/WithHead';
import { ChangesList } from './ChangesList';
import { ClaimCheck } from './ClaimCheck';
import { eventWords } from './eventWords';
import { HairTabs } from './HairTabs';

const DOMAIN: Record<SignalId, readonly [number, number]> = {
  firmness: [-1.3, 1.3],
  breakage: [-0.7, 0.7],
  porosity: [-0.6, 0.6],
};

/** What each recipe really does to this hair, and how sure that is. */
export function WorksScreen() {
  return <WithState>{(head, state) => <Works head={head} hair={state} />}</WithState>;
}

function Works({ head, hair }: { head: Head; hair: HairState }) {
  const history = useHistory(head.headId);
  const [signal, setSignal] = useState<SignalId>('firmness');
  const state = hair.signals[signal];
  const used = state.responses.filter(({ uses }) => uses > 0);
  return (
    <Screen
      before={<HairTabs here="/hair/works" />}
      ofPerson
      headline={headlineOf(state, history)}
      reason={
        used.length === 0
          ? t`Nothing has been used yet, so there is nothing to tell.`
          : t`What one use does, nine times in ten.`
      }
      side={
        <>
          <ChangesList head={head} history={history} signal={signal} />
          <ClaimCheck key={head.headId} history={history} />
        </>
      }
    >
      <Choice
        label={t`Effect on`}
        options={SIGNAL_IDS.map((id) => ({ value: id, label: SIGNALS[id].label.toLowerCase() }))}
        value={signal}
        onChange={setSignal}
      />
      <Effects state={state} history={history} />
      <Confounded state={state} history={history} />
    </Screen>
  );
}

/** The surest effect, in words. */
function headlineOf(state: SignalState, { larder }: HeadHistory): string {
  const surest = state.responses
    .filter(
      (response) =>
        response.uses > 0 && !isMostlyGuess(response) && Math.abs(response.mean) > Z90 * response.sd,
    )
    .sort((a, b) => Math.abs(b.mean) / b.sd - Math.abs(a.mean) / a.sd)[0];
  if (!surest) return t`What works is not settled yet`;
  const way = surest.mean > 0 ? ways()[state.signal].up : ways()[state.signal].down;
  return `${larder.recipeName(surest.recipeId)}: ${way.toLowerCase()}`;
}

/** One bar and one sentence a recipe, from the most softening to the most firming; events after them. */
function Effects({ state, history }: { state: SignalState; history: HeadHistory }) {
  const { width, onLayout } = useWidth();
  const rows = state.responses
    .filter(({ uses }) => uses > 0)
    .map((response) => ({
      key: response.recipeId,
      name: history.larder.recipeName(response.recipeId),
      response,
    }))
    .sort((a, b) => a.response.mean - b.response.mean);
  const events = state.eventResponses.map((response) => ({
    key: `event-${response.event}`,
    name: eventWords()[response.event].label,
    response,
  }));
  return (
    <View onLayout={onLayout} className="gap-3">
      {width > 0 && rows.length > 0 ? (
        <EffectAxis width={width} left={ways()[state.signal].left} right={ways()[state.signal].right} />
      ) : null}
      <View role="list" className="gap-3">
        {[...rows, ...events].map(({ key, name, response }) => (
          <View key={key} role="listitem">
            <Strong>{name}</Strong>
            {width > 0 ? (
              <EffectBar
                width={width}
                domain={DOMAIN[state.signal]}
                mean={response.mean}
                low={response.mean - Z90 * response.sd}
                high={response.mean + Z90 * response.sd}
                expected={response.expected.mean}
                label={`${name}: ${effectText(state.signal, response.mean)}`}
              />
            ) : null}
            <Small className="text-ink">{effectInWords(state, response)}</Small>
          </View>
        ))}
      </View>
      {rows.length > 0 ? (
        <Small>{t`Filled: what the checks show. Hollow: what the recipe reads as. Bar: nine times in ten.`}</Small>
      ) : null}
    </View>
  );
}

/** What cannot be told apart, and why. */
function Confounded({ state, history }: { state: SignalState; history: HeadHistory }) {
  const { recipeName } = history.larder;
  const together = firstUsesTogether(history.sessions);
  if (state.entangled.length === 0 && together.length === 0) return null;
  return (
    <View className="gap-2">
      <Heading level={2}>{t`Not to be told apart`}</Heading>
      {state.entangled.map(({ recipeIds: [one, other] }) => (
        <Body key={`${one}-${other}`}>
          {t`${{ recipeName: recipeName(one) }} and ${{ otherName: recipeName(other) }} are always used together or close behind each other: what one does cannot be told from what the other does. Use one without the other a few times, or start a trial.`}
        </Body>
      ))}
      {together.map((group) => (
        <Body key={group[0]?.recipeId}>
          {t`${{ group: group.map(({ recipeId }) => recipeName(recipeId)).join(', ') }} were each used for the first time in the week from ${{ day: formatDay(group[0]!.day, 'd MMM') }}: what changed then may be any of them.`}
        </Body>
      ))}
    </View>
  );
}
