import { plural, t } from '@lingui/core/macro';
import { sum } from '../../base/measures';
import type { PorosityGuess, WashStep } from '../../records/shapes';
import { minutesWithoutHeat } from '../agenda';
import { washScript } from './script';
import type { DayUse, WashPlan } from './washPlan';

/** A day that was put together anew, and what to say about it. */
export interface ChangedPlan {
  readonly plan: WashPlan;
  readonly said: string;
  /** Whether the day still fits what was asked. */
  readonly fits: boolean;
}

const cooled = (use: DayUse | null, porosity: PorosityGuess): DayUse | null =>
  use?.withHeat ? { ...use, withHeat: false, minutes: minutesWithoutHeat(use.minutes, porosity) } : use;

/** No dryer, no cap, no power: the same treatments for longer. */
export function withoutHeat(plan: WashPlan): ChangedPlan {
  const { porosityGuess } = plan.head;
  const main = cooled(plan.main, porosityGuess);
  return {
    plan: { ...plan, main, followUp: cooled(plan.followUp, porosityGuess) },
    said:
      main && main !== plan.main
        ? t`No heat today: ${{ versionName: main.version.name }} stays on for ${plural({ minutes: main.minutes }, { one: '# minute', other: '# minutes' })} instead of ${{ minutesPlanned: plan.main?.minutes ?? 0 }}.`
        : t`No heat today: nothing of what is ahead needed it.`,
    fits: true,
  };
}

/** Something ran out: another treatment takes the place of the main one. */
export function insteadOfMain(plan: WashPlan, main: DayUse | null): ChangedPlan {
  const before = plan.main?.version.name ?? t`no treatment`;
  return {
    plan: { ...plan, main, sides: null },
    said: main
      ? t`${{ versionName: main.version.name }} instead of ${before}.`
      : t`No treatment today instead of ${before}.`,
    fits: true,
  };
}

/** Less contact than this and the treatment is not worth its making (working assumption). */
const LEAST_WAIT = 10;
const LEAST_FOLLOW_UP = 5;

/** What is given up for time, the least harmful first. */
const GIVEN_UP: readonly ((
  plan: WashPlan,
  over: number,
) => { readonly plan: WashPlan; readonly said: string } | null)[] = [
  (plan) => (plan.prePoo ? { plan: { ...plan, prePoo: null }, said: t`no oil before the shampoo` } : null),
  (plan) =>
    plan.choices.conditioner === 'before-mask'
      ? {
          plan: { ...plan, choices: { ...plan.choices, conditioner: 'after-only' } },
          said: t`no conditioner before the mask`,
        }
      : null,
  (plan, over) => {
    const { main } = plan;
    const minutes = main && Math.max(LEAST_WAIT, main.minutes - over);
    return main && minutes !== null && minutes < main.minutes
      ? {
          plan: { ...plan, main: { ...main, minutes } },
          said: t`${{ versionName: main.version.name }} for ${plural(minutes, { one: '# minute', other: '# minutes' })}`,
        }
      : null;
  },
  (plan, over) => {
    const { followUp } = plan;
    const minutes = followUp && Math.max(LEAST_FOLLOW_UP, followUp.minutes - over);
    return followUp && minutes !== null && minutes < followUp.minutes
      ? {
          plan: { ...plan, followUp: { ...followUp, minutes } },
          said: t`${{ versionName: followUp.version.name }} for ${plural(minutes, { one: '# minute', other: '# minutes' })}`,
        }
      : null;
  },
  (plan) =>
    plan.main
      ? { plan: { ...plan, main: null, followUp: null }, said: t`the wash alone, no treatment` }
      : null,
];

/** Planned minutes of all steps; what depends on the feel counts, because it may be wanted. */
export function plannedMinutes(steps: readonly WashStep[]): number {
  return sum(steps.map(({ minutes }) => minutes));
}

/**
 * The day in so many minutes: things are given up one after the other until it fits.
 * @param done ids of steps that are done and take no time any more
 */
export function inMinutes(
  plan: WashPlan,
  available: number,
  done: ReadonlySet<string> = new Set(),
): ChangedPlan {
  const overOf = (each: WashPlan) => plannedMinutes(stepsAhead(each, done)) - available;
  let current = plan;
  const given: string[] = [];
  for (const giveUp of GIVEN_UP) {
    if (overOf(current) <= 0) break;
    const next = giveUp(current, overOf(current));
    // What is on already cannot be given up.
    if (!next || overOf(next.plan) >= overOf(current)) continue;
    current = next.plan;
    given.push(next.said);
  }
  const over = overOf(current);
  const how = given.length === 0 ? t`nothing has to be given up` : given.join(', ');
  return {
    plan: current,
    said:
      over <= 0
        ? t`In ${plural(available, { one: '# minute', other: '# minutes' })}: ${how}.`
        : t`It takes ${plural({ available: available + over }, { one: '# minute', other: '# minutes' })} even so (${how}): take them, or another day.`,
    fits: over <= 0,
  };
}

/** What is still to be done of a day that was put together anew. */
export function stepsAhead(plan: WashPlan, done: ReadonlySet<string>): WashStep[] {
  return washScript(plan).filter(({ id }) => !done.has(id));
}
