import { rounded } from '../../base/measures';
import { preparationMinutes } from '../ingredients';
import type { WeighedLine } from './weighedLine';

/** Something that must be begun this many hours before the treatment goes on. */
export interface LeadTask {
  readonly text: string;
  readonly leadHours: number;
}

/** Shorter preparations belong to the making itself, minutes. */
const WORTH_A_TASK_MINUTES = 20;

/** What has to be prepared ahead, the earliest first. Lines with the same start are told apart by ingredient. */
export function stepsBefore(lines: readonly Pick<WeighedLine, 'ingredient' | 'preparation'>[]): LeadTask[] {
  const tasks = lines.flatMap(({ ingredient, preparation }): LeadTask[] => {
    const minutes = preparation ? preparationMinutes(preparation) : 0;
    if (!preparation || minutes < WORTH_A_TASK_MINUTES) return [];
    return [
      {
        text: `${capitalised(ingredient.name)}: ${preparation.label}`,
        leadHours: rounded(minutes / 60, 2),
      },
    ];
  });
  return tasks.sort((a, b) => b.leadHours - a.leadHours);
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
