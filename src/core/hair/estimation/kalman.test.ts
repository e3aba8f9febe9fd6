import fc from 'fast-check';
import { effectOf, levelOf, observe, passDay, push, startState } from './kalman';
import { markOf, smoothedLevels, type TapeEntry } from './smoother';

/**
 * The slow way to the same answer: every day's level is written out as a linear form of independent standard
 * normals (start, rest, effects, each day's noise), and the measurements condition the whole at once.
 */
class Dense {
  readonly priorMean: number[] = [];
  readonly sds: number[] = [];
  private level: number[] = [];
  private readonly rows: { form: number[]; value: number; sd: number }[] = [];
  private readonly restIndex = 1;

  constructor(
    level: { mean: number; sd: number },
    rest: { mean: number; sd: number },
    effects: readonly { mean: number; sd: number }[],
  ) {
    for (const { mean, sd } of [level, rest, ...effects]) {
      this.priorMean.push(mean);
      this.sds.push(sd);
    }
    this.level = this.unit(0);
  }

  private unit(index: number): number[] {
    return Array.from({ length: this.sds.length }, (_, at) => (at === index ? 1 : 0));
  }

  passDay(retention: number, sd: number) {
    this.priorMean.push(0);
    this.sds.push(sd);
    this.level = this.sds.map((_, at) => retention * (this.level[at] ?? 0));
    this.level[this.restIndex] = (this.level[this.restIndex] ?? 0) + (1 - retention);
    this.level[this.sds.length - 1] = 1;
  }

  push(effect: number, dose: number) {
    this.level = this.level.map((weight, at) => (at === 2 + effect ? weight + dose : weight));
  }

  observe(value: number, sd: number) {
    this.rows.push({ form: [...this.level], value, sd });
  }

  /** Mean and variance of a linear form given all measurements. */
  private given(form: number[]) {
    const dot = (a: number[], b: number[]) =>
      this.sds.reduce((sum, sd, at) => sum + (a[at] ?? 0) * (b[at] ?? 0) * sd * sd, 0);
    const meanOf = (a: number[]) => this.priorMean.reduce((sum, mean, at) => sum + mean * (a[at] ?? 0), 0);
    const gram = this.rows.map((row, i) =>
      this.rows.map((other, j) => dot(row.form, other.form) + (i === j ? row.sd ** 2 : 0)),
    );
    const cross = this.rows.map((row) => dot(row.form, form));
    const solvedResidual = solve(
      gram,
      this.rows.map((row) => row.value - meanOf(row.form)),
    );
    const solvedCross = solve(gram, cross);
    return {
      mean: meanOf(form) + cross.reduce((sum, value, at) => sum + value * (solvedResidual[at] ?? 0), 0),
      variance: dot(form, form) - cross.reduce((sum, value, at) => sum + value * (solvedCross[at] ?? 0), 0),
    };
  }

  levelNow() {
    return this.given(this.level);
  }

  /** The level of this moment, to be asked for when later measurements are known too. */
  levelLater() {
    const form = [...this.level];
    return () => this.given(this.sds.map((_, at) => form[at] ?? 0));
  }

  effect(index: number) {
    return this.given(this.unit(2 + index));
  }
}

/** Gaussian elimination without pivoting: the matrix is symmetric and positive definite. */
function solve(matrix: number[][], right: number[]): number[] {
  const size = right.length;
  const rows = matrix.map((row, index) => Float64Array.from([...row, right[index] ?? 0]));
  const row = (index: number) => rows[index] as Float64Array;
  for (let pivot = 0; pivot < size; pivot++) {
    for (let below = pivot + 1; below < size; below++) {
      const factor = row(below)[pivot]! / row(pivot)[pivot]!;
      row(below).forEach((_, column) => {
        row(below)[column]! -= factor * row(pivot)[column]!;
      });
    }
  }
  const result = new Array<number>(size).fill(0);
  for (let index = size - 1; index >= 0; index--) {
    const known = result.reduce((sum, value, column) => sum + value * row(index)[column]!, 0);
    result[index] = (row(index)[size]! - known) / row(index)[index]!;
  }
  return result;
}

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const step = fc.oneof(
  fc.record({ what: fc.constant('day' as const) }),
  fc.record({
    what: fc.constant('push' as const),
    effect: fc.integer({ min: 0, max: 2 }),
    dose: number(0.2, 1.5),
  }),
  fc.record({ what: fc.constant('measure' as const), value: number(-2, 2), sd: number(0.2, 0.8) }),
);

describe('the filter and the smoother', () => {
  it('agree with conditioning the whole history at once, for now, the effects and every past moment', () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 3, maxLength: 40 }), number(0.75, 0.98), (steps, retention) => {
        const priors = [
          { mean: 0.4, sd: 0.7 },
          { mean: 0.1, sd: 0.4 },
        ] as const;
        const effects = [
          { mean: 0.5, sd: 0.3 },
          { mean: -0.6, sd: 0.3 },
          { mean: 0, sd: 0.2 },
        ];
        const fast = startState(priors[0], priors[1], effects);
        const slow = new Dense(priors[0], priors[1], effects);
        const tape: TapeEntry[] = [];
        const past: (() => { mean: number; variance: number })[] = [];
        for (const each of steps) {
          if (each.what === 'day') {
            passDay(fast, retention, 0.2);
            slow.passDay(retention, 0.2);
            tape.push({ what: 'day', retention });
          } else if (each.what === 'push') {
            push(fast, each.effect, each.dose);
            slow.push(each.effect, each.dose);
            tape.push({ what: 'push', effect: each.effect, dose: each.dose });
          } else {
            tape.push({ what: 'observe', ...observe(fast, each.value, each.sd ** 2) });
            slow.observe(each.value, each.sd);
          }
          tape.push(markOf(fast));
          past.push(slow.levelLater());
        }
        const pairs = [
          [levelOf(fast), slow.levelNow()],
          ...[0, 1, 2].map((index) => [effectOf(fast, index), slow.effect(index)]),
          ...smoothedLevels(tape, fast.size).map((level, index) => [level, past[index]?.()]),
        ];
        for (const [quick, exact] of pairs) {
          expect(quick?.mean).toBeCloseTo(exact?.mean ?? NaN, 8);
          expect(quick?.variance).toBeCloseTo(exact?.variance ?? NaN, 8);
        }
      }),
      { numRuns: 100 },
    );
  });

  it('trusts a sharp measurement and hardly moves for a blunt one', () => {
    const sharp = startState({ mean: 0, sd: 0.7 }, { mean: 0, sd: 0.4 }, []);
    observe(sharp, 1, 0.01 ** 2);
    expect(levelOf(sharp).mean).toBeCloseTo(1, 2);
    const blunt = startState({ mean: 0, sd: 0.7 }, { mean: 0, sd: 0.4 }, []);
    observe(blunt, 1, 10 ** 2);
    expect(levelOf(blunt).mean).toBeLessThan(0.02);
  });
});
