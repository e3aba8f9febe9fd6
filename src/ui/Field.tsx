import { useId, type ReactNode } from 'react';
import { TextInput, View } from 'react-native';
import { Problem, Small, Strong } from './Text';

interface FieldProps {
  readonly label: string;
  /** The label as a screen reader says it, where the shown one leans on what stands around it. */
  readonly spoken?: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly help?: string;
  readonly placeholder?: string;
  readonly numeric?: boolean;
  readonly lines?: number;
  readonly testID?: string;
  readonly className?: string;
}

/** Its edge says that something is wrong with it. */
export const fieldBox = (problem: string | undefined): string =>
  `min-h-target rounded-xl border-2 bg-raised px-3 py-2 font-text text-body text-ink ${problem ? 'border-danger' : 'border-edge'}`;

interface FieldFrameProps extends Pick<FieldProps, 'label' | 'problem' | 'help' | 'className'> {
  /** Of what is wrong, for `aria-describedby`. */
  readonly problemId: string;
  readonly children: ReactNode;
}

/** The label above a field, and below it what is wrong, or else what helps. */
export function FieldFrame({ label, problem, help, problemId, className = '', children }: FieldFrameProps) {
  return (
    <View className={`gap-1 ${className}`}>
      <Small className="text-ink">{label}</Small>
      {children}
      {problem ? (
        <Problem nativeID={problemId} live>
          {problem}
        </Problem>
      ) : help ? (
        <Small>{help}</Small>
      ) : null}
    </View>
  );
}

/** A text field with its label above and what is wrong below. */
export function Field(props: FieldProps) {
  const { label, value, onChange, onBlur, problem, placeholder, numeric = false, lines = 1, testID } = props;
  const id = useId();
  return (
    <FieldFrame {...props} problemId={id}>
      <TextInput
        aria-label={props.spoken ?? label}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? id : undefined}
        value={value}
        onChangeText={onChange}
        onBlur={onBlur}
        placeholder={placeholder}
        placeholderTextColor="var(--soft-ink)"
        inputMode={numeric ? 'decimal' : 'text'}
        multiline={lines > 1}
        numberOfLines={lines > 1 ? lines : undefined}
        autoComplete="off"
        autoCorrect={false}
        spellCheck={false}
        testID={testID}
        className={`w-full ${fieldBox(problem)}`}
      />
    </FieldFrame>
  );
}

/** A labelled group of controls. */
export function FieldGroup({
  label,
  help,
  children,
}: {
  label: string;
  help?: string | undefined;
  children: ReactNode;
}) {
  return (
    <View role="group" aria-label={label} className="max-w-full gap-2">
      <Strong>{label}</Strong>
      {help ? <Small>{help}</Small> : null}
      {children}
    </View>
  );
}
