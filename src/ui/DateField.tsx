import { useId } from 'react';
import { fieldBox, FieldFrame } from './Field';

interface DateFieldProps {
  readonly label: string;
  /** YYYY-MM-DD, or empty. */
  readonly value: string;
  readonly onChange: (day: string) => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly testID?: string;
}

/** A day out of the browser's own calendar; typed or picked, it is a day or nothing. */
export function DateField({ label, value, onChange, onBlur, problem, testID }: DateFieldProps) {
  const id = useId();
  return (
    <FieldFrame label={label} problem={problem} noteId={id}>
      <input
        type="date"
        aria-label={label}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? id : undefined}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onBlur={onBlur}
        data-testid={testID}
        className={`w-field-l ${fieldBox(problem)}`}
      />
    </FieldFrame>
  );
}
