import { Pressable, Text } from 'react-native';

interface ButtonProps {
  readonly label: string;
  readonly onPress: () => void;
  /** main: the one action of a screen; plain: beside it; quiet: in a line of text. */
  readonly tone?: 'main' | 'plain' | 'quiet';
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  readonly expanded?: boolean;
  /** Says more than the label where the label is short. */
  readonly hint?: string;
  readonly testID?: string;
  readonly className?: string;
}

const BOX = {
  main: 'bg-ink px-6 py-3',
  plain: 'border-2 border-line bg-raised px-4 py-2',
  pressed: 'border-2 border-ink bg-lane px-4 py-2',
  quiet: 'py-2',
} as const;

const TEXT = {
  main: 'font-strong text-lead text-paper',
  plain: 'font-strong text-body text-ink',
  quiet: 'font-strong text-body text-link',
} as const;

export function Button({
  label,
  onPress,
  tone = 'plain',
  disabled = false,
  pressed,
  expanded,
  hint,
  testID,
  className = '',
}: ButtonProps) {
  return (
    <Pressable
      role="button"
      aria-label={hint ?? label}
      aria-pressed={pressed}
      aria-expanded={expanded}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      className={`min-h-target min-w-target max-w-full items-center justify-center rounded-2xl ${BOX[pressed ? 'pressed' : tone]} ${disabled ? 'opacity-50' : 'active:opacity-80'} ${className}`}
    >
      <Text className={`text-center ${TEXT[tone]}`}>{label}</Text>
    </Pressable>
  );
}
