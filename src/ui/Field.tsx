import { useId, type ReactNode, type RefCallback } from 'react';
import { TextInput, View } from 'react-native';
import { pressSave } from './pressSave';
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
  /** For a form that brings whoever fills it in to the first field that is wrong. */
  readonly onField?: RefCallback<TextInput>;
  /** Belongs to a form: Enter sends it. */
  readonly sends?: boolean;
}

/** Its edge says that something is wrong with it. */
export const fieldBox = (problem: string | undefined): string =>
  `min-h-target rounded-xl border-2 bg-raised px-3 py-2 font-text text-body text-ink ${problem ? 'border-danger' : 'border-edge'}`;

interface FieldFrameProps extends Pick<FieldProps, 'label' | 'problem' | 'help' | 'className'> {
  /** Of what is wrong, or else of what helps, for `aria-describedby`. */
  readonly noteId: string;
  readonly children: ReactNode;
}

/** The label above a field, and below it what is wrong, or else what helps. */
export function FieldFrame({ label, problem, help, noteId, className = '', children }: FieldFrameProps) {
  return (
    <View className={`gap-1 ${className}`}>
      <Small className="text-ink">{label}</Small>
      {children}
      {problem ? (
        <Problem nativeID={noteId} live>
          {problem}
        </Problem>
      ) : help ? (
        <Small nativeID={noteId}>{help}</Small>
      ) : null}
    </View>
  );
}

/** A text field with its label above and what is wrong below. */
export function Field(props: FieldProps) {
  const { label, value, onChange, onBlur, onField, problem, placeholder, numeric = false } = props;
  const { lines = 1, testID, spoken, help, sends = false } = props;
  const id = useId();
  return (
    <FieldFrame {...props} noteId={id}>
      <TextInput
        ref={onField}
        onSubmitEditing={sends && lines === 1 ? ({ target }) => pressSave(target) : undefined}
        aria-label={spoken ?? label}
        aria-invalid={problem ? true : undefined}
        aria-describedby={(problem ?? help) ? id : undefined}
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
  const id = useId();
  return (
    <View
      role="group"
      aria-label={label}
      aria-describedby={help ? id : undefined}
      className="max-w-full gap-2"
    >
      <Strong>{label}</Strong>
      {help ? <Small nativeID={id}>{help}</Small> : null}
      {children}
    </View>
  );
}
