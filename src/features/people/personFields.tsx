import { t } from '@lingui/core/macro';
import type { Control } from 'react-hook-form';
import { View } from 'react-native';
import { unitShown } from '@/core/base/measures';
import { AGE_BANDS, HEALTH } from '@/core/records/shapes';
import { selectPrefs, useAppSelector, type HeadDraft } from '@/store';
import { FieldGroup } from '@/ui';
import { allergyOptions } from '../shared/allergyOptions';
import { FormChoice, FormField, FormMeasure, FormToggles } from '../shared/form';
import { ageWords, complaintOptions, healthWords } from '../shared/headWords';
import { weekdaysFrom } from '../shared/weekdays';

interface PartProps {
  readonly control: Control<HeadDraft>;
}

export function NameField({ control }: PartProps) {
  return (
    <FormField control={control} name="name" label={t`Name`} className="w-field-xl" testID="head-name" />
  );
}

export function LengthField({ control }: PartProps) {
  return (
    <FormMeasure
      control={control}
      name="lengthCm"
      measure="length"
      label={t`Length, ${{ unit: unitShown('length') }}`}
      className="w-field-s"
      testID="head-length"
    />
  );
}

export function ComplaintField({ control }: PartProps) {
  return (
    <FormToggles
      control={control}
      name="complaints"
      label={t`What troubles you about it?`}
      help={t`The first is where every answer begins. Change it whenever it changes.`}
      options={complaintOptions()}
    />
  );
}

/** What keeps recipes away from somebody. */
export function SafetyFields({ control }: PartProps) {
  return (
    <>
      <FormChoice
        control={control}
        name="ageBand"
        label={t`Age`}
        help={t`Children get no strong protein and no essential oil.`}
        options={AGE_BANDS.map((value) => ({ value, label: ageWords()[value] }))}
      />
      <FormToggles
        control={control}
        name="allergies"
        label={t`Reacts to`}
        help={t`A recipe that has it in is stopped for this person.`}
        options={allergyOptions()}
      />
      <FormToggles
        control={control}
        name="health"
        label={t`To mind`}
        help={t`Cautions follow from it; a doctor knows more.`}
        options={HEALTH.map((value) => ({ value, label: healthWords()[value] }))}
      />
    </>
  );
}

/** Weekdays in the order that she reads them in. */
function useWeekdays() {
  return weekdaysFrom(useAppSelector(selectPrefs).weekStart);
}

interface WeekdayFieldsProps {
  readonly control: Control<HeadDraft>;
  readonly name: 'free' | 'from';
  readonly label: string;
  readonly help: string;
}

function WeekdayFields({ control, name, label, help }: WeekdayFieldsProps) {
  return (
    <FieldGroup label={label} help={help}>
      <View className="flex-row flex-wrap gap-2">
        {useWeekdays().map(({ label: day, index }) => (
          <FormField
            key={day}
            control={control}
            name={`${name}.${index}`}
            testID={`${name}-${index}`}
            label={day}
            numeric
            className="w-column-xs"
          />
        ))}
      </View>
    </FieldGroup>
  );
}

/** When there is time. */
export function DayFields({ control }: PartProps) {
  const weekdays = useWeekdays();
  return (
    <>
      <WeekdayFields
        control={control}
        name="free"
        label={t`Free minutes on each day`}
        help={t`Waiting time included; 0 where there is no time to wash.`}
      />
      <WeekdayFields
        control={control}
        name="from"
        label={t`A wash may begin at`}
        help={t`The hour, 0 to 23: what has to soak is counted back from it.`}
      />
      <FormToggles
        control={control}
        name="nights"
        label={t`Evenings at home`}
        help={t`When something may be set to soak, or put on for the night.`}
        options={weekdays.map(({ label, index }) => ({ value: String(index), label }))}
      />
    </>
  );
}
