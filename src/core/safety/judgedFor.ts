import { classifyLines, type School, type Verdict } from '../classification';
import { ok, type Result } from '../measures';
import { weighedLines, type Larder, type RecipeVersion, type WeighedLine } from '../recipes';
import { stopsFor, type Caution, type WhoseHead } from './cautions';

/** A recipe as it stands for one head. */
export interface JudgedRecipe {
  readonly lines: readonly WeighedLine[];
  readonly verdict: Verdict;
  /** What forbids it on this head; none where it may go on. */
  readonly stops: readonly Caution[];
}

/**
 * A recipe weighed, judged by the school of this head, and looked at for what forbids it there.
 * @returns a problem when no line could be weighed, or the recipe is made of itself
 */
export function judgedFor(
  recipe: Pick<RecipeVersion, 'lines'>,
  head: WhoseHead & { readonly school: School },
  larder: Larder,
): Result<JudgedRecipe> {
  const weighed = weighedLines(recipe.lines, larder);
  if (!weighed.ok) return weighed;
  const verdict = classifyLines(weighed.value, head.school);
  if (!verdict.ok) return verdict;
  const texts = recipe.lines.map(({ text }) => text);
  return ok({
    lines: weighed.value,
    verdict: verdict.value,
    stops: stopsFor(weighed.value, verdict.value, head, texts),
  });
}
