import { useId } from 'react';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { Problem, Small } from '@/ui';

interface DateFieldProps<Draft extends FieldValues> {
  readonly control: Control<Draft>;
  readonly name: FieldPath<Draft>;
  readonly label: string;
  readonly testID?: string;
}

/** A day out of the browser's own calendar; typed or picked, it is always a day. */
export function DateField<Draft extends FieldValues>({
  control,
  name,
  label,
  testID,
}: DateFieldProps<Draft>) {
  const { field, fieldState } = useController({ control, name });
  const id = useId();
  const problem = fieldState.error?.message;
  return (
    <View className="gap-1">
      <Small className="text-ink">{label}</Small>
      <input
        type="date"
        aria-label={label}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? id : undefined}
        value={field.value as string}
        onChange={(event) => field.onChange(event.target.value)}
        onBlur={field.onBlur}
        data-testid={testID}
        className={`min-h-target w-[170px] rounded-xl border-2 bg-raised px-3 py-2 font-text text-body text-ink ${
          problem ? 'border-danger' : 'border-line'
        }`}
      />
      {problem ? (
        <Problem nativeID={id} live>
          {problem}
        </Problem>
      ) : null}
    </View>
  );
}
