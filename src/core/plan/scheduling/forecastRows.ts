import { normalCdf, normalDensity, sum } from '../../base/measures';
import type { SignalId } from '../../records/shapes';
import { baseOf, dayFactor, LOOK_BEYOND_DAYS, LOOK_EVERY, type PlanProblem } from '../planning';
import type { HeadPart } from './headPart';
import type { Rows } from './rows';

/**
 * Standardised distances at which the curve of the expected distance outside an edge gets a tangent; the outermost are its
 * two straight arms. Between two of them the pieces lie at most 0.02 standard deviations under the curve.
 */
const TANGENTS = [-1.6, -0.9, -0.35, 0.1, 0.55, 1.1, 1.9] as const;

/** What a use moves less than this is not worth a term. */
const TOO_SMALL = 1e-6;

/**
 * The forecast as rows. What treatments add to a signal is a state that fades by the signal's retention; what they add to its
 * variance fades by the square, and enters the error by the tangent of the square root, which lies above it. The expected
 * distance outside an edge is convex in mean and error, and of degree one in both, so that tangents through any error touch it.
 */
export function forecastRows(rows: Rows, problem: PlanProblem, part: HeadPart): void {
  for (const signal of ['firmness', 'breakage', 'porosity'] as const) signalRows(rows, problem, part, signal);
}

interface Signal {
  /** What treatments add to the mean on a day, as the name of its variable. */
  readonly shift: (at: number) => string;
  readonly spread: (at: number) => string;
}

function signalRows(rows: Rows, problem: PlanProblem, part: HeadPart, signal: SignalId): void {
  const { head, index, days } = part;
  const last = days + LOOK_BEYOND_DAYS;
  const base = baseOf(head, signal, problem.from, last);
  const { retentionPerDay: kept } = head.signals[signal];
  const every = LOOK_EVERY[signal];
  const names: Signal = {
    shift: (at) => `u${index}${signal.charAt(0)}${at}`,
    spread: (at) => `v${index}${signal.charAt(0)}${at}`,
  };
  for (let at = 0; at < last; at++) {
    const today = part.placements.filter((placement) => placement.at === at);
    const moved = today
      .map(({ name, treatment }) => ({ name, factor: -treatment.effect[signal].mean }))
      .filter(({ factor }) => Math.abs(factor) > TOO_SMALL);
    const spread = today
      .map(({ name, treatment }) => ({ name, factor: -(treatment.effect[signal].sd ** 2) }))
      .filter(({ factor }) => Math.abs(factor) > TOO_SMALL);
    rows.free(names.shift(at));
    const before = (name: (at: number) => string, left: number) =>
      at === 0 ? [] : [{ name: name(at - 1), factor: -left }];
    rows.row([{ name: names.shift(at), factor: 1 }, ...before(names.shift, kept), ...moved], '=', 0);
    rows.row([{ name: names.spread(at), factor: 1 }, ...before(names.spread, kept ** 2), ...spread], '=', 0);
  }
  const { low, high } = head.signals[signal].comfortZone;
  for (let at = every - 1; at < last; at += every) {
    const estimate = base[at];
    if (!estimate) continue;
    const weight = every * dayFactor(head, problem.from, at);
    const { above, below } = weightsOf(part, signal);
    if (high !== null)
      excessRows(rows, names, at, estimate, high, 1, `a${index}${signal.charAt(0)}${at}`, weight * above);
    if (low !== null)
      excessRows(rows, names, at, estimate, low, -1, `b${index}${signal.charAt(0)}${at}`, weight * below);
  }
  if (signal === 'firmness') firmHoldRows(rows, part, names, base);
}

function weightsOf({ head: { weights } }: HeadPart, signal: SignalId): { above: number; below: number } {
  if (signal === 'firmness') return { above: weights.outOfLane + weights.overload, below: weights.outOfLane };
  const weight = signal === 'breakage' ? weights.breakage : weights.porosity;
  return { above: weight, below: weight };
}

type Estimate = { readonly mean: number; readonly sd: number };

/** sign 1: above the edge; −1: below it. */
function excessRows(
  rows: Rows,
  { shift, spread }: Signal,
  at: number,
  { mean, sd }: Estimate,
  edge: number,
  sign: 1 | -1,
  name: string,
  weight: number,
): void {
  if (weight === 0) return;
  rows.cost(name, weight);
  const distance = sign * (mean - edge);
  const tangent = (slope: number, height: number) =>
    // name ≥ slope · (distance + sign · shift) + height · (sd + spread / (2 sd))
    rows.row(
      [
        { name, factor: 1 },
        { name: shift(at), factor: -slope * sign },
        ...(height === 0 ? [] : [{ name: spread(at), factor: -height / (2 * sd) }]),
      ],
      '>=',
      slope * distance + height * sd,
    );
  tangent(1, 0);
  for (const z of TANGENTS) tangent(normalCdf(z), normalDensity(z));
}

/**
 * A firming treatment only while the chance of being too firm that morning is small enough: mean + z · error ≤ edge. The
 * error is taken at its larger where z is positive, and as it is without treatments where z is negative.
 */
function firmHoldRows(
  rows: Rows,
  part: HeadPart,
  { shift, spread }: Signal,
  base: readonly Estimate[],
): void {
  const { firmHold } = part.head.rules;
  const { high } = part.head.signals.firmness.comfortZone;
  if (firmHold === null || high === null) return;
  const z = quantile(1 - firmHold);
  const kept = part.head.signals.firmness.retentionPerDay;
  for (let at = 0; at < part.days; at++) {
    const estimate = base[at];
    const firming = [...part.on('main', at), ...part.on('pre-poo', at)].filter(
      ({ treatment }) => treatment.firms,
    );
    if (!estimate || firming.length === 0) continue;
    const { mean, sd } = estimate;
    const known = mean + z * sd - high;
    const most = Math.max(0, known) + sum([4, Math.abs(z)]);
    const before =
      at === 0
        ? []
        : [
            { name: shift(at - 1), factor: kept },
            ...(z > 0 ? [{ name: spread(at - 1), factor: (z * kept ** 2) / (2 * sd) }] : []),
          ];
    // Each day has at most one of them, so one row serves them all.
    const mains = firming.filter(({ slot }) => slot === 'main');
    const prePoos = firming.filter(({ slot }) => slot === 'pre-poo');
    for (const group of [mains, prePoos]) {
      if (group.length === 0) continue;
      rows.row(
        [...before, ...group.map(({ name }) => ({ name, factor: most }))],
        '<=',
        most - known - 1e-7,
        'firm-hold',
      );
    }
  }
}

/** The standard normal quantile, by bisection of the distribution function; exact to 1e-9. */
function quantile(share: number): number {
  let [low, high] = [-8, 8];
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (normalCdf(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
