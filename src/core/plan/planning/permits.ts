import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import { zoneProbabilities } from '../../hair/state';
import { isSmall, PLAN_RULES, type RuleKey } from '../agenda';
import { gapAfter, treatmentIn, weekShare } from './doses';
import { isFreeEvening, needsEvening, takesNoStrong, washWindow } from './draft';
import { forecastOn } from './forecast';
import type { Breach, HeadProblem, PastUse, PlanProblem, Standing, Treatment } from './plan';

/**
 * What the planners go by while they put treatments somewhere: the rules against one treatment among others. The checker of finished
 * plans (checkPlan.ts) asks nothing of this file, so that a mistake here is seen there.
 */

type Broken = readonly [rule: string, isBroken: boolean, by?: number];

/** The hard rules that one treatment breaks among the others. */
export function breachesOf(
  problem: Pick<PlanProblem, 'from'>,
  head: HeadProblem,
  assignments: readonly Standing[],
  assignment: Standing,
): Breach[] {
  const treatment = treatmentIn(head, assignment);
  const { day } = assignment;
  const broken = ((): readonly Broken[] => {
    if (!treatment) return [['unknown-recipe', true]];
    if (assignment.slot === 'main') return mainBreaches(problem, head, assignments, assignment, treatment);
    if (assignment.slot === 'pre-poo')
      return prePooBreaches(problem, head, assignments, assignment, treatment);
    if (assignment.slot === 'follow-up') return followUpBreaches(head, assignments, assignment, treatment);
    return [[PLAN_RULES.patchTest.id, day < treatment.allowedFrom]];
  })();
  return broken
    .filter(([, isBroken]) => isBroken)
    .map(([rule, , by]) => ({ rule, headId: head.head.headId, day, ...(by === undefined ? {} : { by }) }));
}

/** A use of the past or of the plan, as spacing sees it. */
type Use = PastUse & { readonly isMain: boolean };

function usesOf(head: HeadProblem, assignments: readonly Standing[], except: Standing): Use[] {
  const past = head.past.map((use): Use => ({ ...use, isMain: use.use === 'mask' }));
  const planned = assignments
    .filter((other) => other !== except)
    .flatMap((other): Use[] => {
      const { day, recipeId, slot } = other;
      const { use, firms, strong, moistens, doseShare } = treatmentIn(head, other) ?? {
        use: 'mask',
        firms: false,
        strong: false,
        moistens: false,
        doseShare: 1,
      };
      return [{ day, recipeId, use, firms, strong, moistens, doseShare, isMain: slot === 'main' }];
    });
  return [...past, ...planned];
}

function mainBreaches(
  problem: Pick<PlanProblem, 'from'>,
  head: HeadProblem,
  assignments: readonly Standing[],
  assignment: Standing,
  treatment: Treatment,
): Broken[] {
  const { rules } = head;
  const { day } = assignment;
  const uses = usesOf(head, assignments, assignment);
  const near = (is: (use: Use) => boolean, key: RuleKey) =>
    tooNear(rules, uses, day, is, key, treatment.doseShare);
  const window = washWindow(head, day);
  const { firms, strong } = treatment;
  return [
    ['not-a-mask', !treatment.uses.includes('mask')],
    [window ?? 'no-wash', window !== undefined],
    near(({ isMain }) => isMain, 'washGap'),
    firms ? near((use) => use.firms, 'lightProteinGap') : ['', false],
    strong ? near((use) => use.strong, 'strongProteinGap') : ['', false],
    ['no-strong-protein', strong && takesNoStrong(head)],
    [PLAN_RULES.patchTest.id, day < treatment.allowedFrom, daysBetween(day, treatment.allowedFrom)],
    [PLAN_RULES.firmHold.id, firms && tooFirmFor(head, assignments, day)],
    [
      PLAN_RULES.mainsPerWeek.id,
      tooMany(
        rules.mainsPerWeek,
        day,
        treatment.doseShare,
        uses.filter((use) => use.isMain),
      ),
    ],
    [PLAN_RULES.newPerWeek.id, treatment.isNew && tooManyNew(head, assignments, assignment)],
    ['moisture-after-protein', needsMoisture(head, treatment) && !isFollowed(head, assignments, day)],
    ...eventBreaches(head, treatment, day),
    [
      'evening-before',
      assignment.batchId === null && needsEvening(treatment) && !eveningBefore(problem, head, day),
    ],
  ];
}

/**
 * Whether another use of a sort lies closer than a rule allows, before or after. After a part of a dose a part of the days is
 * enough, but for strong protein: overload builds up unseen.
 * @param share of a dose that the treatment itself is
 */
function tooNear(
  rules: HeadProblem['rules'],
  uses: readonly Use[],
  day: CalendarDay,
  is: (use: Use) => boolean,
  key: RuleKey,
  share: number,
): Broken {
  const gap = rules[key];
  if (gap === null) return [PLAN_RULES[key].id, false];
  const missing = uses.filter(is).map((use) => {
    const away = daysBetween(use.day, day);
    const wanted = key === 'strongProteinGap' ? gap : gapAfter(gap, away >= 0 ? use.doseShare : share);
    return wanted - Math.abs(away);
  });
  const by = Math.max(...missing, -Infinity);
  return [PLAN_RULES[key].id, by > 0, by];
}

function eventBreaches(head: HeadProblem, { isNew, strong }: Treatment, day: CalendarDay): Broken[] {
  const before = (days: number | null) =>
    days !== null &&
    head.occasions.some(({ what, from }) => {
      const ahead = daysBetween(day, from);
      return what === 'look-good' && ahead >= 0 && ahead < days;
    });
  return [
    [PLAN_RULES.newBeforeEvent.id, isNew && before(head.rules.newBeforeEvent)],
    [PLAN_RULES.strongBeforeEvent.id, strong && before(head.rules.strongBeforeEvent)],
  ];
}

/** An evening that has passed cannot be used any more. */
function eveningBefore({ from }: Pick<PlanProblem, 'from'>, head: HeadProblem, day: CalendarDay): boolean {
  const eve = addDays(day, -1);
  return eve >= from && isFreeEvening(head, eve);
}

function tooFirmFor(head: HeadProblem, assignments: readonly Standing[], day: CalendarDay): boolean {
  const { firmHold } = head.rules;
  return firmHold !== null && chanceTooFirm(head, assignments, day) > firmHold + 1e-9;
}

/** The chance that the hair is already too firm when this day begins. */
export function chanceTooFirm(head: HeadProblem, assignments: readonly Standing[], day: CalendarDay): number {
  const placed = assignments.flatMap((assignment) => {
    if (assignment.day >= day || isSmall(assignment)) return [];
    const treatment = treatmentIn(head, assignment);
    return treatment ? [{ day: assignment.day, treatment }] : [];
  });
  return zoneProbabilities(forecastOn(head, 'firmness', placed, day), head.signals.firmness.comfortZone)
    .above;
}

/** Whether one more on `day` makes too many in any seven days in a row. */
function tooMany(
  most: number | null,
  day: CalendarDay,
  share: number,
  others: readonly Pick<Use, 'day' | 'doseShare'>[],
): boolean {
  if (most === null) return false;
  const near = others
    .map((other) => ({ offset: daysBetween(day, other.day), counts: weekShare(other.doseShare) }))
    .filter(({ offset }) => Math.abs(offset) < 7);
  return [-6, -5, -4, -3, -2, -1, 0].some((start) => {
    const within = near.filter(({ offset }) => offset >= start && offset < start + 7);
    return within.reduce((sum, { counts }) => sum + counts, weekShare(share)) > most + 1e-9;
  });
}

function tooManyNew(head: HeadProblem, assignments: readonly Standing[], assignment: Standing): boolean {
  const first = new Map<string, CalendarDay>();
  for (const other of assignments) {
    const { slot, recipeId, day } = other;
    if (slot !== 'main' || treatmentIn(head, other)?.isNew !== true) continue;
    const known = first.get(recipeId);
    if (known === undefined || day < known) first.set(recipeId, day);
  }
  if (first.get(assignment.recipeId) !== assignment.day) return false;
  first.delete(assignment.recipeId);
  const others = [...first.values(), ...head.firstUses].map((day) => ({ day, doseShare: 1 }));
  return tooMany(head.rules.newPerWeek, assignment.day, 1, others);
}

/** After a strong protein always; after a light one where her school says so. */
export function needsMoisture(
  { choices }: Pick<HeadProblem, 'choices'>,
  { firms, strong }: Treatment,
): boolean {
  return strong || (firms && choices.afterProtein === 'always');
}

function isFollowed(head: HeadProblem, assignments: readonly Standing[], day: CalendarDay): boolean {
  return assignments.some(
    (other) => other.day === day && other.slot === 'follow-up' && treatmentIn(head, other)?.moistens === true,
  );
}

function prePooBreaches(
  problem: Pick<PlanProblem, 'from'>,
  head: HeadProblem,
  assignments: readonly Standing[],
  assignment: Standing,
  treatment: Treatment,
): Broken[] {
  const washDay = assignment.overnight ? addDays(assignment.day, 1) : assignment.day;
  const isBeforeAWash = assignments.some(({ slot, day }) => slot === 'main' && day === washDay);
  return [
    ['not-a-pre-poo', !treatment.uses.includes('pre-poo')],
    ['pre-poo-without-a-wash', !isBeforeAWash],
    [
      'two-pre-poos',
      assignments.some(
        (other) => other !== assignment && other.slot === 'pre-poo' && washDayOf(other) === washDay,
      ),
    ],
    ['oil-only', head.choices.prePoo === 'oil-only' && treatment.firms],
    ['overnight-only-oil', assignment.overnight && treatment.kind !== 'oil'],
    [
      'evening-before',
      assignment.overnight && !(assignment.day >= problem.from && isFreeEvening(head, assignment.day)),
    ],
    ['style', washWindow(head, assignment.day) === 'style'],
    [PLAN_RULES.patchTest.id, assignment.day < treatment.allowedFrom],
    [PLAN_RULES.firmHold.id, treatment.firms && tooFirmFor(head, assignments, assignment.day)],
    treatment.firms
      ? tooNear(
          head.rules,
          usesOf(head, assignments, assignment),
          assignment.day,
          (use) => use.firms,
          'lightProteinGap',
          treatment.doseShare,
        )
      : ['', false],
    [PLAN_RULES.strongProteinGap.id, treatment.strong],
  ];
}

const washDayOf = ({ overnight, day }: Standing) => (overnight ? addDays(day, 1) : day);

function followUpBreaches(
  head: HeadProblem,
  assignments: readonly Standing[],
  assignment: Standing,
  treatment: Treatment,
): Broken[] {
  const follows = assignments.some(
    (other) =>
      other.slot === 'main' && other.day === assignment.day && treatmentIn(head, other)?.firms === true,
  );
  return [
    ['not-a-mask', !treatment.uses.includes('mask') || !treatment.moistens || treatment.firms],
    ['follow-up-without-protein', !follows],
    [PLAN_RULES.patchTest.id, assignment.day < treatment.allowedFrom],
  ];
}
