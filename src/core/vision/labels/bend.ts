/**
 * How the lines of a text run: the height at which a place of the picture would stand if they were level is y + slope·u + arch·u² +
 * fan·u·v + swing·u²·v, with u and v from −1 to 1 across and down the picture. Slope is its tilt, arch the round of a bottle, fan and
 * swing what perspective does to both.
 */
export interface Bend {
  readonly width: number;
  readonly height: number;
  readonly slope: number;
  readonly arch: number;
  readonly fan: number;
  readonly swing: number;
  /** From line to line, pixels. */
  readonly pitch: number;
}

type Turn = readonly [slope: number, arch: number, fan: number, swing: number];

/** Steepest tilt looked for, as the tangent of 23 degrees. */
const STEEPEST = 0.42;
const MOST_PITCH = 90;
const LEAST_PITCH = 8;

/** The bend under which the rows of ink and the rows between them stand apart most. */
export function bendOf(points: { xs: Float32Array; ys: Float32Array }, width: number, height: number): Bend {
  const rows = new Rows(points, width, height);
  const steep = (STEEPEST * width) / 2;
  let starts: { turn: Turn; score: number }[] = [];
  for (let slope = -steep; slope <= steep; slope += 2) {
    const turn: Turn = [slope, 0, 0, 0];
    starts.push({ turn, score: rows.score(turn) });
  }
  starts = starts.sort((a, b) => b.score - a.score).slice(0, 4);
  for (const { turn } of [...starts])
    for (let arch = -36; arch <= 36; arch += 4)
      starts.push({ turn: [turn[0], arch, 0, 0], score: rows.score([turn[0], arch, 0, 0]) });
  const refined = starts
    .sort((a, b) => b.score - a.score)
    .slice(0, 4)
    .map(({ turn, score }) => climbed(rows, turn, score))
    .sort((a, b) => b.score - a.score);
  const [slope, arch, fan, swing] = refined[0]?.turn ?? [0, 0, 0, 0];
  const turn: Turn = [slope, arch, fan, swing];
  return {
    width,
    height,
    slope,
    arch,
    fan,
    swing,
    pitch: rows.pitch(turn),
  };
}

function climbed(rows: Rows, start: Turn, score: number): { turn: Turn; score: number } {
  let best = { turn: start, score };
  for (let step = 8; step >= 0.5; step /= 2)
    for (let rounds = 0; rounds < 6; rounds++) {
      const before = best.score;
      for (let part = 0; part < 4; part++)
        for (const way of [-step, step]) {
          const turn = best.turn.map((value, index) =>
            index === part ? value + way : value,
          ) as unknown as Turn;
          const found = rows.score(turn);
          if (found > best.score) best = { turn, score: found };
        }
      if (best.score === before) break;
    }
  return best;
}

/** Where in the picture the place lies that stands at this height once the lines are level. */
export function straightY(
  { width, height, slope, arch, fan, swing }: Bend,
  x: number,
  level: number,
): number {
  const u = (2 * x) / width - 1;
  // v belongs to the place that is sought: near enough after one round.
  let y = level;
  for (let round = 0; round < 2; round++) {
    const v = (2 * y) / height - 1;
    y = level - (slope * u + arch * u * u + fan * u * v + swing * u * u * v);
  }
  return y;
}

class Rows {
  private readonly us: Float32Array;
  private readonly vs: Float32Array;
  private readonly counts: Float32Array;

  constructor(
    private readonly points: { xs: Float32Array; ys: Float32Array },
    width: number,
    private readonly height: number,
  ) {
    this.us = points.xs.map((x) => (2 * x) / width - 1);
    this.vs = points.ys.map((y) => (2 * y) / height - 1);
    this.counts = new Float32Array(3 * height);
  }

  /** Ink by rows once the lines are turned level. */
  private fill([slope, arch, fan, swing]: Turn): Float32Array {
    const { counts, us, vs, height } = this;
    counts.fill(0);
    for (let index = 0; index < us.length; index++) {
      const u = us[index] ?? 0;
      const v = vs[index] ?? 0;
      const y = (this.points.ys[index] ?? 0) + slope * u + arch * u * u + fan * u * v + swing * u * u * v;
      const row = Math.round(y) + height;
      if (row >= 0 && row < counts.length) counts[row] = (counts[row] ?? 0) + 1;
    }
    return counts;
  }

  /** Squared steps from row to row: high where rows of ink and the ground between them are told apart. */
  score(turn: Turn): number {
    const counts = this.fill(turn);
    let squares = 0;
    for (let row = 2; row < counts.length; row++)
      squares += ((counts[row] ?? 0) - (counts[row - 2] ?? 0)) ** 2;
    return squares;
  }

  /** The distance at which the rows repeat themselves. */
  pitch(turn: Turn): number {
    const counts = this.fill(turn);
    const mean = counts.reduce((sum, count) => sum + count, 0) / counts.length;
    const flat = counts.map((count) => count - mean);
    const likeness = (shift: number) => {
      let sum = 0;
      for (let row = shift; row < flat.length; row++) sum += (flat[row] ?? 0) * (flat[row - shift] ?? 0);
      return sum;
    };
    let best = { shift: 24, of: 0 };
    for (let shift = LEAST_PITCH; shift <= MOST_PITCH; shift++) {
      const of = likeness(shift);
      if (of > likeness(shift - 1) && of >= likeness(shift + 1) && of > 1.15 * best.of) best = { shift, of };
    }
    return best.shift;
  }
}
