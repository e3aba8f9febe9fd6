import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import type { CalendarDay } from '@/core/base/measures';
import { Choice, FieldGroup } from '@/ui';
import { FormDate } from '../shared/form';

interface DayFieldProps<Draft extends FieldValues> {
  readonly control: Control<Draft>;
  readonly name: FieldPath<Draft>;
  readonly today: CalendarDay;
  readonly yesterday: CalendarDay;
}

const ANOTHER = 'another';

/** Today or yesterday in one tap; any other day is written. */
export function DayField<Draft extends FieldValues>({
  control,
  name,
  today,
  yesterday,
}: DayFieldProps<Draft>) {
  const { field } = useController({ control, name });
  const [isOther, setIsOther] = useState(() => field.value !== today && field.value !== yesterday);
  return (
    <FieldGroup label={t`Day`}>
      <Choice<string>
        label={t`Day`}
        options={[
          { value: today, label: t`today` },
          { value: yesterday, label: t`yesterday` },
          { value: ANOTHER, label: t`another day` },
        ]}
        value={isOther ? ANOTHER : (field.value as string)}
        onChange={(day) => {
          setIsOther(day === ANOTHER);
          if (day !== ANOTHER) field.onChange(day);
        }}
      />
      {isOther ? <FormDate control={control} name={name} label={t`Which day`} testID="reading-day" /> : null}
    </FieldGroup>
  );
}
