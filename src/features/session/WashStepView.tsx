import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { ScrollView, Text, View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import type { StepState, TimerState } from '@/core/hair/history';
import { lateMinutes } from '@/core/plan/washday';
import { FELT, type Felt, type Head, type Phase } from '@/core/records/shapes';
import { selectPrefs, useAppSelector } from '@/store';
import { Button, ButtonBox, useCramped } from '@/ui';
import { NoticeOffer } from '../shared/NoticeOffer';
import { clockText, clockWords } from './clockText';
import { MoreSheet } from './MoreSheet';
import { NoteSheet } from './NoteSheet';
import { OtherTimers } from './OtherTimers';
import { SectionHead } from './SectionHead';
import type { Spoken } from './spoken';
import { useKeptAwake } from './useKeptAwake';
import { useMayRing } from './useMayRing';
import { useReadAloud } from './useReadAloud';
import type { LiveRun } from './useRun';
import { useSpoken } from './useSpoken';
import { useSwipe } from './useSwipe';

const feltWords = perLanguage(
  (): Readonly<Record<Felt, { readonly label: string; readonly note: string }>> => ({
    soft: { label: t`Soft`, note: t`it gives a long way` },
    right: { label: t`Just right`, note: t`it bends and springs` },
    firm: { label: t`Firm`, note: t`it hardly gives` },
    rough: { label: t`Rough`, note: t`it catches, or feels like straw` },
  }),
);

/** Steps at which there is something to see: what comes out, and how it is after the rinse. */
const NOTED_AT: ReadonlySet<Phase> = new Set<Phase>(['detangle', 'rinse', 'feel']);

/** One step, one action, for wet hands and two metres' distance. */
export function WashStepView({ head, live }: { head: Head; live: LiveRun }) {
  const { state, now, happen } = live;
  const [more, setMore] = useState(false);
  const [noting, setNoting] = useState(false);
  const cramped = useCramped();
  const { sound } = useAppSelector(selectPrefs);
  const mayRing = useMayRing();
  const { current } = state;
  useKeptAwake(!state.paused);
  const { aloud, setAloud, canSpeak, again } = useReadAloud(
    current ? `${current.step.title}. ${current.step.how}` : '',
  );
  const place = 1 + state.steps.filter(({ outcome }) => outcome === 'done' || outcome === 'skipped').length;
  const swipe = useSwipe({
    onLeft: () => current && actsOf(live, current).next(),
    onRight: () => place > 1 && happen({ what: 'back' }),
  });
  const voice = useSpoken((what) => {
    if (!current) return;
    const { next, longer, skip } = actsOf(live, current);
    const acts: Record<Spoken, () => void> = {
      done: next,
      back: () => place > 1 && happen({ what: 'back' }),
      skip,
      pause: () => state.paused || happen({ what: 'paused' }),
      longer: () => current.step.waits && longer(),
      again,
    };
    acts[what]();
  });
  if (!current) return null;
  const { step, sectionsDone } = current;
  const timer = state.timers.find(({ id, isStep }) => isStep && id === step.id);
  const count = state.steps.filter(({ outcome }) => outcome !== 'left-out').length;
  return (
    <View className="dark flex-1 bg-paper" testID="wash-step">
      <View className="flex-row flex-wrap items-center gap-3 border-b border-line px-4 py-2">
        <View className="min-w-column-m flex-1">
          <Text className="font-strong text-lead text-ink" role="status">
            {t`${{ headName: head.name }} · ${place} of ${count}`}
          </Text>
          <Text className="font-text text-body text-soft-ink">{t`about ${{ minutesAhead: Math.round(state.minutesAhead) }} min left`}</Text>
        </View>
        <Button
          tone="wet"
          label={state.paused ? t`Go on` : t`Pause`}
          onPress={() => happen({ what: state.paused ? 'resumed' : 'paused' })}
        />
        <Button tone="wet" label={t`More`} onPress={() => setMore(true)} testID="wash-more" />
      </View>
      {sound && !mayRing && state.timers.length > 0 ? (
        <ButtonBox tall="wet" className="justify-center border-b border-line px-4">
          <Text className="font-strong text-lead text-ink">{t`Tap here to let this page ring: it was reloaded, and the browser keeps it silent until you touch it.`}</Text>
        </ButtonBox>
      ) : null}
      <OtherTimers headId={head.headId} except={step.id} />
      <ScrollView
        {...swipe}
        className="flex-1"
        contentContainerClassName="mx-auto w-full max-w-sheet gap-4 p-5 pb-8"
        testID="wash-words"
      >
        <Text
          role="heading"
          aria-level={1}
          className={`font-head text-ink ${cramped ? 'text-headline' : 'text-huge'}`}
        >
          {step.title}
        </Text>
        {timer ? <Clock timer={timer} now={now} late={step.late} /> : null}
        {timer ? <NoticeOffer tone="wet" label={t`Tell me when it's time, screen off or not`} /> : null}
        {step.sections ? (
          <View className="flex-row flex-wrap items-center gap-4">
            <SectionHead sections={step.sections} done={sectionsDone} />
            <Text className="font-strong text-title text-ink" aria-live="polite">
              {t`${{ count: sectionsDone.length }} of ${{ sections: step.sections }} done`}
            </Text>
          </View>
        ) : null}
        <Text className="font-text text-step text-ink">{step.how}</Text>
        {step.caution ? (
          <View role="note" className="rounded-2xl border-2 border-danger p-4">
            <Text className="font-strong text-lead text-ink">{step.caution}</Text>
          </View>
        ) : null}
        <Text className="font-text text-lead text-soft-ink">{step.why}</Text>
      </ScrollView>
      {NOTED_AT.has(step.phase) ? (
        <View className="mx-auto w-full max-w-sheet px-3">
          <Button
            tone="wet"
            label={t`Note what you see`}
            onPress={() => setNoting(true)}
            testID="wash-note"
          />
        </View>
      ) : null}
      <StepActions live={live} current={current} isFirst={place === 1} />
      {noting ? <NoteSheet live={live} onClose={() => setNoting(false)} /> : null}
      {more ? (
        <MoreSheet
          head={head}
          live={live}
          aloud={aloud}
          setAloud={canSpeak ? setAloud : null}
          voice={voice}
          onClose={() => setMore(false)}
        />
      ) : null}
    </View>
  );
}

interface ActionsProps {
  readonly live: LiveRun;
  readonly current: StepState;
  readonly isFirst: boolean;
}

/** The part of a step that is done next, and what can be done with the step. */
function actsOf({ state, happen }: LiveRun, { step, sectionsDone }: StepState) {
  const done = () => happen({ what: 'done', step: step.id });
  const open = Array.from({ length: step.sections ?? 0 }, (_, index) => index).find(
    (index) => !sectionsDone.includes(index),
  );
  const partDone = (section: number) => {
    happen({ what: 'section', step: step.id, section });
    if (sectionsDone.length + 1 === step.sections) done();
  };
  const longer = () => happen({ what: 'longer', step: step.id, minutes: 5 });
  const skip = () => happen({ what: 'skipped', step: step.id });
  /** As the large button does; how it felt is not to be guessed from “done”. */
  const next = () => {
    if (state.paused) happen({ what: 'resumed' });
    else if (open !== undefined) partDone(open);
    else if (step.phase !== 'feel') done();
  };
  return { done, open, partDone, longer, skip, next };
}

/** The one thing to tap, and below it what is tapped rarely. */
function StepActions({ live, current, isFirst }: ActionsProps) {
  const { state, happen } = live;
  const { step } = current;
  const { done, open, partDone, longer, skip } = actsOf(live, current);
  const main = () => {
    if (state.paused)
      return <Button tone="huge" label={t`Go on`} onPress={() => happen({ what: 'resumed' })} />;
    if (step.phase === 'feel') return <FeltChoice happen={happen} done={done} />;
    if (open !== undefined)
      return (
        <Button tone="huge" label={t`Section ${{ open: open + 1 }} done`} onPress={() => partDone(open)} />
      );
    return <Button tone="huge" label={step.waits ? t`Off with it` : t`Done`} onPress={done} />;
  };
  return (
    <View className="mx-auto w-full max-w-sheet gap-2 border-t border-line p-3">
      {main()}
      <View className="flex-row flex-wrap gap-2">
        <Button
          tone="wet"
          className="flex-1"
          label={t`Back`}
          disabled={isFirst}
          onPress={() => happen({ what: 'back' })}
        />
        {step.waits ? <Button tone="wet" className="flex-1" label={t`+5 min`} onPress={longer} /> : null}
        {open === undefined ? null : (
          <Button tone="wet" className="flex-1" label={t`All done`} onPress={done} />
        )}
        <Button tone="wet" className="flex-1" label={t`Skip`} onPress={skip} />
      </View>
    </View>
  );
}

function FeltChoice({ happen, done }: { happen: LiveRun['happen']; done: () => void }) {
  return (
    <View className="flex-row flex-wrap gap-2">
      {FELT.map((felt) => (
        <Button
          key={felt}
          tone="huge"
          className="min-w-[46%] flex-1"
          label={feltWords()[felt].label}
          note={feltWords()[felt].note}
          onPress={() => {
            happen({ what: 'felt', felt });
            done();
          }}
        />
      ))}
    </View>
  );
}

/** Readable from two metres; late is shown as late, with what it means. */
function Clock({
  timer,
  now,
  late,
}: {
  timer: TimerState;
  now: string;
  late: { afterMinutes: number; text: string } | null;
}) {
  const cramped = useCramped();
  const over = lateMinutes(timer, now);
  const isOver = over > 0;
  return (
    <View className={`gap-1 rounded-3xl p-4 ${isOver ? 'border-4 border-danger' : 'bg-raised'}`}>
      <Text
        role="timer"
        aria-label={clockWords(timer, now)}
        testID="wash-clock"
        className={`text-center font-head ${cramped ? 'text-huge' : 'text-clock'} ${isOver ? 'text-danger' : 'text-ink'}`}
        style={{ fontVariant: ['tabular-nums'] }}
      >
        {clockText(timer, now)}
      </Text>
      <Text className="text-center font-text text-lead text-soft-ink">
        {isOver
          ? t`over the ${{ minutes: timer.minutes }} planned`
          : t`of ${plural({ minutes: timer.minutes }, { one: '# minute', other: '# minutes' })}`}
      </Text>
      {isOver ? (
        <Text role="alert" className="text-center font-strong text-lead text-ink">
          {late && over >= late.afterMinutes ? late.text : t`Time is up.`}
        </Text>
      ) : null}
    </View>
  );
}
