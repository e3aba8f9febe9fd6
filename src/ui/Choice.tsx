import * as RadioGroup from '@rn-primitives/radio-group';
import type { ReactNode } from 'react';
import { Text } from 'react-native';
import { chipBox } from './Button';
import { FieldGroup } from './Field';

interface ChoiceProps<Value> {
  readonly label: string;
  readonly options: readonly { readonly value: Value; readonly label: string; readonly hint?: string }[];
  readonly value: Value | null;
  readonly onChange: (value: Value) => void;
  readonly testID?: string;
}

/** The space bar takes what has the focus: the press of the element beneath knows it of buttons alone. */
function onSpace(take: () => void): object {
  return {
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key !== ' ') return;
      event.preventDefault();
      take();
    },
  };
}

/** One of a few, all in sight; arrow keys go through them, the space bar takes one. */
export function Choice<Value extends string | number>({
  label,
  options,
  value,
  onChange,
  testID,
}: ChoiceProps<Value>) {
  // The group underneath knows texts only.
  const choose = (text: string) => {
    const option = options.find((known) => String(known.value) === text);
    if (option) onChange(option.value);
  };
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value === null ? undefined : String(value)}
      onValueChange={choose}
      testID={testID}
      className="flex-row flex-wrap gap-2"
    >
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <RadioGroup.Item
            key={option.value}
            value={String(option.value)}
            aria-label={option.hint ? `${option.label}: ${option.hint}` : option.label}
            {...onSpace(() => onChange(option.value))}
            className={`min-h-target max-w-full justify-center rounded-2xl px-3 py-2 ${chipBox(chosen)}`}
          >
            <Text className={`${chosen ? 'font-strong' : 'font-text'} text-body text-ink`}>
              {option.label}
            </Text>
          </RadioGroup.Item>
        );
      })}
    </RadioGroup.Root>
  );
}

interface LabelledChoiceProps<Value> extends ChoiceProps<Value> {
  readonly help?: string | undefined;
  /** What stands under the options. */
  readonly children?: ReactNode;
}

/** A choice under its label. */
export function LabelledChoice<Value extends string | number>({
  help,
  children,
  ...choice
}: LabelledChoiceProps<Value>) {
  return (
    <FieldGroup label={choice.label} help={help}>
      <Choice {...choice} />
      {children}
    </FieldGroup>
  );
}
