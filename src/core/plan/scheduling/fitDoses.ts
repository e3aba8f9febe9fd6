import { daysBetween, type CalendarDay } from '../../base/measures';
import { PLAIN_WASH_ID } from '../agenda';
import {
  dosesOf,
  isDecidedToday,
  scoreOf,
  scoreParts,
  spanOf,
  type HeadProblem,
  type PlanDraft,
  type PlanProblem,
  type Treatment,
} from '../planning';
import { brokenRules } from './brokenRules';

/** Further ahead nobody knows the hair well enough to say that a part of a treatment is enough. */
const DOSE_DAYS = 10;
/** In weighed days outside the comfort zone: less is no reason to do it otherwise than the recipe says. */
const WORTH_CHANGING = 0.1;

/**
 * The same washes, each of the next days in the dose that costs least: shorter, without warmth or with half of it where the whole
 * would go too far. What she or a trial decided keeps its dose, and no rule is broken for it.
 */
export function fitDoses(
  problem: PlanProblem,
  head: HeadProblem,
  washes: readonly PlanDraft[],
): readonly PlanDraft[] {
  // Only the hair decides: that a shorter treatment saves minutes is true of every one.
  const costOf = (drafts: readonly PlanDraft[]) =>
    scoreOf({ ...scoreParts(head, problem.from, drafts, spanOf(problem.weeks)), hour: 0, money: 0 });
  return washes
    .filter((draft) => mayChange(head, problem.from, draft))
    .sort((a, b) => daysBetween(b.day, a.day))
    .reduce<readonly PlanDraft[]>((drafts, draft) => {
      const cost = costOf(drafts);
      const better = shorterDoses(head, draft.treatment)
        .map((treatment) => drafts.map((each) => (each === draft ? { ...draft, treatment } : each)))
        .map((changed) => ({ changed, cost: costOf(changed) }))
        .filter((option) => option.cost < cost - WORTH_CHANGING)
        .sort((a, b) => a.cost - b.cost);
      if (better.length === 0) return drafts;
      const before = brokenRules(problem, head, drafts);
      const allowed = better.find(({ changed }) =>
        [...brokenRules(problem, head, changed)].every((rule) => before.has(rule)),
      );
      return allowed?.changed ?? drafts;
    }, washes);
}

function mayChange(head: HeadProblem, from: CalendarDay, draft: PlanDraft): boolean {
  const { slot, day, recipeId } = draft;
  return (
    (slot === 'main' || slot === 'follow-up') &&
    recipeId !== PLAIN_WASH_ID &&
    !isDecidedToday(head, draft) &&
    daysBetween(from, day) < DOSE_DAYS &&
    (head.trial === null || day > head.trial.endsBy)
  );
}

/** None takes longer than the recipe says: the minutes of the day are given away already. */
function shorterDoses(head: HeadProblem, treatment: Treatment): Treatment[] {
  return dosesOf(head, treatment).filter(({ contactMinutes }) => contactMinutes <= treatment.contactMinutes);
}
