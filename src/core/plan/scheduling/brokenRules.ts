import { breachesOf, type HeadProblem, type PlanDraft, type PlanProblem } from '../planning';

/** The rules that drafts break, each with its day. */
export function brokenRules(
  problem: PlanProblem,
  head: HeadProblem,
  drafts: readonly PlanDraft[],
): ReadonlySet<string> {
  return new Set(
    drafts.flatMap((draft) =>
      breachesOf(problem, head, drafts, draft).map(({ rule, day }) => `${rule}/${day}`),
    ),
  );
}
