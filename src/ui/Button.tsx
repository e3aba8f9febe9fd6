import type { ReactNode } from 'react';
import { Pressable, Text } from 'react-native';

interface PressProps {
  readonly onPress?: () => void;
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  readonly expanded?: boolean;
  readonly testID?: string;
  readonly className?: string;
}

/** How tall at least; one class, since of two the order of the style sheet would decide. */
const TALL = {
  target: 'min-h-target',
  wet: 'min-h-wet',
  row: 'min-h-row',
  action: 'min-h-action',
  pad: 'min-h-pad',
} as const;

/** Enter in a field above presses it; it is no use on paper. */
const dataOf = (sends: boolean, screenOnly: boolean) =>
  ({ dataSet: { ...(sends ? { sends: '' } : {}), ...(screenOnly ? { screenOnly: '' } : {}) } }) as object;

interface ButtonBoxProps extends PressProps {
  readonly tall?: keyof typeof TALL;
  /** What it is called, where its content does not say so. */
  readonly label?: string;
  readonly width?: `${number}%`;
  /** Enter in a field above it presses it. */
  readonly sends?: boolean;
  /** Not on paper. */
  readonly screenOnly?: boolean;
  readonly children: ReactNode;
}

/** Whatever is tapped and looks like none of the usual buttons: a line, a day, a large field to count on. */
export function ButtonBox({
  label,
  onPress,
  disabled = false,
  pressed,
  expanded,
  testID,
  width,
  tall = 'target',
  sends = false,
  screenOnly = false,
  className = '',
  children,
}: ButtonBoxProps) {
  return (
    <Pressable
      {...dataOf(sends, screenOnly)}
      role="button"
      aria-label={label}
      aria-pressed={pressed}
      aria-expanded={expanded}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      style={width ? { width } : undefined}
      className={`${TALL[tall]} active:opacity-80 ${className}`}
    >
      {children}
    </Pressable>
  );
}

interface ButtonProps extends PressProps {
  readonly label: string;
  readonly onPress: () => void;
  /**
   * main: the one action of a screen; plain: beside it; quiet: in a line of text; huge and wet: the same two for wet
   * hands and two metres' distance.
   */
  readonly tone?: keyof typeof BOX;
  /** Says more than the label where the label is short. */
  readonly hint?: string;
  /** A second line below the label of a huge one. */
  readonly note?: string;
}

const BOX = {
  main: 'rounded-2xl bg-ink px-6 py-3',
  plain: 'rounded-2xl border-2 border-edge bg-raised px-4 py-2',
  quiet: 'rounded-2xl py-2 forced-colors:px-2',
  huge: 'rounded-3xl bg-ink px-4',
  wet: 'rounded-2xl border-2 border-edge px-4',
} as const;

const TEXT = {
  main: 'font-strong text-lead text-paper',
  plain: 'font-strong text-body text-ink',
  quiet: 'font-strong text-body text-link',
  huge: 'font-head text-action text-paper',
  wet: 'font-strong text-lead text-ink',
} as const;

/** What is said of a button begins with what stands on it: who speaks to the page says what is seen (WCAG 2.5.3). */
const spokenName = (label: string, hint: string): string =>
  hint.toLowerCase().startsWith(label.toLowerCase()) ? hint : `${label}: ${hint}`;

export function Button({ label, hint, note, tone = 'plain', className = '', ...press }: ButtonProps) {
  return (
    <ButtonBox
      {...press}
      sends={tone === 'main'}
      screenOnly
      tall={tone === 'huge' ? 'action' : tone === 'wet' ? 'wet' : 'target'}
      label={hint ? spokenName(label, hint) : note ? undefined : label}
      className={`min-w-target max-w-full items-center justify-center ${BOX[tone]} ${press.disabled ? 'opacity-50' : ''} ${className}`}
    >
      <Text className={`text-center ${TEXT[tone]}`}>{label}</Text>
      {note ? <Text className="text-center font-text text-body text-paper">{note}</Text> : null}
    </ButtonBox>
  );
}

/** What one of several looks like, chosen or not: a chip, an option of a choice. */
export const chipBox = (isChosen: boolean): string =>
  isChosen ? 'border-2 border-ink bg-zone' : 'border-2 border-edge bg-raised';

/** On or off, alone or any number of a few. */
export function Chip({
  label,
  hint,
  pressed,
  className = '',
  ...press
}: Omit<ButtonProps, 'tone' | 'note'> & { readonly pressed: boolean }) {
  return (
    <ButtonBox
      {...press}
      pressed={pressed}
      label={hint ? spokenName(label, hint) : label}
      className={`min-w-target max-w-full items-center justify-center rounded-2xl px-4 py-2 ${chipBox(pressed)} ${className}`}
    >
      <Text className={`text-center ${TEXT.plain}`}>{label}</Text>
    </ButtonBox>
  );
}
