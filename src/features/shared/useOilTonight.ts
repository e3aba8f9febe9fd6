import { t } from '@lingui/core/macro';
import { addDays } from '@/core/base/measures';
import { patchTestDays, PLAIN_WASH_ID } from '@/core/plan/agenda';
import type { Plan } from '@/core/plan/planning';
import { firstUsePermit, judge, patchTestOf } from '@/core/recipe/safety';
import type { Decision, Head, RecipeVersion, StoredRecord } from '@/core/records/shapes';
import { newStamp } from './stamp';
import { useAddRecords } from './useAddRecords';
import { useHistory } from './useHistory';
import { useToday } from './useToday';
import { verdictOf } from './verdictOf';

/** Oils that may go on this head tonight, and what putting one on sets: tonight, and the wash of the morning. */
export function useOilTonight(head: Head): {
  readonly oils: readonly RecipeVersion[];
  readonly putOn: (oil: RecipeVersion, plan: Plan) => void;
} {
  const add = useAddRecords();
  const today = useToday();
  const { larder, sessions, patchTests, decisions, planSettings } = useHistory(head.headId);
  const days = patchTestDays(planSettings, head.headId);
  const oils = larder.recipes.filter((recipe) => {
    const uses = [recipe.use, ...(recipe.alsoAs ?? [])];
    if (!uses.includes('pre-poo') && !uses.includes('scalp-oil')) return false;
    if (verdictOf(recipe, head.school, larder)?.kind !== 'oil') return false;
    const judged = judge(recipe.lines, head, larder, { strained: recipe.strained });
    const isKnown = sessions.some(({ recipeId }) => recipeId === recipe.recipeId);
    return (
      judged.ok &&
      judged.value.stops.length === 0 &&
      firstUsePermit(patchTestOf(recipe.recipeId, head.headId, patchTests), isKnown, today, days).may
    );
  });
  const putOn = (oil: RecipeVersion, plan: Plan) => {
    const tomorrow = addDays(today, 1);
    const hasWash = plan.days.find(({ day }) => day === tomorrow)?.beats.some(({ slot }) => slot === 'main');
    const before = decisions.filter(
      ({ day, slot }) =>
        (day === today && slot === 'pre-poo') || (!hasWash && day === tomorrow && slot === 'main'),
    );
    const decision = (part: Pick<Decision, 'day' | 'slot' | 'recipeId' | 'overnight'>): StoredRecord => ({
      ...newStamp(),
      kind: 'decision',
      headId: head.headId,
      what: 'place',
      ...part,
    });
    add(
      [
        ...before.map(({ id }): StoredRecord => ({ ...newStamp(), kind: 'withdrawal', withdraws: id })),
        decision({ day: today, slot: 'pre-poo', recipeId: oil.recipeId, overnight: true }),
        ...(hasWash ? [] : [decision({ day: tomorrow, slot: 'main', recipeId: PLAIN_WASH_ID })]),
      ],
      t`${{ name: oil.name }} tonight, washed out tomorrow.`,
    );
  };
  return { oils, putOn };
}
