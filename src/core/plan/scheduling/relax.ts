import { plural, t } from '@lingui/core/macro';
import { addDays, daysBetween, formatDay, rounded, type CalendarDay } from '../../base/measures';
import type { SolveProgramme } from '../../base/programme';
import { FIXED_RULES, isOn, PLAN_RULES, RULE_KEYS, type Rule } from '../agenda';
import {
  chanceTooFirm,
  checkAssignments,
  draftOf,
  sharedMinutesOn,
  type Breach,
  type PlanDraft,
  type HeadProblem,
  type PlanProblem,
} from '../planning';
import type { Demand } from './demand';
import { isNeverRelaxed, neverBecause } from './neverRelaxed';
import { readDrafts } from './readDrafts';
import { weekProgramme } from './weekProgramme';

/** One thing to give way in, so that what is wanted fits. */
export interface Relaxation {
  /** Its id, in RULES or FIXED_RULES. */
  readonly rule: string;
  readonly headId: string;
  readonly day: CalendarDay;
  readonly text: string;
  /** What one tap would do. */
  readonly fix: Fix;
}

export type Fix =
  /** Give a day so many minutes. */
  | { readonly what: 'minutes'; readonly day: CalendarDay; readonly minutes: number }
  /** Another value for a rule. */
  | { readonly what: 'rule'; readonly id: string; readonly value: number }
  /** Take a decision of hers back. */
  | { readonly what: 'decision'; readonly decisionId: string }
  /** Take a style or a stretch without wash back. */
  | { readonly what: 'occasion'; readonly occasionId: string }
  | { readonly what: 'evening'; readonly weekday: number }
  | { readonly what: 'trial'; readonly trialId: string };

/** What each rule costs to relax; null where it is never relaxed. The cheapest set is the smallest, hers last. */
function priceOf(rule: string): number | null {
  if (rule.startsWith('free-time')) return 1;
  if (rule.startsWith('lock:')) return 2.5;
  if (isNeverRelaxed(rule)) return null;
  switch (rule) {
    case 'style':
    case 'no-wash':
    case 'trial':
      return 1.6;
    case 'firm-hold':
    case 'strong-protein-gap':
      return 1.4;
    default:
      return 1.1;
  }
}

/** The plan that keeps as many rules as can be kept, and what it does not keep. */
export type RelaxOutcome =
  | {
      readonly status: 'relaxed';
      readonly drafts: readonly (readonly PlanDraft[])[];
      readonly relaxations: readonly Relaxation[];
    }
  /** What stands in the way is never relaxed. */
  | { readonly status: 'impossible' }
  /** The solver broke off or ran out of time. */
  | { readonly status: 'unanswered' };

/** Where nothing fits: the smallest set of rules to relax, and the best plan with them relaxed. */
export function relaxPlan(
  problem: PlanProblem,
  demands: readonly Demand[],
  solve: SolveProgramme,
  seconds = 4,
): RelaxOutcome {
  const { rows, ...meaning } = weekProgramme(problem, demands, (at) => isAsked(problem, demands, at));
  // First which rules, whatever the plan is; then the best plan with no others relaxed.
  const fewest = solve(rows.elastic(priceOf), { seconds, gap: 0.001 });
  if (fewest.status === 'infeasible') return { status: 'impossible' };
  if (fewest.status === 'failed') return { status: 'unanswered' };
  const best = solve(rows.relaxedBy(fewest.values), { seconds, gap: 0.01, start: fewest.values });
  const { values } = best.status === 'optimal' || best.status === 'feasible' ? best : fewest;
  const drafts = readDrafts(problem, { rows, ...meaning }, values);
  return { status: 'relaxed', drafts, relaxations: relaxationsIn(problem, drafts) };
}

/** Only the days that are asked about, and the evenings before them, may hold what a rule forbids: elsewhere nobody wants it. */
function isAsked({ heads, from }: PlanProblem, demands: readonly Demand[], at: number): boolean {
  const near = (day: number) => at === day || at === day - 1;
  return (
    demands.some(({ first, last }) => at >= first - 1 && at <= last) ||
    heads.some(({ decisions }) =>
      decisions.some(({ what, day }) => what === 'place' && near(daysBetween(from, day))),
    )
  );
}

/** What these plans do not keep, and what to give way in for each. */
export function relaxationsIn(problem: PlanProblem, drafts: readonly (readonly PlanDraft[])[]): Relaxation[] {
  const assignments = new Map(problem.heads.map(({ head }, index) => [head.headId, drafts[index] ?? []]));
  return distinct(
    checkAssignments(problem, assignments).flatMap((breach) => relaxationOf(problem, breach, drafts)),
  );
}

function distinct(relaxations: readonly Relaxation[]): Relaxation[] {
  const seen = new Set<string>();
  return relaxations.filter(({ fix }) => {
    const key = JSON.stringify(fix);
    return seen.has(key) ? false : seen.add(key) !== undefined;
  });
}

function relaxationOf(
  problem: PlanProblem,
  breach: Breach,
  drafts: readonly (readonly PlanDraft[])[],
): Relaxation[] {
  const index = problem.heads.findIndex(({ head }) => head.headId === breach.headId);
  const head = problem.heads[index];
  if (!head) return [];
  const found = fixOf(problem, head, breach, drafts[index] ?? []);
  const { rule, headId, day } = breach;
  return found ? [{ rule, headId, day, ...found }] : [];
}

type Found = Pick<Relaxation, 'text' | 'fix'> | undefined;

function fixOf(problem: PlanProblem, head: HeadProblem, breach: Breach, drafts: readonly PlanDraft[]): Found {
  const { rule, day, by = 0 } = breach;
  const on = formatDay(day, 'EEEE d MMMM');
  switch (rule) {
    case 'free-time': {
      const minutes = sharedMinutesOn(problem, day) + by;
      return {
        text: t`Give ${on} ${plural({ by }, { one: '# more minute', other: '# more minutes' })} (${minutes} in all)`,
        fix: { what: 'minutes', day, minutes },
      };
    }
    case 'locked':
      return lockFix(problem, head, breach, on);
    case 'evening-before': {
      const eve = addDays(day, -1);
      if (eve < problem.from) return undefined;
      return {
        text: t`Set it to soak on ${{ eve: formatDay(eve, 'EEEE') }} evening`,
        fix: { what: 'evening', weekday: (daysBetween(SUNDAY, eve) % 7) as number },
      };
    }
    case 'style':
    case 'no-wash': {
      const occasion = head.occasions.find((each) => each.what === rule && isOn(each, day));
      return occasion
        ? {
            text: t`Wash on ${on} although ${{ rule: FIXED_RULES[rule]?.label.toLowerCase() ?? '' }}`,
            fix: { what: 'occasion', occasionId: occasion.id },
          }
        : undefined;
    }
    case 'trial':
      return head.trial
        ? { text: t`Give up the trial that is running`, fix: { what: 'trial', trialId: head.trial.trialId } }
        : undefined;
    default:
      return ruleFix(head, breach, drafts);
  }
}

const SUNDAY = '2026-01-04' as CalendarDay;

function lockFix(problem: PlanProblem, head: HeadProblem, { day }: Breach, on: string): Found {
  const { decisions, treatments } = head;
  const decision = decisions.find((each) => each.day === day);
  if (!decision) return undefined;
  const treatment = treatments.find(({ recipeId }) => recipeId === decision.recipeId);
  const name = treatment?.name ?? t`this`;
  const why = treatment && neverBecause(problem, head, draftOf(day, treatment, decision.slot));
  const text = decision.what === 'place' ? t`Let ${name} leave ${on}` : t`Allow ${name} on ${on} again`;
  return {
    text: why && decision.what === 'place' ? t`${text}. ${why}` : text,
    fix: { what: 'decision', decisionId: decision.id },
  };
}

/** Another value of a rule that is a number, as far as it has to go. */
function ruleFix(head: HeadProblem, { rule, day, by = 1 }: Breach, drafts: readonly PlanDraft[]): Found {
  if (isNeverRelaxed(rule)) return undefined;
  const key = RULE_KEYS.find((known) => PLAN_RULES[known].id === rule);
  if (!key) return undefined;
  const known: Rule = PLAN_RULES[key];
  const value = head.rules[key];
  if (value === null || known.sort !== 'hard') return undefined;
  const next = ((): number => {
    switch (known.unit) {
      case 'share':
        return Math.min(0.95, rounded(Math.ceil(20 * chanceTooFirm(head, drafts, day)) / 20, 2));
      case 'days':
        return value - by;
      default:
        return value + 1;
    }
  })();
  if (next < known.least || next > known.most) return undefined;
  return {
    text:
      known.unit === 'days'
        ? t`${{ known: known.label }}: ${next} instead of ${plural({ days: value }, { one: '# day', other: '# days' })}`
        : t`${{ known: known.label }}: ${next} instead of ${value}`,
    fix: { what: 'rule', id: known.id, value: next },
  };
}
