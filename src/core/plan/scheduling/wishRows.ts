import { addDays, daysBetween } from '../../base/measures';
import { countsFor, holdsOn } from '../agenda';
import {
  agreedSpan,
  cadences,
  canPrePoo,
  countedAs,
  FIRM_FACTOR,
  isBig,
  isOutside,
  lastUse,
  overdueWeight,
  rhythmFactor,
  spanOf,
  styleWants,
  type PlanProblem,
  type RhythmDemand,
} from '../planning';
import { terms, type HeadPart } from './headPart';
import type { Placement } from './placements';
import type { Rows } from './rows';

/** What the plan should do but need not: each shortfall is a variable that costs. The same as in `scoreParts`, part by part. */
export function wishRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  effortCosts(rows, part);
  wasteRows(rows, problem, part);
  overdueRows(rows, problem, part);
  prePooRows(rows, part);
  styleRows(rows, problem, part);
  rhythmRows(rows, problem, part);
  trialDelayRows(rows, problem, part);
  changeCosts(rows, problem, part);
}

function effortCosts(rows: Rows, { head, placements, batchUses }: HeadPart): void {
  const { hour, money } = head.weights;
  for (const { name, minutes, treatment } of placements)
    rows.cost(name, (hour * minutes) / 60 + money * (treatment.cost ?? 0));
  for (const { name, placement } of batchUses) {
    const { makeMinutes, cost } = placement.treatment;
    rows.cost(name, (-hour * makeMinutes) / 60 - money * (cost ?? 0));
  }
}

function wasteRows(rows: Rows, problem: PlanProblem, { head, batchUses, days }: HeadPart): void {
  for (const { batches } of head.treatments) {
    for (const { batchId, portions, useBy } of batches) {
      const spoilsAt = daysBetween(problem.from, useBy);
      if (spoilsAt < 0 || spoilsAt >= days) continue;
      // Each portion that is used is one that does not spoil.
      rows.costAlways(head.weights.waste * portions);
      for (const use of batchUses) if (use.batchId === batchId) rows.cost(use.name, -head.weights.waste);
    }
  }
}

function overdueRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  const { head, index, days } = part;
  for (const { rule, within, counts } of cadences(head)) {
    const last = lastUse(head.past, counts, problem.from);
    for (let at = Math.max(0, last + within); at < days; at++) {
      const weight = overdueWeight(head, rule, problem.from, at);
      if (weight === 0) continue;
      const uses = part.placements.filter(
        (placement) => placement.at <= at && placement.at > at - within && counts(placement.treatment),
      );
      const name = `o${index}${rule}${at}`;
      rows.cost(name, weight * head.weights.overdue);
      rows.row([{ name, factor: 1 }, ...terms(uses)], '>=', 1);
    }
  }
}

function prePooRows(rows: Rows, { head, placements }: HeadPart): void {
  if (!canPrePoo(head)) return;
  for (const { name, slot } of placements) {
    if (slot === 'main') rows.cost(name, head.weights.noPrePoo);
    if (slot === 'pre-poo') rows.cost(name, -head.weights.noPrePoo);
  }
}

function styleRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  const { head, index, days } = part;
  styleWants(head, problem.from, { ...spanOf(problem.weeks), end: days }).forEach(({ start, end }, order) => {
    const isDone = head.past.some(({ firms, day }) => {
      const at = daysBetween(problem.from, day);
      return firms && at >= start && at < end;
    });
    if (isDone) return;
    const name = `s${index}_${order}`;
    const uses = part.placements.filter(({ at, treatment }) => treatment.firms && at >= start && at < end);
    rows.cost(name, head.weights.style);
    rows.row([{ name, factor: 1 }, ...terms(uses)], '>=', 1);
  });
}

function rhythmRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  part.head.rhythms.forEach((demand, order) => {
    if (!isBig(demand)) return;
    const name = `c${part.index}_${order}`;
    if (demand.rhythm.when.every === 'wash') everyWashRows(rows, problem, part, demand, name);
    else windowRows(rows, problem, part, demand, name);
  });
}

const meets = ({ rhythm }: RhythmDemand, { treatment, slot }: Placement) =>
  countsFor(rhythm.of, countedAs({ treatment, slot }));

function windowRows(
  rows: Rows,
  { from }: PlanProblem,
  part: HeadPart,
  demand: RhythmDemand,
  name: string,
): void {
  const { weights } = part.head;
  const meant = part.placements.filter((placement) => meets(demand, placement));
  demand.windows.forEach((window, order) => {
    const first = Math.max(0, daysBetween(from, window.from));
    const last = Math.min(part.days - 1, daysBetween(from, window.to));
    if (first > last) return;
    const within = meant.filter(({ at }) => at >= first && at <= last);
    const stretch = `${name}w${order}`;
    const onDays: string[] = [];
    for (let at = first; window.wanted > 0 && at <= last; at++) {
      const uses = within.filter((placement) => placement.at === at);
      if (uses.length === 0) continue;
      // A day counts once, however much is done on it.
      const day = `${stretch}d${at}`;
      onDays.push(day);
      rows.atMost(day, 1);
      rows.row([{ name: day, factor: 1 }, ...terms(uses, -1)], '<=', 0);
    }
    if (window.wanted > 0) {
      rows.cost(stretch, weights.rhythm * rhythmFactor(demand));
      rows.row(
        [{ name: stretch, factor: 1 }, ...onDays.map((day) => ({ name: day, factor: 1 }))],
        '>=',
        window.wanted,
      );
    }
    if (demand.exact && within.length > 0) {
      rows.cost(`${stretch}x`, weights.rhythm * FIRM_FACTOR);
      rows.row([{ name: `${stretch}x`, factor: 1 }, ...terms(within, -1)], '>=', -window.wanted);
    }
  });
  for (const placement of meant)
    if (isOutside(demand, addDays(from, placement.at)))
      rows.cost(placement.name, weights.rhythm * FIRM_FACTOR);
}

/** A wash that it does not go with costs. */
function everyWashRows(
  rows: Rows,
  { from }: PlanProblem,
  part: HeadPart,
  demand: RhythmDemand,
  name: string,
): void {
  const { weights } = part.head;
  for (let at = 0; at < part.days; at++) {
    const washes = part.on('main', at);
    if (washes.length === 0 || !holdsOn(demand.rhythm, addDays(from, at))) continue;
    const withIt = part.placements.filter((placement) => placement.washAt === at && meets(demand, placement));
    rows.cost(`${name}d${at}`, weights.rhythm * rhythmFactor(demand));
    rows.row([{ name: `${name}d${at}`, factor: 1 }, ...terms(withIt), ...terms(washes, -1)], '>=', 0);
  }
}

function trialDelayRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  const { head, days } = part;
  const { trial } = head;
  if (!trial) return;
  const first = daysBetween(problem.from, trial.from);
  const latest = Math.min(days, daysBetween(problem.from, trial.endsBy) + 1);
  trial.recipeIds.forEach((_, round) => {
    const earliest = first + round * trial.washoutDays;
    if (earliest >= latest) return;
    // Left out it waits until the end; each day that it comes sooner is given back.
    rows.costAlways(head.weights.trialDelay * (latest - earliest));
    for (const placement of part.placements) {
      if (placement.round === round)
        rows.cost(placement.name, -head.weights.trialDelay * (latest - placement.at));
    }
  });
}

function changeCosts(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  const { head, days } = part;
  const { end } = agreedSpan(head, problem.from);
  const agreed = head.agreed.filter(({ slot, day }) => {
    const at = daysBetween(problem.from, day);
    return slot === 'main' && at >= 0 && at < days;
  });
  rows.costAlways(head.weights.change * agreed.length);
  const isAgreed = (placement: Placement) =>
    agreed.some(
      ({ day, recipeId }) =>
        daysBetween(problem.from, day) === placement.at && recipeId === placement.treatment.recipeId,
    );
  for (const placement of part.placements) {
    if (placement.slot !== 'main') continue;
    if (isAgreed(placement)) rows.cost(placement.name, -head.weights.change);
    else if (placement.at < end) rows.cost(placement.name, head.weights.change);
  }
}
