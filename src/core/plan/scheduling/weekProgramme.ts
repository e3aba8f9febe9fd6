import { addDays, daysBetween, sum } from '../../base/measures';
import type { Terms } from '../../base/programme';
import { PLAIN_WASH_ID } from '../agenda';
import {
  freeMinutesOn,
  gapAfter,
  needsMoisture,
  sharedMinutesOn,
  weekShare,
  type PlanProblem,
  type Treatment,
} from '../planning';
import type { Demand } from './demand';
import { forecastRows } from './forecastRows';
import { headPart, terms, type BatchUse, type HeadPart } from './headPart';
import type { Placement } from './placements';
import { Rows } from './rows';
import { wishRows } from './wishRows';

/** The programme of a problem, and what its variables mean. */
export interface WeekProgramme {
  readonly rows: Rows;
  readonly placements: readonly Placement[];
  readonly batchUses: readonly BatchUse[];
}

/** What the mixed-integer programme of a problem says; see docs/model.md for its terms. */
export function weekProgramme(
  problem: PlanProblem,
  demands: readonly Demand[] = [],
  brokenAt?: (at: number) => boolean,
): WeekProgramme {
  const rows = new Rows();
  const parts = problem.heads.map((_, index) => headPart(problem, index, brokenAt));
  for (const part of parts) {
    for (const { name } of part.placements) rows.addBinary(name);
    forbiddenRows(rows, part);
    spacingRows(rows, problem, part);
    newcomerRows(rows, problem, part);
    companionRows(rows, part);
    batchRows(rows, part);
    decisionRows(rows, problem, part);
    trialRows(rows, problem, part);
    forecastRows(rows, problem, part);
    wishRows(rows, problem, part);
  }
  portionRows(rows, parts);
  minuteRows(rows, problem, parts);
  for (const demand of [...parts.flatMap(decidedToday), ...demands]) demandRow(rows, parts, demand);
  return {
    rows,
    placements: parts.flatMap(({ placements }) => placements),
    batchUses: parts.flatMap(({ batchUses }) => batchUses),
  };
}

/** What was decided from today's check is done today; of its day there is no other placement. */
function decidedToday({ head, index }: HeadPart): Demand[] {
  const main = head.decidedToday?.main;
  return main
    ? [{ head: index, is: 'placed', slot: 'main', recipeId: main.recipeId, first: 0, last: 0 }]
    : [];
}

/** What a rule forbids by itself is only there when it is asked which rules are in the way. */
function forbiddenRows(rows: Rows, { placements }: HeadPart): void {
  for (const placement of placements) {
    for (const rule of placement.breaks) {
      // Minutes have a row of their own for each day, and tell by how much.
      if (rule !== 'free-time') rows.row(terms([placement]), '<=', 0, rule);
    }
  }
}

/** Placements of main treatments that satisfy `is`, in days `start` to `start + length`, that are in the plan. */
function mainsIn(
  { on, days }: HeadPart,
  start: number,
  length: number,
  is: (treatment: Treatment) => boolean = () => true,
): Placement[] {
  const found: Placement[] = [];
  for (let at = Math.max(0, start); at < Math.min(days, start + length); at++) {
    for (const placement of on('main', at)) if (is(placement.treatment)) found.push(placement);
  }
  return found;
}

/** In any stretch as long as the gap, one; in any seven days, so many. What is past has ruled out placements already. */
function spacingRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  const { rules, past } = part.head;
  const gapRows = (gap: number | null, rule: string, is: (treatment: Treatment) => boolean) => {
    if (gap === null) return;
    for (let start = 0; start + Math.min(gap, 1) <= part.days; start++) {
      const within = [
        ...mainsIn(part, start, gap, is),
        ...(rule === 'light-protein-gap' ? prePoosIn(part, start, gap, is) : []),
      ];
      for (const apart of byReach(within, start, gap, rule)) rows.row(terms(apart), '<=', 1, rule);
      if (start + gap >= part.days) break;
    }
  };
  // Two on one day is no question of spacing: it is never relaxed.
  for (let at = 0; at < part.days; at++) rows.row(terms(part.on('main', at)), '<=', 1);
  gapRows(rules.washGap, 'wash-gap', () => true);
  gapRows(rules.lightProteinGap, 'light-protein-gap', ({ firms }) => firms);
  gapRows(rules.strongProteinGap, 'strong-protein-gap', ({ strong }) => strong);
  const most = rules.mainsPerWeek;
  if (most === null) return;
  for (let start = -6; start < part.days; start++) {
    const before = sum(
      past.map(({ use, day, doseShare }) => {
        const at = daysBetween(problem.from, day);
        return use === 'mask' && at >= start && at < start + 7 ? weekShare(doseShare) : 0;
      }),
    );
    const within = mainsIn(part, start, 7).map(({ name, treatment }) => ({
      name,
      factor: weekShare(treatment.doseShare),
    }));
    if (sum(within.map(({ factor }) => factor)) > most - before)
      rows.row(within, '<=', Math.max(0, most - before), 'mains-per-week');
  }
}

/**
 * The sets of which one may be done, in a stretch as long as the gap: all of it, but for a part of a dose on its first day, after
 * which a part of the gap is enough.
 */
function byReach(within: readonly Placement[], start: number, gap: number, rule: string): Placement[][] {
  const isPart = ({ at, treatment }: Placement) =>
    at === start && rule !== 'strong-protein-gap' && gapAfter(gap, treatment.doseShare) < gap;
  const parts = within.filter(isPart);
  const whole = within.filter((placement) => !isPart(placement));
  return [
    whole,
    ...parts.map((part) => [
      part,
      ...whole.filter(({ at }) => at < start + gapAfter(gap, part.treatment.doseShare)),
    ]),
  ].filter(({ length }) => length > 1);
}

function prePoosIn(
  { on, days }: HeadPart,
  start: number,
  length: number,
  is: (treatment: Treatment) => boolean,
) {
  const found: Placement[] = [];
  for (let at = Math.max(0, start); at < Math.min(days, start + length); at++) {
    for (const placement of on('pre-poo', at)) if (is(placement.treatment)) found.push(placement);
  }
  return found;
}

/** A use is the first one unless the recipe was used on an earlier day of the plan; first uses are counted in any seven days. */
function newcomerRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  const most = part.head.rules.newPerWeek;
  if (most === null) return;
  const placed = new Set(part.placements.map(({ treatment: { recipeId } }) => recipeId));
  const recipes = part.head.treatments.filter(
    ({ isNew, uses, recipeId }) => isNew && uses.includes('mask') && placed.has(recipeId),
  );
  if (recipes.length === 0) return;
  const first = (at: number, recipe: Treatment) =>
    `n${part.index}d${at}_${part.head.treatments.indexOf(recipe)}`;
  for (const recipe of recipes) {
    const earlier: Placement[] = [];
    for (let at = 0; at < part.days; at++) {
      const today = part.on('main', at).filter(({ treatment }) => treatment.recipeId === recipe.recipeId);
      if (today.length === 0) continue;
      rows.row([...terms(today), ...terms(earlier, -1), { name: first(at, recipe), factor: -1 }], '<=', 0);
      earlier.push(...today);
    }
  }
  for (let start = -6; start < part.days; start++) {
    const before = part.head.firstUses.filter((day) => {
      const at = daysBetween(problem.from, day);
      return at >= start && at < start + 7;
    }).length;
    const within = [];
    for (let at = Math.max(0, start); at < Math.min(part.days, start + 7); at++) {
      for (const recipe of recipes) {
        if (part.on('main', at).some(({ treatment }) => treatment.recipeId === recipe.recipeId))
          within.push({ name: first(at, recipe), factor: 1 });
      }
    }
    rows.row(within, '<=', Math.max(0, most - before), 'new-per-week');
  }
}

/** Pre-poos and follow-ups belong to a wash; after a strong protein, or where her school says so after any, moisture. */
function companionRows(rows: Rows, part: HeadPart): void {
  const { head, days, on } = part;
  for (let at = 0; at < days; at++) {
    const washes = on('main', at);
    const prePoos = part.placements.filter(({ slot, washAt }) => slot === 'pre-poo' && washAt === at);
    if (prePoos.length > 0) rows.row([...terms(prePoos), ...terms(washes, -1)], '<=', 0);
    const followUps = on('follow-up', at);
    const firming = washes.filter(({ treatment }) => treatment.firms);
    if (followUps.length > 0) rows.row([...terms(followUps), ...terms(firming, -1)], '<=', 0);
    const mustBeFollowed = washes.filter(({ treatment }) => needsMoisture(head, treatment));
    rows.row([...terms(mustBeFollowed), ...terms(followUps, -1)], '<=', 0, 'moisture-after-protein');
  }
}

/** A portion goes on once, and not after its day; what spoils unused costs. */
function batchRows(rows: Rows, part: HeadPart): void {
  const { batchUses } = part;
  const byPlacement = new Map<Placement, BatchUse[]>();
  for (const use of batchUses) {
    rows.addBinary(use.name);
    byPlacement.set(use.placement, [...(byPlacement.get(use.placement) ?? []), use]);
  }
  for (const [placement, uses] of byPlacement) rows.row([...terms(uses), ...terms([placement], -1)], '<=', 0);
  for (const [placement, uses] of byPlacement) {
    if (placement.onlyFromShelf)
      rows.row([...terms([placement]), ...terms(uses, -1)], '<=', 0, 'evening-before');
  }
}

/** The shelf is everybody's: no portion is used twice, whoever uses it. */
function portionRows(rows: Rows, parts: readonly HeadPart[]): void {
  const portionsOf = new Map(
    parts.flatMap(({ head }) =>
      head.treatments.flatMap(({ batches }) =>
        batches.map(({ batchId, portions }) => [batchId, portions] as const),
      ),
    ),
  );
  for (const [batchId, portions] of portionsOf) {
    const uses = parts.flatMap(({ batchUses }) => batchUses.filter((use) => use.batchId === batchId));
    rows.row(terms(uses), '<=', portions);
  }
}

function decisionRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  for (const { id, day, slot, what, recipeId, overnight } of part.head.decisions) {
    const at = daysBetween(problem.from, day);
    if (at < 0 || at >= part.days || (slot !== 'main' && slot !== 'pre-poo' && slot !== 'follow-up'))
      continue;
    const meant = part
      .on(slot, at)
      .filter(
        (placement) =>
          (recipeId === null || placement.treatment.recipeId === recipeId) &&
          (overnight !== true || placement.overnight),
      );
    if (what === 'avoid') rows.row(terms(meant), '<=', 0, `lock:${id}`);
    else if (meant.length > 0) rows.row(terms(meant), '=', 1, `lock:${id}`);
    else rows.row([{ name: `missing_${id}`, factor: 1 }], '>=', 1, `lock:${id}`);
    if (what === 'place' && meant.length === 0) rows.atMost(`missing_${id}`, 0);
  }
}

/** The washes of a trial come once each, in their order, with their days between, and nothing else before the last of them. */
function trialRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  const { trial } = part.head;
  if (!trial) return;
  const ofRound = (round: number, until: number) =>
    part.placements.filter((placement) => placement.round === round && placement.at <= until);
  const rounds = trial.recipeIds.map((_, round) => round);
  const trialDays = daysBetween(problem.from, trial.endsBy) + 1;
  for (const round of rounds) {
    const all = ofRound(round, Infinity);
    rows.row(terms(all), '<=', 1);
    if (round === 0) continue;
    for (let at = 0; at < part.days; at++) {
      const done = ofRound(round, at);
      if (done.length > 0)
        rows.row([...terms(done), ...terms(ofRound(round - 1, at - trial.washoutDays), -1)], '<=', 0);
    }
  }
  const last = rounds.at(-1) ?? 0;
  for (let at = 0; at < Math.min(part.days, trialDays); at++) {
    const others = part.on('main', at).filter(({ round }) => round === null);
    if (others.length > 0)
      rows.row([...terms(others), ...terms(ofRound(last, at - 1), -1)], '<=', 0, 'trial');
  }
}

/**
 * Each head's minutes, and the hours of the person who looks after all of them: the heads wait side by side, and a recipe
 * for two heads is made once.
 */
function minuteRows(rows: Rows, problem: PlanProblem, parts: readonly HeadPart[]): void {
  for (let at = 0; at < 7 * problem.weeks; at++) {
    const day = addDays(problem.from, at);
    const ofHeads = parts.map((part) => minutesTerms(part, at));
    parts.forEach(({ head }, index) => {
      rows.row(ofHeads[index] ?? [], '<=', freeMinutesOn(head, day), `free-time@${at}`);
    });
    if (parts.length < 2) continue;
    const saved = parts.flatMap((part, index) =>
      parts.slice(0, index).flatMap((other) => bowlTerms(rows, part, other, at)),
    );
    const waits = parts.map((part) => waitingTerms(part, at));
    const longest = `wait${at}`;
    for (const wait of waits)
      if (wait.length > 0) rows.row([{ name: longest, factor: 1 }, ...negated(wait)], '>=', 0);
    rows.row(
      [...ofHeads.flat(), ...negated(waits.flat()), { name: longest, factor: 1 }, ...saved],
      '<=',
      sharedMinutesOn(problem, day),
      `free-time@${at}`,
    );
  }
}

const negated = (terms: Terms): Terms => terms.map(({ name, factor }) => ({ name, factor: -factor }));

function waitingTerms(part: HeadPart, at: number): Terms {
  return part.placements
    .filter((placement) => placement.at === at && placement.waiting > 0)
    .map(({ name, waiting }) => ({ name, factor: waiting }));
}

function minutesTerms(part: HeadPart, at: number): Terms {
  return [
    ...part.placements
      .filter((placement) => placement.at === at)
      .map(({ name, minutes }) => ({ name, factor: minutes })),
    ...part.batchUses
      .filter(({ placement }) => placement.at === at)
      .map(({ name, placement }) => ({ name, factor: -placement.treatment.makeMinutes })),
  ];
}

/** Minutes that are saved where two heads take the same recipe on one day, out of one bowl. */
function bowlTerms(rows: Rows, part: HeadPart, other: HeadPart, at: number): Terms {
  return part.on('main', at).flatMap((placement) => {
    const { recipeId, makeMinutes } = placement.treatment;
    const twin = other
      .on('main', at)
      .find(({ treatment, round }) => treatment.recipeId === recipeId && round === null);
    if (!twin || makeMinutes === 0 || recipeId === PLAIN_WASH_ID || placement.round !== null) return [];
    const name = `bowl_${placement.name}_${twin.name}`;
    rows.atMost(name, 1);
    rows.row([{ name, factor: 1 }, ...terms([placement], -1)], '<=', 0);
    rows.row([{ name, factor: 1 }, ...terms([twin], -1)], '<=', 0);
    const shelf = [...part.batchUses, ...other.batchUses].filter(
      (use) => use.placement === placement || use.placement === twin,
    );
    for (const use of shelf) rows.row([{ name, factor: 1 }, ...terms([use])], '<=', 1);
    return [{ name, factor: -makeMinutes }];
  });
}

function demandRow(rows: Rows, parts: readonly HeadPart[], demand: Demand): void {
  const part = parts[demand.head];
  if (!part) return;
  const meant = part.placements.filter(
    ({ slot, at, treatment }) =>
      slot === demand.slot &&
      at >= demand.first &&
      at <= demand.last &&
      (demand.recipeId === null
        ? treatment.recipeId !== PLAIN_WASH_ID
        : treatment.recipeId === demand.recipeId),
  );
  if (demand.is === 'absent') rows.row(terms(meant), '<=', 0);
  // A demand that nothing can meet must make the programme infeasible, not vanish from it.
  else rows.row(meant.length > 0 ? terms(meant) : [{ name: 'never', factor: 1 }], '>=', 1);
  if (demand.is !== 'absent' && meant.length === 0) rows.atMost('never', 0);
}
