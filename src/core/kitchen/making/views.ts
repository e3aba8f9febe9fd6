import { t } from '@lingui/core/macro';
import { rounded, type View } from '../../base/measures';
import { readLines, type Larder, type ParsedRecipe, type ReadLine } from '../../recipe/larder';
import { lineInView } from './lineInView';
import { percentsOf } from './scale';

/**
 * The text of a recipe with every amount written in one view; notes and what is not understood stay as they are. Read
 * again it weighs the same, but for the rounding of spoons and percents.
 */
export function rewriteIn(view: View, recipe: ParsedRecipe, larder: Larder): string {
  const read = readLines(recipe);
  const percents = percentsOf(read.map((line) => line.grams));
  const total = read.reduce((sum, line) => sum + line.grams, 0);
  let next = 0;
  return recipe.lines
    .map((line) => {
      if (line.status !== 'read') return line.text;
      const percent = percents[next++] ?? 0;
      return lineIn(view, line, percent, total, larder);
    })
    .join('\n');
}

function lineIn(view: View, line: ReadLine, percent: number, total: number, larder: Larder): string {
  const name = lineInView(line, larder);
  if (view === 'percent')
    return t`${{ percent: rounded(total === 0 ? 0 : percent, 2) }}% ${{ name: name.words }}`;
  if (view === 'grams')
    return t`${{ grams: rounded(line.grams, line.grams < 10 ? 2 : 1) }} g ${{ name: name.words }}`;
  return `${name.spoons.text} ${name.words}`;
}
