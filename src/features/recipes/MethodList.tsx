import { t } from '@lingui/core/macro';
import { Text, View } from 'react-native';
import { errorText } from '@/core/kitchen/making';
import type { Method, MethodStep, MethodWarning } from '@/core/kitchen/methods';
import { Choice, Small } from '@/ui';
import { minutesText } from '../shared/treatmentWords';
import { toolWords } from './methodWords';
import { useMeasureBy } from './useMethod';

interface MethodListProps {
  readonly method: Method;
  readonly warnings: readonly MethodWarning[];
}

/** How it is made, to read: what was told, what is added beside it, where something would go wrong. */
export function MethodList({ method, warnings }: MethodListProps) {
  const isTold = method.steps.some(({ told }) => told);
  return (
    <View role="list" aria-label={t`Steps`} className="gap-1" testID="method">
      {method.steps.map((step, index) => (
        <View key={index} role="listitem" className="flex-row gap-3 border-t border-line py-2">
          <Text className="w-6 font-strong text-body text-ink">{index + 1}</Text>
          <View className="flex-1">
            <Text className="font-text text-body text-ink">{step.text}</Text>
            <StepNotes step={step} index={index} isAdded={isTold && !step.told} warnings={warnings} />
          </View>
        </View>
      ))}
    </View>
  );
}

interface StepNotesProps {
  readonly step: MethodStep;
  readonly index: number;
  readonly isAdded: boolean;
  readonly warnings: readonly MethodWarning[];
}

/** Under a step: its minutes, that it was added, how far a measure is off, and what would go wrong. */
export function StepNotes({ step, index, isAdded, warnings }: StepNotesProps) {
  const notes = [timeText(step), ...(isAdded ? [t`added`] : []), ...errorsOf(step)].filter(Boolean);
  return (
    <>
      {notes.length > 0 ? <Small>{notes.join(' · ')}</Small> : null}
      {warnings
        .filter((warning) => warning.step === index)
        .map(({ id, text, isMended }) =>
          isMended ? (
            <Small key={`${id} ${text}`}>{text}</Small>
          ) : (
            <Small key={`${id} ${text}`} className="text-danger">
              {t`Careful: ${text}`}
            </Small>
          ),
        )}
    </>
  );
}

/** "5 min, then 20 min of waiting" */
function timeText({ handsMinutes, waitMinutes }: MethodStep): string {
  if (waitMinutes === 0) return handsMinutes === 0 ? '' : minutesText(handsMinutes);
  if (handsMinutes === 0) return t`wait ${{ wait: minutesText(waitMinutes) }}`;
  return t`${{ hands: minutesText(handsMinutes) }}, then wait ${{ wait: minutesText(waitMinutes) }}`;
}

/** From so far off a measure is said to be, as a share. */
const NOTICED = 0.05;

function errorsOf({ lines }: MethodStep): string[] {
  return lines.flatMap(({ name, error }) => {
    const said = Math.abs(error) >= NOTICED ? errorText(error) : null;
    return said === null ? [] : [`${name} ${said}`];
  });
}

/** How long it takes, and what there is to wash up. */
export function MethodSums({ method }: { method: Method }) {
  const { totalMinutes, handsMinutes, washUp } = method;
  const tools = washUp.map((tool) => toolWords()[tool]).join(', ');
  return (
    <Small>
      {totalMinutes > handsMinutes
        ? t`${{ total: minutesText(totalMinutes) }}, ${{ hands: minutesText(handsMinutes) }} by hand. Wash up: ${{ tools }}.`
        : t`${{ total: minutesText(totalMinutes) }}. Wash up: ${{ tools }}.`}
    </Small>
  );
}

/** Her measures or a scale; a house without one is not asked. */
export function MeasureChoice() {
  const { by, canChoose, choose } = useMeasureBy();
  if (!canChoose) return null;
  return (
    <Choice
      label={t`Measured`}
      value={by}
      onChange={choose}
      options={[
        { value: 'own', label: t`in spoons, cups and pieces` },
        { value: 'scale', label: t`on a scale` },
      ]}
    />
  );
}
