import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { fixed } from '@/core/base/language';
import { formatDay, Stopped, TookTooLong } from '@/core/base/measures';
import type { OwnPart, RhythmTryout } from '@/core/plan/scheduling';
import type { Head } from '@/core/records/shapes';
import type { HeadAnswer } from '@/store';
import { Body, Button, Choice, Heading, Screen, Small, Strong } from '@/ui';
import { askScheduler } from '@/workers';
import { minutesText } from '../shared/treatmentWords';
import { WithPlan } from '../shared/WithHead';
import { DaysForecast } from './DaysForecast';
import { OwnRhythm } from './OwnRhythm';
import { rhythmLabels } from './rhythmWords';
import { WeekTabs } from './WeekTabs';

const WEEKS = 12;
const HEIGHT = 190;
/** Wider than the week's: overload has to be seen. */
const DOMAIN = [-2.2, 2.2] as const;

/** What the tool says, checked more often or less. */
const ADVICE: ReadonlySet<RhythmTryout['id']> = new Set(['plan', 'weekly-check', 'no-check']);

type Tried =
  | { readonly step: 'asked' }
  | { readonly step: 'known'; readonly rhythms: readonly RhythmTryout[] }
  | { readonly step: 'failed'; readonly text: string };

/** A rhythm lived on the model of her head, beside the plan, without living it. */
export function TryScreen() {
  return <WithPlan>{(head, answer) => <TryOut key={head.headId} head={head} answer={answer} />}</WithPlan>;
}

function TryOut({ head, answer }: { head: Head; answer: HeadAnswer }) {
  const [tried, setTried] = useState<Tried | null>(null);
  const [chosen, setChosen] = useState<RhythmTryout['id']>('strong-weekly');
  const ask = (own: readonly OwnPart[]) => {
    setTried({ step: 'asked' });
    askScheduler('rhythms', { ...answer.question, weeks: WEEKS, headId: head.headId, own })
      .then((rhythms) => setTried({ step: 'known', rhythms }))
      .catch((error: unknown) =>
        setTried({
          step: 'failed',
          text:
            error instanceof Stopped
              ? t`The plan has changed meanwhile: start again.`
              : error instanceof TookTooLong
                ? error.message
                : t`It could not be worked out. Try it again.`,
        }),
      );
  };
  const rhythms = tried?.step === 'known' ? tried.rhythms : [];
  const plan = rhythms.find(({ id }) => id === 'plan');
  const other = rhythms.find(({ id }) => id === chosen);
  return (
    <Screen
      before={<WeekTabs here="/week/try" />}
      ofPerson
      headline={other && plan ? verdictWords(other, plan) : t`Try a rhythm without living it`}
      reason={t`Twelve weeks, lived two dozen times on the model of this hair, checks and all. It’s a model, not your hair.`}
    >
      {tried === null ? (
        <View className="items-start">
          <Button tone="main" label={t`Work out twelve weeks`} onPress={() => ask([])} testID="try-begin" />
        </View>
      ) : null}
      {tried?.step === 'asked' ? (
        <View role="status">
          <Small>{t`Living each of them. Some seconds.`}</Small>
        </View>
      ) : null}
      {tried?.step === 'failed' ? (
        <View className="items-start gap-2">
          <Body>{tried.text}</Body>
          <Button label={t`Again`} onPress={() => ask([])} />
        </View>
      ) : null}
      {plan && other ? (
        <>
          <Choice
            label={t`Rhythm`}
            options={rhythms
              .filter(({ id, uses }) => id !== 'plan' && (id !== 'own' || uses > 0))
              .map(({ id }) => ({
                value: id,
                label: rhythmLabels()[id].label,
                hint: rhythmLabels()[id].why,
              }))}
            value={chosen}
            onChange={setChosen}
          />
          <View className="gap-6 wide:flex-row wide:gap-8">
            <RhythmPane head={head} rhythm={other} />
            <RhythmPane head={head} rhythm={plan} />
          </View>
        </>
      ) : null}
      {tried?.step === 'known' ? (
        <OwnRhythm
          onTry={(own) => {
            setChosen('own');
            ask(own);
          }}
        />
      ) : null}
    </Screen>
  );
}

function RhythmPane({ head, rhythm }: { head: Head; rhythm: RhythmTryout }) {
  const {
    id,
    daysOutside,
    daysTooFirm,
    outsideRange,
    overloadFrom,
    brokenFirst,
    brokenLast,
    minutes,
    cost,
    breaks,
  } = rhythm;
  const weeks = rhythm.days.length / 7;
  const text = t`${{ id: rhythmLabels()[id].label }}: outside the comfort zone on about ${{ daysOutside: Math.round(daysOutside) }} of ${plural({ count: rhythm.days.length }, { one: '# day', other: '# days' })}, too firm on ${{ daysTooFirm: Math.round(daysTooFirm) }}.`;
  return (
    <View className="gap-2 wide:flex-1" testID={`rhythm-${id}`}>
      <Heading level={2}>{rhythmLabels()[id].label}</Heading>
      <DaysForecast
        head={head}
        days={rhythm.days.map(({ mean, sd, uses }) => ({ mean, sd, kinds: uses.map(({ kind }) => kind) }))}
        height={HEIGHT}
        domain={DOMAIN}
        label={text}
      />
      <Body>{t`Outside the comfort zone on about ${{ daysOutside: Math.round(daysOutside) }} of ${plural({ count: rhythm.days.length }, { one: '# day', other: '# days' })}, too firm on ${{ daysTooFirm: Math.round(daysTooFirm) }} of them.`}</Body>
      <Small>{t`From ${{ low: outsideRange.low }} to ${{ high: outsideRange.high }} days in nine lives of ten.`}</Small>
      {ADVICE.has(id) ? (
        <Small>{t`About ${plural({ uses: Math.round(rhythm.uses) }, { one: '# treatment', other: '# treatments' })}; which and when depends on the checks.`}</Small>
      ) : null}
      {overloadFrom ? (
        <Strong>{t`More likely too firm than not from ${{ overloadFrom: formatDay(overloadFrom, 'd MMMM') }} on: that is overload.`}</Strong>
      ) : null}
      <Body>{t`Broken pieces a day: ${{ brokenFirst: fixed(brokenFirst, 1) }} at first, ${{ brokenLast: fixed(brokenLast, 1) }} at the end.`}</Body>
      <Body>
        {cost > 0
          ? t`${{ minutes: minutesText(Math.round(minutes / weeks)) }} a week, about ${{ cost: fixed(cost / weeks, 2) }} a week.`
          : t`${{ minutes: minutesText(Math.round(minutes / weeks)) }} a week.`}
      </Body>
      {breaks.map(({ label, times }) => (
        <Small
          key={label}
        >{t`Against “${label}”, ${plural(times, { one: 'once', other: '# times' })}.`}</Small>
      ))}
    </View>
  );
}

function verdictWords(other: RhythmTryout, plan: RhythmTryout): string {
  const days = Math.round(other.daysOutside - plan.daysOutside);
  const name = rhythmLabels()[other.id].label;
  if (other.overloadFrom)
    return t`${name}: too firm from ${{ overloadFrom: formatDay(other.overloadFrom, 'd MMMM') }} on`;
  if (Math.abs(days) < 3) return t`${name}: about as good as today’s advice`;
  return days > 0
    ? t`${name}: ${plural(days, { one: '# day', other: '# days' })} more outside the comfort zone`
    : t`${name}: ${plural({ days: -days }, { one: '# day', other: '# days' })} less outside the comfort zone`;
}
