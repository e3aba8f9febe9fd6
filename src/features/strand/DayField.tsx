import { useState } from 'react';
import { useController, type Control } from 'react-hook-form';
import type { CalendarDay } from '@/core/measures';
import type { ReadingDraft } from '@/core/readings';
import { Choice, FieldGroup } from '@/ui';
import { FormField } from '../shared/form';

interface DayFieldProps {
  readonly control: Control<ReadingDraft>;
  readonly today: CalendarDay;
  readonly yesterday: CalendarDay;
}

const ANOTHER = 'another';

/** Today or yesterday in one tap; any other day is written. */
export function DayField({ control, today, yesterday }: DayFieldProps) {
  const { field } = useController({ control, name: 'day' });
  const [isOther, setIsOther] = useState(false);
  return (
    <FieldGroup label="Day">
      <Choice
        label="Day"
        options={[
          { value: today as string, label: 'today' },
          { value: yesterday as string, label: 'yesterday' },
          { value: ANOTHER, label: 'another day' },
        ]}
        value={isOther ? ANOTHER : field.value}
        onChange={(day) => {
          setIsOther(day === ANOTHER);
          if (day !== ANOTHER) field.onChange(day);
        }}
      />
      {isOther ? (
        <FormField
          control={control}
          name="day"
          label="Day, as YYYY-MM-DD"
          className="w-[160px]"
          testID="reading-day"
        />
      ) : null}
    </FieldGroup>
  );
}
