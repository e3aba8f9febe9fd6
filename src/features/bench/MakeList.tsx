import { t } from '@lingui/core/macro';
import { useState, type ReactNode } from 'react';
import { Text, View } from 'react-native';
import { rounded } from '@/core/base/measures';
import { weighable, type TimedStep } from '@/core/kitchen/making';
import { lineWeighed, stepDone, useAppDispatch, waterAdded, type MakingRun } from '@/store';
import { Button, Field, Heading, Problem, Small, Strong } from '@/ui';
import { Tick } from '@/ui/Tick';
import { grams, numberFrom } from '../shared/amounts';
import { minutesText } from '../shared/beatWords';
import type { Making } from './makingOf';
import { ScalePanel } from './ScalePanel';
import { useScale, type Scale } from './useScale';
import { WithoutTool } from './WithoutTool';

interface MakeListProps {
  readonly making: Making;
  readonly run: MakingRun;
  /** Water that went in beside the recipe the last time, for as much as is made now, g; null before the first. */
  readonly lastWater: number | null;
}

/** The making as a checklist in the order of the clock; what must not be forgotten holds up what comes after it. */
export function MakeList({ making, run, lastWater }: MakeListProps) {
  const scale = useScale();
  const { steps, totalMinutes, handsMinutes } = making.timetable;
  const done = new Set(run.done);
  const next = steps.find((step) => !done.has(step.id) && blockedBy(step, steps, done) === undefined);
  const wanted = next && next.line !== null ? (making.lines[next.line]?.grams ?? null) : null;
  return (
    <View className="gap-3">
      <Heading level={2}>{t`Make it`}</Heading>
      <Strong className="text-lead">{nextWords(next, steps, done)}</Strong>
      <Small>
        {t`${{ totalTime: minutesText(totalMinutes) }} from the first grip to the jar, ${{ handsTime: minutesText(handsMinutes) }} of it with your hands. What waits runs beside the rest.`}
      </Small>
      <WithoutTool steps={steps} />
      <ScalePanel scale={scale} wanted={wanted} />
      <View role="list" aria-label={t`Steps`} className="gap-1">
        {steps.map((step) => (
          <StepRow
            key={step.id}
            step={step}
            done={done.has(step.id)}
            blocked={done.has(step.id) ? undefined : blockedBy(step, steps, done)}
            wanted={step.line === null ? null : (making.lines[step.line]?.grams ?? null)}
            weighed={step.line === null ? undefined : run.weighed[step.line]}
            scale={scale}
            isNext={step === next}
          >
            {step.do === 'check' ? <WaterIn added={run.waterAddedGrams} last={lastWater} /> : null}
          </StepRow>
        ))}
      </View>
    </View>
  );
}

/** Spoons of water at a time, g: as it goes in when a mixture is thinned. */
const WATER_STEPS = [5, 15, 50] as const;

/** The water that really goes in beside the recipe, counted up as it is poured. */
function WaterIn({ added, last }: { added: number; last: number | null }) {
  const dispatch = useAppDispatch();
  return (
    <View className="gap-1 pb-2 pl-9">
      <Small live>
        {last === null
          ? t`Water added: ${{ grams: grams(added) }}`
          : t`Water added: ${{ grams: grams(added) }}; last time ${{ last: grams(last) }} for this much`}
      </Small>
      <View className="flex-row flex-wrap gap-2">
        {WATER_STEPS.map((step) => (
          <Button
            key={step}
            label={`+ ${step} g`}
            hint={t`${step} grams of water more`}
            onPress={() => dispatch(waterAdded(added + step))}
            testID={`water-${step}`}
          />
        ))}
        {added > 0 ? (
          <Button
            label={t({ message: 'None', context: 'water added' })}
            hint={t`No water was added`}
            onPress={() => dispatch(waterAdded(0))}
          />
        ) : null}
      </View>
    </View>
  );
}

/** What a tired person with wet hands is to do now. */
function nextWords(
  next: TimedStep | undefined,
  steps: readonly TimedStep[],
  done: ReadonlySet<string>,
): string {
  if (next) return t`Next: ${{ next: next.text }}`;
  return steps.every(({ id }) => done.has(id)) ? t`All is done: put it on the shelf.` : '';
}

/** The step that must be done before this one, or undefined. A step that may be left out holds nothing up. */
export function blockedBy(
  step: TimedStep,
  steps: readonly TimedStep[],
  done: ReadonlySet<string>,
): TimedStep | undefined {
  for (const id of step.after) {
    const before = steps.find((other) => other.id === id);
    if (!before || done.has(id)) continue;
    if (before.mustDo) return before;
    const further = blockedBy(before, steps, done);
    if (further) return further;
  }
  return undefined;
}

interface StepRowProps {
  readonly step: TimedStep;
  readonly done: boolean;
  readonly blocked: TimedStep | undefined;
  readonly wanted: number | null;
  readonly weighed: number | undefined;
  readonly scale: Scale;
  readonly isNext: boolean;
  readonly children?: ReactNode;
}

function StepRow({ step, done, blocked, wanted, weighed, scale, isNext, children }: StepRowProps) {
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(false);
  return (
    <View role="listitem" className="border-t border-line py-1">
      <Tick
        checked={done}
        onChange={(checked) => dispatch(stepDone({ id: step.id, done: checked }))}
        disabled={blocked !== undefined}
        label={step.text}
        testID={`step-${step.id}`}
      >
        <Text className={`font-text text-body text-ink ${done ? 'line-through' : ''}`}>{step.text}</Text>
        <Small>
          {clockText(step.startMinute)} · {minutesText(step.minutes)}
          {step.mustDo && step.do !== 'weigh' ? t` · not to be left out` : ''}
          {blocked ? t` · first: ${{ shortened: shortened(blocked.text) }}` : ''}
        </Small>
      </Tick>
      {step.line === null || wanted === null || done ? null : isNext || open ? (
        <WeighIn stepId={step.id} line={step.line} wanted={wanted} weighed={weighed} scale={scale} />
      ) : (
        <View className="items-start pl-8">
          <Button
            tone="quiet"
            label={t`Weigh it now`}
            hint={t`Weigh it now: ${{ step: step.text }}`}
            onPress={() => setOpen(true)}
            testID={`weigh-now-${step.line}`}
          />
        </View>
      )}
      {children}
      {done && weighed !== undefined && wanted !== null ? (
        <Small>{t`Went in: ${{ weighed: rounded(weighed, 1) }} g of ${{ weighable: weighable(wanted).text }}.`}</Small>
      ) : null}
    </View>
  );
}

const SHORT_CHARACTERS = 34;

function shortened(text: string): string {
  return text.length <= SHORT_CHARACTERS ? text : `${text.slice(0, SHORT_CHARACTERS).trimEnd()} …`;
}

/** "+1:05": hours and minutes from the start. */
function clockText(minute: number): string {
  return `+${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;
}

/** What an empty scale may show by trembling is no weight to take, g. */
const LEAST_WEIGHED_GRAMS = 0.5;

/** The weight that really goes in, from the scale or typed. */
function WeighIn({
  stepId,
  line,
  wanted,
  weighed,
  scale,
}: {
  stepId: string;
  line: number;
  wanted: number;
  weighed: number | undefined;
  scale: Scale;
}) {
  const dispatch = useAppDispatch();
  const [text, setText] = useState(weighed === undefined ? '' : String(rounded(weighed, 1)));
  const [problem, setProblem] = useState<string | null>(null);
  const take = (grams: number) => {
    if (!(grams > 0) || grams > 20_000) {
      setProblem(t`Write grams, more than 0.`);
      return;
    }
    setProblem(null);
    dispatch(lineWeighed({ line, grams }));
    dispatch(stepDone({ id: stepId, done: true }));
  };
  return (
    <View className="flex-row flex-wrap items-end gap-2 pb-2 pl-9">
      <Field
        className="w-field-m"
        label={t`Really, g`}
        spoken={t`Grams that really go in, of ${{ weighable: weighable(wanted).text }}`}
        numeric
        value={text}
        onChange={setText}
        testID={`weigh-${line}`}
      />
      <Button
        label={t({ message: 'Take', context: 'a weight from the scale' })}
        hint={t`Take the typed weight`}
        onPress={() => take(numberFrom(text))}
        testID={`take-${line}`}
      />
      {scale.settled !== null && scale.settled >= LEAST_WEIGHED_GRAMS ? (
        <Button
          label={t`Take ${{ settled: rounded(scale.settled, 1) }} g from the scale`}
          onPress={() => {
            if (scale.settled !== null) take(rounded(scale.settled, 1));
            scale.tare();
          }}
          testID={`take-scale-${line}`}
        />
      ) : null}
      {problem ? <Problem live>{problem}</Problem> : null}
    </View>
  );
}
