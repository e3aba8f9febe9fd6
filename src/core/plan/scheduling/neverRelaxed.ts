import { t } from '@lingui/core/macro';
import { formatDay } from '../../base/measures';
import { FIXED_RULES, PLAN_RULES } from '../agenda';
import { breachesOf, type PlanDraft, type HeadProblem, type PlanProblem } from '../planning';

/** Rules that keep her safe: no decision and no wish relaxes them. */
const NEVER_LOOSENED: ReadonlySet<string> = new Set([
  PLAN_RULES.patchTest.id,
  'no-strong-protein',
  'moisture-after-protein',
]);

export const isNeverRelaxed = (rule: string): boolean => NEVER_LOOSENED.has(rule);

/** Which of these rules forbid something on its day, whatever else is planned. */
function forbidding(problem: PlanProblem, head: HeadProblem, wanted: PlanDraft): string[] {
  return breachesOf(problem, head, [wanted], wanted)
    .map(({ rule }) => rule)
    .filter((rule) => isNeverRelaxed(rule) && rule !== 'moisture-after-protein');
}

export function isNeverAllowed(problem: PlanProblem, head: HeadProblem, wanted: PlanDraft): boolean {
  return forbidding(problem, head, wanted).length > 0;
}

/** Why something can never be on its day, and what to do about it; null where nothing of this kind forbids it. */
export function neverBecause(problem: PlanProblem, head: HeadProblem, wanted: PlanDraft): string | null {
  const [rule] = forbidding(problem, head, wanted);
  if (rule === undefined) return null;
  if (rule !== PLAN_RULES.patchTest.id) return FIXED_RULES[rule]?.why ?? null;
  const { patchTest, allowedFrom } = wanted.treatment;
  const from = formatDay(allowedFrom, 'EEEE d MMMM');
  return patchTest === 'runs'
    ? t`Its patch test runs; it may go on from ${from}, when the skin is clear.`
    : t`It is new for this person. With a patch test begun today it may go on from ${from}.`;
}
