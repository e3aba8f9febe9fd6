import { FIXED_RULES, RULE_KEYS, PLAN_RULES } from '../agenda';
import {
  breachesOf,
  draftOf,
  type HeadProblem,
  type Plan,
  type PlanProblem,
  type Standing,
} from '../planning';
import type { WhyNot } from './changes';

const labelOf = (rule: string): string | undefined => {
  const key = RULE_KEYS.find((known) => PLAN_RULES[known].id === rule);
  return key ? PLAN_RULES[key].label : FIXED_RULES[rule]?.label;
};

/** Which rule a main treatment would break if it stood in this plan on its old day. */
export function whyNotIn(problem: PlanProblem, head: HeadProblem, plan: Plan): WhyNot {
  const standing = plan.days.flatMap(({ assignments }): readonly Standing[] => assignments);
  return ({ day, recipeId }) => {
    const treatment = head.treatments.find((known) => known.recipeId === recipeId);
    if (!treatment) return null;
    const assignment = draftOf(day, treatment, 'main');
    const others = standing.filter((other) => other.day !== day || other.slot !== 'main');
    const [breach] = breachesOf(problem, head, [...others, assignment], assignment);
    return (breach && labelOf(breach.rule)) ?? null;
  };
}
