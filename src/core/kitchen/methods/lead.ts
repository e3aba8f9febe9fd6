import { rounded, sum } from '../../base/measures';
import type { Larder } from '../../recipe/larder';
import type { RecipeVersion } from '../../records/shapes';
import { methodOfRecipe, shownMethod } from './method';

/** Something that must be begun this many hours before the treatment goes on. */
export interface LeadTask {
  readonly text: string;
  readonly leadHours: number;
}

/** Shorter waits belong to the making itself, minutes. */
const WORTH_A_TASK_MINUTES = 20;
/** Lead times are said in steps of so many minutes. */
const STEP_MINUTES = 5;
const TEXT_CHARACTERS = 80;

/** What a recipe takes ahead of its day: what has to be begun, and the minutes of hands of all of it. */
export function leadTasksOf(
  recipe: Pick<RecipeVersion, 'lines' | 'method' | 'arranged'>,
  larder: Larder,
): { readonly tasks: LeadTask[]; readonly handsMinutes: number } {
  const steps = methodOfRecipe(recipe, larder);
  const { steps: shown, handsMinutes } = shownMethod(steps, recipe.lines, larder, {
    factor: 1,
    hasScale: false,
  });
  const tasks = shown.flatMap(({ text, waitMinutes }, index): LeadTask[] => {
    const deeds = steps[index]?.deeds;
    const waits = deeds?.includes('soak') === true || deeds?.includes('boil') === true;
    if (!waits || waitMinutes < WORTH_A_TASK_MINUTES) return [];
    const ahead = sum(shown.slice(index).map((step) => step.handsMinutes + step.waitMinutes));
    return [
      { text: shortened(text), leadHours: rounded((Math.ceil(ahead / STEP_MINUTES) * STEP_MINUTES) / 60, 2) },
    ];
  });
  return { tasks, handsMinutes };
}

function shortened(text: string): string {
  const plain = text.replace(/[.\s]+$/, '');
  if (plain.length <= TEXT_CHARACTERS) return plain;
  return `${plain.slice(0, plain.lastIndexOf(' ', TEXT_CHARACTERS)).replace(/[,;\s]+$/, '')} …`;
}
