import { addDays } from '@/core/base/measures';
import type { Plan } from '@/core/plan/planning';
import { usesOf } from '@/core/recipe/larder';
import type { Head, RecipeVersion } from '@/core/records/shapes';
import { useDecisions } from './useDecisions';
import { useHistory } from './useHistory';
import { useToday } from './useToday';
import { verdictOf } from './verdictOf';
import { whyNotToday } from './whyNotToday';

/** Oils that may go on this head tonight, and what putting one on sets: tonight, and the wash of the morning. */
export function useOilTonight(head: Head): {
  readonly oils: readonly RecipeVersion[];
  readonly putOn: (oil: RecipeVersion, plan: Plan) => void;
} {
  const today = useToday();
  const history = useHistory(head.headId);
  const decisions = useDecisions(head.headId, today);
  const oils = history.larder.recipes.filter(
    (recipe) =>
      usesOf(recipe).some((use) => use === 'pre-poo' || use === 'scalp-oil') &&
      verdictOf(recipe, head.school, history.larder)?.kind === 'oil' &&
      whyNotToday(recipe, head, history, today) === null,
  );
  const putOn = (oil: RecipeVersion, plan: Plan) => {
    const tomorrow = addDays(today, 1);
    const assignments = plan.days.find(({ day }) => day === tomorrow)?.assignments ?? [];
    decisions.oilTonight(
      oil,
      assignments.some(({ slot }) => slot === 'main'),
    );
  };
  return { oils, putOn };
}
