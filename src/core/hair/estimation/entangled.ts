import type { Entangled } from '../state';
import type { LevelEstimate } from './levelEstimate';
import type { EffectSource } from './timeline';

/**
 * Two effects are entangled when what is known of them hangs together this much, with a minus (more of the one would be less of the
 * other), while at least one is still hardly better known than from its recipe.
 */
const ENTANGLED = { correlation: -0.45, stillOfPriorSd: 0.6 } as const;

/** Pairs of used recipes that the readings cannot tell apart: always used together, or close behind each other. */
export function entangledPairs(
  sources: readonly EffectSource[],
  estimate: Pick<LevelEstimate, 'effects' | 'correlation'>,
  priorSd: number,
  uses: (effect: number) => number,
): Entangled[] {
  const used = sources.flatMap((source, index) =>
    source.what === 'recipe' && uses(index) > 0 ? [{ recipeId: source.recipeId, index }] : [],
  );
  const unclear = (index: number) => (estimate.effects[index]?.sd ?? 0) > ENTANGLED.stillOfPriorSd * priorSd;
  return used.flatMap((one, position) =>
    used.slice(position + 1).flatMap((other): Entangled[] => {
      if (!unclear(one.index) && !unclear(other.index)) return [];
      const correlation = estimate.correlation(one.index, other.index);
      return correlation < ENTANGLED.correlation
        ? [{ recipeIds: [one.recipeId, other.recipeId], correlation }]
        : [];
    }),
  );
}
