import type { PlanChoices } from '@/core/plan/agenda';
import { LabelledChoice } from '@/ui';
import { schoolChoices } from './schoolChoices';
import { SchoolSides } from './SchoolSides';

interface SchoolRowsProps {
  readonly choices: PlanChoices;
  readonly change: (changed: Partial<PlanChoices>, said: string) => void;
}

/** What makers disagree on: what is in force, with its sentence, and the other side one tap away. */
export function SchoolRows({ choices, change }: SchoolRowsProps) {
  return schoolChoices().map(({ key, label, options }) => (
    <LabelledChoice<string>
      key={key}
      label={label}
      options={options}
      value={choices[key]}
      onChange={(value) =>
        change({ [key]: value }, `${label}: ${options.find((each) => each.value === value)?.label ?? value}.`)
      }
    >
      <SchoolSides<string>
        sides={options.map(({ hint, ...option }) => ({ ...option, meaning: hint }))}
        inForce={choices[key]}
      />
    </LabelledChoice>
  ));
}
