import starterList from '../../../data/starters.json';
import { classifyLines, verdictHeadline, type Verdict } from '@/core/classification';
import type { Head } from '@/core/hair';
import { parseRecipe } from '@/core/parsing';
import { savedLine, weighedLines, type Larder, type RecipeVersion } from '@/core/recipes';
import { cautionsFor } from '@/core/safety';

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
    const text = lines.join('\n');
    const parsed = parseRecipe(text, { larder });
    const weighed = parsed.ok && weighedLines(parsed.value.lines.map(savedLine), larder);
    const verdict = weighed && weighed.ok && classifyLines(weighed.value, head.school);
    if (!parsed.ok || !weighed || !weighed.ok || !verdict || !verdict.ok) return [];
    if (cautionsFor(weighed.value, verdict.value, head, lines).some(({ level }) => level === 'stop'))
      return [];
    return [
      {
        id,
        needs,
        verdict: verdict.value,
        says: verdictHeadline(verdict.value),
        version: {
          kind: 'recipe',
          recipeId: id,
          version: 1,
          name,
          text,
          use: use as RecipeVersion['use'],
          contactMinutes,
          warmth: warmth as RecipeVersion['warmth'],
          lines: parsed.value.lines.map(savedLine),
        },
      },
    ];
  });
}

/** What is chosen before she says anything: one moisture, one light protein and an oil; no protein for hair like straw. */
export function suggested(head: Head, starters: readonly Starter[]): string[] {
  const first = (is: (starter: Starter) => boolean) => starters.filter(is).slice(0, 1);
  const takesProtein = head.complaint !== 'straw' && !head.proteinSensitive && !head.child;
  return [
    ...first(({ verdict, version }) => version.use === 'mask' && verdict.kind === 'moisture'),
    ...(takesProtein ? first(({ verdict }) => verdict.kind === 'protein') : []),
    ...first(({ version }) => version.use === 'pre-poo'),
  ].map(({ id }) => id);
}
