import { inWords } from '@/core/base/language';
import { verdictHeadline, type Verdict } from '@/core/recipe/classification';
import { savedLine, type Larder } from '@/core/recipe/larder';
import { parseRecipe } from '@/core/recipe/parsing';
import { isChild, judge } from '@/core/recipe/safety';
import type { Head, RecipeVersion } from '@/core/records/shapes';
import starterList from '../../../data/starters.json';

/** A recipe out of an ordinary kitchen, to have something to plan with on the first day. */
export interface Starter {
  readonly id: string;
  readonly needs: string;
  readonly version: Omit<RecipeVersion, 'id' | 'recordedAt'>;
  readonly verdict: Verdict;
  /** "Moisture, fairly strong" */
  readonly says: string;
}

/** Those that this head may take; what it reacts to is not offered. */
export function startersFor(head: Head, larder: Larder): Starter[] {
  return starterList.flatMap(({ id, name, use, contactMinutes, warmth, needs, lines }): Starter[] => {
    const text = lines.map(inWords).join('\n');
    const parsed = parseRecipe(text, { larder });
    if (!parsed.ok) return [];
    const saved = parsed.value.lines.map((line) => savedLine(line, text));
    const judged = judge(saved, head, larder);
    if (!judged.ok || judged.value.stops.length > 0) return [];
    const { verdict } = judged.value;
    return [
      {
        id,
        needs: inWords(needs),
        verdict,
        says: verdictHeadline(verdict),
        version: {
          kind: 'recipe',
          recipeId: id,
          version: 1,
          name: inWords(name),
          text,
          use: use as RecipeVersion['use'],
          contactMinutes,
          warmth: warmth as RecipeVersion['warmth'],
          lines: saved,
        },
      },
    ];
  });
}

/** What is chosen before she says anything: one moisture, one light protein and an oil; no protein for hair like straw. */
export function suggested(head: Head, starters: readonly Starter[]): string[] {
  const first = (is: (starter: Starter) => boolean) => starters.filter(is).slice(0, 1);
  const takesProtein = !head.complaints.includes('stiff') && !head.proteinSensitive && !isChild(head);
  return [
    ...first(({ verdict, version }) => version.use === 'mask' && verdict.kind === 'moisture'),
    ...(takesProtein ? first(({ verdict }) => verdict.kind === 'protein') : []),
    ...first(({ version }) => version.use === 'pre-poo'),
  ].map(({ id }) => id);
}
