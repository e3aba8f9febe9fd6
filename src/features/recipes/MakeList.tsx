import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { rounded } from '@/core/base/measures';
import type { Method, MethodStep, MethodWarning } from '@/core/kitchen/methods';
import { allDone, lineWeighed, makingEnded, stepDone, useAppDispatch, type MakingRun } from '@/store';
import { Button, Field, Heading, Problem } from '@/ui';
import { Tick } from '@/ui/Tick';
import { numberFrom } from '../shared/amounts';
import type { Making } from './makingOf';
import { MeasureChoice, MethodSums, StepNotes } from './MethodList';
import { ScalePanel } from './ScalePanel';
import { useScale, type Scale } from './useScale';
import { WithoutTool } from './WithoutTool';

interface MakeListProps {
  readonly making: Making;
  readonly method: Method;
  readonly warnings: readonly MethodWarning[];
  readonly run: MakingRun;
}

/** The making as a checklist in her order: one tap ends a step, nothing holds up what comes after it. */
export function MakeList({ making, method, warnings, run }: MakeListProps) {
  const dispatch = useAppDispatch();
  const scale = useScale();
  const [isWeighing, setIsWeighing] = useState(Object.keys(run.weighed).length > 0);
  const { steps } = method;
  const next = steps.findIndex((_, index) => !run.done.includes(String(index)));
  const isTold = steps.some(({ told }) => told);
  const wanted = steps[next]?.lines.find(({ line }) => run.weighed[line] === undefined);
  return (
    <View className="gap-3">
      <Heading level={2}>{t`Steps`}</Heading>
      <MethodSums method={method} />
      <WithoutTool steps={making.steps} />
      <MeasureChoice />
      <View role="list" aria-label={t`Steps`} className="gap-1">
        {steps.map((step, index) => (
          <StepRow
            key={index}
            step={step}
            index={index}
            making={making}
            run={run}
            isNext={index === next}
            weigh={isWeighing ? { scale } : null}
          >
            <StepNotes step={step} index={index} isAdded={isTold && !step.told} warnings={warnings} />
          </StepRow>
        ))}
      </View>
      {isWeighing ? (
        <ScalePanel scale={scale} wanted={wanted ? (making.lines[wanted.line]?.grams ?? null) : null} />
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        {next >= 0 ? (
          <Button
            label={t`I made it my way`}
            hint={t`I made it my way: all steps are done`}
            onPress={() => dispatch(allDone({ steps: steps.length }))}
            testID="made-my-way"
          />
        ) : null}
        <Button
          tone="quiet"
          label={isWeighing ? t`Hide the weights` : t`Write actual weights`}
          expanded={isWeighing}
          onPress={() => setIsWeighing(!isWeighing)}
          testID="weigh"
        />
        {next >= 0 ? (
          <Button tone="quiet" label={t`Stop this batch`} onPress={() => dispatch(makingEnded())} />
        ) : null}
      </View>
    </View>
  );
}

interface StepRowProps {
  readonly step: MethodStep;
  readonly index: number;
  readonly making: Making;
  readonly run: MakingRun;
  readonly isNext: boolean;
  /** Null where nothing is weighed. */
  readonly weigh: { readonly scale: Scale } | null;
  readonly children: React.ReactNode;
}

function StepRow({ step, index, making, run, isNext, weigh, children }: StepRowProps) {
  const dispatch = useAppDispatch();
  const isDone = run.done.includes(String(index));
  return (
    <View role="listitem" className={`border-t py-1 ${isNext ? 'border-rule' : 'border-line'}`}>
      <Tick
        checked={isDone}
        onChange={(done) => dispatch(stepDone({ id: String(index), done }))}
        label={step.text}
        testID={`step-${index}`}
      >
        <Text
          className={`text-body text-ink ${isNext ? 'font-strong' : 'font-text'} ${isDone ? 'line-through' : ''}`}
        >
          {step.text}
        </Text>
        {isDone ? null : children}
      </Tick>
      {weigh === null
        ? null
        : step.lines.map(({ line, name }) => (
            <ActualWeight
              key={line}
              line={line}
              name={name}
              wanted={making.lines[line]?.grams ?? 0}
              weighed={run.weighed[line]}
              scale={weigh.scale}
            />
          ))}
    </View>
  );
}

/** What an empty scale may show by trembling is no weight to take, g. */
const LEAST_WEIGHED_GRAMS = 0.5;
/** More is no home batch, g. */
const MOST_GRAMS = 20_000;

interface ActualWeightProps {
  readonly line: number;
  readonly name: string;
  readonly wanted: number;
  readonly weighed: number | undefined;
  readonly scale: Scale;
}

/** The weight that went in, typed or from the scale; an empty field counts as planned. */
function ActualWeight({ line, name, wanted, weighed, scale }: ActualWeightProps) {
  const dispatch = useAppDispatch();
  const [text, setText] = useState(weighed === undefined ? '' : String(rounded(weighed, 1)));
  const grams = numberFrom(text);
  const isBad = text.trim() !== '' && !(grams > 0 && grams <= MOST_GRAMS);
  const take = (taken: string) => {
    setText(taken);
    const value = numberFrom(taken);
    if (taken.trim() === '') dispatch(lineWeighed({ line, grams: null }));
    else if (value > 0 && value <= MOST_GRAMS) dispatch(lineWeighed({ line, grams: value }));
  };
  const { settled } = scale;
  return (
    <View className="flex-row flex-wrap items-end gap-2 pb-2 pl-9">
      <Field
        className="w-field-l"
        label={t`${name}, actual grams`}
        placeholder={String(rounded(wanted, 1))}
        numeric
        value={text}
        onChange={take}
        testID={`weigh-${line}`}
      />
      {settled !== null && settled >= LEAST_WEIGHED_GRAMS ? (
        <Button
          label={t`Take ${{ settled: rounded(settled, 1) }} g`}
          hint={t`Take ${{ settled: rounded(settled, 1) }} g from the scale for ${name}`}
          onPress={() => {
            take(String(rounded(settled, 1)));
            scale.tare();
          }}
          testID={`take-scale-${line}`}
        />
      ) : null}
      {isBad ? <Problem live>{t`Write grams, more than 0.`}</Problem> : null}
    </View>
  );
}
