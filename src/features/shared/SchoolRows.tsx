import type { PlanChoices } from '@/core/plan/agenda';
import { Choice } from '@/ui';
import { OpenLine } from '@/ui/OpenLine';
import { schoolChoices } from './schoolChoices';
import { SchoolSides } from './SchoolSides';

interface SchoolRowsProps {
  readonly choices: PlanChoices;
  readonly change: (changed: Partial<PlanChoices>, said: string) => void;
  /** Which of them; all where it is not given. */
  readonly schools?: ReturnType<typeof schoolChoices>;
}

/** What makers disagree on, a line each with what counts here; opened, both sides in a sentence. */
export function SchoolRows({ choices, change, schools = schoolChoices() }: SchoolRowsProps) {
  return schools.map(({ key, label, options }) => (
    <OpenLine
      key={key}
      title={label}
      value={options.find(({ value }) => value === choices[key])?.label ?? choices[key]}
      testID={`school-${key}`}
    >
      <Choice<string>
        label={label}
        options={options}
        value={choices[key]}
        onChange={(value) =>
          change(
            { [key]: value },
            `${label}: ${options.find((each) => each.value === value)?.label ?? value}.`,
          )
        }
      />
      <SchoolSides<string>
        sides={options.map(({ hint, ...option }) => ({ ...option, meaning: hint }))}
        inForce={choices[key]}
      />
    </OpenLine>
  ));
}
