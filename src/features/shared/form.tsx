import { t } from '@lingui/core/macro';
import {
  useController,
  type Control,
  type FieldErrors,
  type FieldPath,
  type FieldValues,
  type FormState,
  type Resolver,
} from 'react-hook-form';
import { View } from 'react-native';
import type { Measure, Result } from '@/core/base/measures';
import { Chip, DateField, Field, FieldGroup, LabelledChoice, Problem } from '@/ui';
import { useMeasured } from './useMeasured';

/**
 * Lets a form be checked by the core: a check that makes a record from a draft, or says what is wrong and where.
 * A problem of no one field is put under "root".
 */
export function resolverOf<Draft extends FieldValues>(
  check: (draft: Draft) => Result<unknown>,
): Resolver<Draft> {
  return (values) => {
    const result = check(values);
    if (result.ok) return { values, errors: {} };
    const errors: Record<string, unknown> = {};
    for (const { path, code, message } of result.problems)
      setDeep(errors, (path || 'root').split('.'), { type: code, message });
    return { values: {}, errors: errors as FieldErrors<Draft> };
  };
}

/** The first problem of a path stays. */
function setDeep(
  target: Record<string, unknown>,
  [key = 'root', ...rest]: string[],
  error: { type: string; message: string },
): void {
  if (rest.length === 0) {
    target[key] ??= error;
    return;
  }
  const inner = (target[key] ??= {}) as Record<string, unknown>;
  setDeep(inner, rest, error);
}

interface FormFieldProps<Draft extends FieldValues> {
  readonly control: Control<Draft>;
  readonly name: FieldPath<Draft>;
  readonly label: string;
  readonly spoken?: string;
  readonly help?: string;
  readonly placeholder?: string;
  readonly numeric?: boolean;
  readonly lines?: number;
  readonly testID?: string;
  readonly className?: string;
}

export function FormField<Draft extends FieldValues>({ control, name, ...rest }: FormFieldProps<Draft>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <Field
      {...rest}
      onField={field.ref}
      sends
      value={field.value as string}
      onChange={field.onChange}
      onBlur={field.onBlur}
      problem={fieldState.error?.message}
    />
  );
}

interface FormMeasureProps<Draft extends FieldValues> extends Omit<FormFieldProps<Draft>, 'numeric'> {
  readonly measure: Measure;
}

/** A length or a weight: shown and typed in her units, kept in centimetres or grams. */
export function FormMeasure<Draft extends FieldValues>({
  control,
  name,
  measure,
  ...rest
}: FormMeasureProps<Draft>) {
  const { field, fieldState } = useController({ control, name });
  const typed = useMeasured(measure, { value: field.value as string, onChange: field.onChange });
  return (
    <Field
      {...rest}
      {...typed}
      numeric
      onField={field.ref}
      sends
      onBlur={field.onBlur}
      problem={fieldState.error?.message}
    />
  );
}

/** A day; what stands there is a day or nothing. */
export function FormDate<Draft extends FieldValues>({
  control,
  name,
  label,
  testID,
}: Pick<FormFieldProps<Draft>, 'control' | 'name' | 'label' | 'testID'>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <DateField
      label={label}
      value={field.value as string}
      onChange={field.onChange}
      onBlur={field.onBlur}
      problem={fieldState.error?.message}
      testID={testID}
    />
  );
}

interface FormChoiceProps<Draft extends FieldValues> {
  readonly control: Control<Draft>;
  readonly name: FieldPath<Draft>;
  readonly label: string;
  readonly help?: string;
  readonly options: readonly {
    readonly value: string | number;
    readonly label: string;
    readonly hint?: string;
  }[];
}

/** A choice under its label. */
export function FormChoice<Draft extends FieldValues>({
  control,
  name,
  label,
  help,
  options,
}: FormChoiceProps<Draft>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <LabelledChoice<string | number>
      label={label}
      help={help}
      options={options}
      value={field.value as string | number | null}
      onChange={(value) => {
        field.onChange(value);
        // A choice is made in one tap: there is nothing to leave first.
        field.onBlur();
      }}
    >
      {fieldState.error?.message ? <Problem live>{fieldState.error.message}</Problem> : null}
    </LabelledChoice>
  );
}

interface FormTogglesProps<Draft extends FieldValues> {
  readonly control: Control<Draft>;
  readonly name: FieldPath<Draft>;
  readonly label: string;
  readonly help?: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}

/** Any number of a few. */
export function FormToggles<Draft extends FieldValues>({
  control,
  name,
  label,
  help,
  options,
}: FormTogglesProps<Draft>) {
  const { field } = useController({ control, name });
  const chosen = (field.value ?? []) as readonly string[];
  const toggle = (value: string) =>
    field.onChange(chosen.includes(value) ? chosen.filter((other) => other !== value) : [...chosen, value]);
  return (
    <FieldGroup label={label} help={help}>
      <View className="flex-row flex-wrap gap-2">
        {options.map(({ value, label: words }) => (
          <Chip
            key={value}
            label={words}
            hint={`${label}: ${words}`}
            pressed={chosen.includes(value)}
            onPress={() => toggle(value)}
          />
        ))}
      </View>
    </FieldGroup>
  );
}

/** Said below a form that was sent and did not hold. */
export function NotSavedYet({ state }: { state: Pick<FormState<FieldValues>, 'isSubmitted' | 'isValid'> }) {
  if (!state.isSubmitted || state.isValid) return null;
  return <Problem live>{t`Not saved yet: see the marked fields.`}</Problem>;
}
