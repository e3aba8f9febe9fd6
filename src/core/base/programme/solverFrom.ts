import type { Highs, Model, ModelData } from 'highs';
import { SOLVE_DEFAULTS, type Programme, type Solution, type SolveProgramme } from './programme';

const NOTHING: Omit<Solution, 'status'> = { values: {}, objective: 0, bound: 0 };

/** Seconds between two reports of progress. */
const REPORT_EVERY_SECONDS = 0.2;
/**
 * Between two of the solver's own looks lie milliseconds. When the clock says more than this, the device slept meanwhile,
 * and its sleep is none of the solver's time (working assumption).
 */
const LONGEST_STEP_SECONDS = 1;
/** With a clock of ours the solver's own, which also runs while a device sleeps, is put out of the way. */
const NO_LIMIT_SECONDS = 1e7;

/**
 * Wraps the solver package. A model that it does not understand comes back as "failed", never as an exception; the same
 * programme with the same options gives the same answer unless the time was over.
 * @param now milliseconds of a clock that never goes back, where time that a device slept must not count; without one the
 * solver's own clock is used
 */
export function solverFrom(highs: Highs, now?: () => number): SolveProgramme {
  return (programme, options = {}) => {
    const { seconds, gap, start, onProgress } = { ...SOLVE_DEFAULTS, ...options };
    const index = indexOf(programme);
    if (index.size === 0) return { status: 'optimal', ...NOTHING };
    const { modelStatus, callbackType } = highs.constants;
    let reported = -Infinity;
    const worked = now && secondsOfWork(now);
    try {
      return highs.withModel(modelOf(programme, index, highs.infinity), (model): Solution => {
        model.options.set({
          output_flag: false,
          time_limit: worked ? NO_LIMIT_SECONDS : seconds,
          mip_rel_gap: gap,
          random_seed: 1,
        });
        if (start) model.setSolution(startOf(start, index));
        model.run(
          (onProgress || worked) && {
            [callbackType.mipInterrupt]: (event) => {
              const spent = worked ? worked() : Number(event.data.running_time ?? 0);
              if (worked && spent >= seconds) event.interrupt();
              if (!onProgress || spent - reported < REPORT_EVERY_SECONDS) return;
              reported = spent;
              onProgress({ seconds: spent, gap: Number(event.data.mip_gap ?? Infinity) });
            },
          },
        );
        const status = model.getModelStatus();
        if (status === modelStatus.infeasible) return { status: 'infeasible', ...NOTHING };
        const isProven = status === modelStatus.optimal;
        if (!isProven && !hasAnswer(model)) return { status: 'failed', ...NOTHING };
        return solutionOf(model, programme, index, isProven);
      });
    } catch {
      return { status: 'failed', ...NOTHING };
    }
  };
}

/** Seconds since now that were worked and not slept; to be asked often. */
function secondsOfWork(now: () => number): () => number {
  let last = now();
  let total = 0;
  return () => {
    const at = now();
    total += Math.min((at - last) / 1000, LONGEST_STEP_SECONDS);
    last = at;
    return total;
  };
}

/** Every variable that is named anywhere, in the order of its first naming. */
function indexOf({ minimise, constraints, bounds, binary }: Programme): Map<string, number> {
  const index = new Map<string, number>();
  const see = (name: string) => {
    if (!index.has(name)) index.set(name, index.size);
  };
  for (const { name } of minimise) see(name);
  for (const { terms } of constraints) for (const { name } of terms) see(name);
  for (const { name } of bounds) see(name);
  for (const name of binary) see(name);
  return index;
}

function modelOf(programme: Programme, index: ReadonlyMap<string, number>, infinity: number): ModelData {
  const count = index.size;
  const at = (name: string) => index.get(name) as number;
  const colCost = new Float64Array(count);
  const colLower = new Float64Array(count);
  const colUpper = new Float64Array(count).fill(infinity);
  const integrality = new Int32Array(count);
  for (const { name, factor } of programme.minimise) colCost[at(name)] = (colCost[at(name)] ?? 0) + factor;
  for (const name of programme.binary) {
    colUpper[at(name)] = 1;
    integrality[at(name)] = 1;
  }
  for (const { name, low, high } of programme.bounds) {
    colLower[at(name)] = low === -Infinity ? -infinity : low;
    colUpper[at(name)] = high === Infinity ? infinity : high;
  }
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of programme.constraints) {
    // The solver wants each variable once a row.
    const row = new Map<number, number>();
    for (const { name, factor } of terms) row.set(at(name), (row.get(at(name)) ?? 0) + factor);
    for (const [column, factor] of row) {
      if (factor === 0) continue;
      indices.push(column);
      values.push(factor);
    }
    starts.push(indices.length);
  }
  const numRows = programme.constraints.length;
  return {
    numCols: count,
    numRows,
    offset: programme.constant ?? 0,
    colCost,
    colLower,
    colUpper,
    rowLower: programme.constraints.map(({ is, value }) => (is === '<=' ? -infinity : value)),
    rowUpper: programme.constraints.map(({ is, value }) => (is === '>=' ? infinity : value)),
    matrix: { format: 'csr', numRows, numCols: count, starts, indices, values },
    integrality,
  };
}

function startOf(start: Readonly<Record<string, number>>, index: ReadonlyMap<string, number>) {
  const known = Object.entries(start).filter(([name]) => index.has(name));
  return {
    indices: known.map(([name]) => index.get(name) as number),
    values: known.map(([, value]) => value),
  };
}

function hasAnswer(model: Model): boolean {
  return Number(model.info.get('primal_solution_status')) === 2;
}

function solutionOf(
  model: Model,
  programme: Programme,
  index: ReadonlyMap<string, number>,
  isProven: boolean,
): Solution {
  const { colValue } = model.getSolution();
  const binary = new Set(programme.binary);
  const objective = model.getObjectiveValue();
  const bound = binary.size === 0 ? objective : Number(model.info.get('mip_dual_bound'));
  return {
    status: isProven ? 'optimal' : 'feasible',
    values: Object.fromEntries(
      [...index].map(([name, column]) => {
        const value = colValue[column] ?? 0;
        return [name, binary.has(name) ? Math.round(value) : value];
      }),
    ),
    objective,
    bound: Number.isFinite(bound) ? bound : -Infinity,
  };
}
