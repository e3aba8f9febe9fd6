import * as Checkbox from '@rn-primitives/checkbox';
import type { ReactNode } from 'react';
import { Text, View } from 'react-native';

interface TickProps {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly disabled?: boolean;
  /** What a screen reader says. */
  readonly label: string;
  readonly children: ReactNode;
  readonly testID?: string;
}

/** A row that is ticked off as a whole. */
export function Tick({ checked, onChange, disabled = false, label, children, testID }: TickProps) {
  return (
    <Checkbox.Root
      checked={checked}
      onCheckedChange={onChange}
      disabled={disabled}
      aria-label={label}
      testID={testID}
      className={`min-h-target flex-row items-start gap-3 py-2 ${disabled ? 'opacity-60' : ''}`}
    >
      <View
        className={`mt-0.5 h-6 w-6 items-center justify-center rounded-md border-2 border-ink ${checked ? 'bg-ink' : 'bg-raised'}`}
      >
        <Text className="font-strong text-small text-paper">{checked ? '✓' : ''}</Text>
      </View>
      <View className="flex-1">{children}</View>
    </Checkbox.Root>
  );
}
