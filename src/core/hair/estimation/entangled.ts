import type { Entangled } from '../state';
import type { LevelEstimate } from './levelEstimate';
import type { EffectSource } from './timeline';

/**
 * Two effects are entangled when what is known of them hangs together this much, with a minus (more of the one would be less of the
 * other), while at least one is still hardly better known than from its recipe.
 */
const ENTANGLED = { correlation: -0.45, stillOfPriorSd: 0.6 } as const;

/** Effects of recipes that were never used within so many days of each other fade before they meet. */
const MEET_WITHIN_DAYS = 45;

/** How often each effect was used, and on which days, counted from any first one, in order. */
export interface Uses {
  readonly count: number;
  readonly days: readonly number[];
}

function meet({ days: one }: Uses, { days: other }: Uses): boolean {
  let at = 0;
  return one.some((day) => {
    while (at < other.length && other[at]! < day - MEET_WITHIN_DAYS) at++;
    return at < other.length && other[at]! <= day + MEET_WITHIN_DAYS;
  });
}

/** Pairs of used recipes that the readings cannot tell apart: always used together, or close behind each other. @param uses by effect */
export function entangledPairs(
  sources: readonly EffectSource[],
  estimate: Pick<LevelEstimate, 'effects' | 'correlation'>,
  priorSd: number,
  uses: readonly Uses[],
): Entangled[] {
  const used = sources.flatMap((source, index) =>
    source.what === 'recipe' && uses[index]!.count > 0 ? [{ recipeId: source.recipeId, index }] : [],
  );
  const unclear = (index: number) => (estimate.effects[index]?.sd ?? 0) > ENTANGLED.stillOfPriorSd * priorSd;
  return used.flatMap((one, position) =>
    used.slice(position + 1).flatMap((other): Entangled[] => {
      if (!unclear(one.index) && !unclear(other.index)) return [];
      if (!meet(uses[one.index]!, uses[other.index]!)) return [];
      const correlation = estimate.correlation(one.index, other.index);
      return correlation < ENTANGLED.correlation
        ? [{ recipeIds: [one.recipeId, other.recipeId], correlation }]
        : [];
    }),
  );
}
