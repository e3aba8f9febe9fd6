import { ingredientById } from '../ingredients';
import type { ReadLine } from './parsedLine';

/** Something that must be begun this many hours before the treatment goes on. */
export interface LeadTask {
  readonly text: string;
  readonly leadHours: number;
}

/** What has to be prepared ahead, the earliest first. Lines with the same start are told apart by ingredient. */
export function stepsBefore(lines: readonly Pick<ReadLine, 'ingredientId' | 'preparationId'>[]): LeadTask[] {
  const tasks = lines.flatMap((line): LeadTask[] => {
    const ingredient = ingredientById(line.ingredientId);
    const preparation = ingredient?.preparations.find(({ id }) => id === line.preparationId);
    if (!ingredient || !preparation || preparation.leadHours === 0) return [];
    return [
      { text: `${capitalised(ingredient.name)}: ${preparation.label}`, leadHours: preparation.leadHours },
    ];
  });
  return tasks.sort((a, b) => b.leadHours - a.leadHours);
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
