/**
 * How the lines of a text run: a place of the picture would stand by {@link lift} lower if they were level. Slope is their tilt, arch
 * the round of a bottle, fan and swing what perspective does to both; pixels at the rim of the picture.
 */
type Turn = readonly [slope: number, arch: number, fan: number, swing: number];

export interface Bend {
  readonly width: number;
  readonly height: number;
  readonly turn: Turn;
  /** From line to line, pixels. */
  readonly pitch: number;
}

/** @param u from −1 to 1 across the picture; @param v the same down */
const lift = ([slope, arch, fan, swing]: Turn, u: number, v: number): number =>
  slope * u + arch * u * u + fan * u * v + swing * u * u * v;

/** Places of ink in a picture, pixels. */
export interface InkPoints {
  readonly xs: Float32Array;
  readonly ys: Float32Array;
}

interface Start {
  readonly turn: Turn;
  readonly score: number;
}

/** Steepest tilt looked for, as the tangent of 23 degrees. */
const STEEPEST = 0.42;
const MOST_PITCH = 90;
const LEAST_PITCH = 8;

/** Starts that are climbed from. */
const STARTS = 4;
const best = (starts: readonly Start[]) => [...starts].sort((a, b) => b.score - a.score).slice(0, STARTS);

/** From `from` on in steps, `to` among them where they meet it. */
function stepped(from: number, to: number, step: number): number[] {
  return Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => from + index * step);
}

/** The bend under which the rows of ink and the rows between them stand apart most. */
export function bendOf(points: InkPoints, width: number, height: number): Bend {
  const rows = new Rows(points, width, height);
  const scored = (turn: Turn): Start => ({ turn, score: rows.score(turn) });
  const steep = (STEEPEST * width) / 2;
  const tilted = best(stepped(-steep, steep, 2).map((slope) => scored([slope, 0, 0, 0])));
  const arched = tilted.flatMap(({ turn: [slope] }) =>
    stepped(-36, 36, 4).map((arch) => scored([slope, arch, 0, 0])),
  );
  const [found] = best(best([...tilted, ...arched]).map((start) => climbed(rows, start)));
  const turn: Turn = found?.turn ?? [0, 0, 0, 0];
  return { width, height, turn, pitch: rows.pitch(turn) };
}

function climbed(rows: Rows, start: Start): Start {
  let now = start;
  for (let step = 8; step >= 0.5; step /= 2)
    for (let rounds = 0; rounds < 6; rounds++) {
      const before = now.score;
      for (let part = 0; part < 4; part++)
        for (const way of [-step, step]) {
          const turn = now.turn.map((value, index) =>
            index === part ? value + way : value,
          ) as unknown as Turn;
          const found = rows.score(turn);
          if (found > now.score) now = { turn, score: found };
        }
      if (now.score === before) break;
    }
  return now;
}

/** Where in the picture the place lies that stands at this height once the lines are level. */
export function straightY({ width, height, turn }: Bend, x: number, level: number): number {
  const u = (2 * x) / width - 1;
  // v belongs to the place that is sought: near enough after one round.
  let y = level;
  for (let round = 0; round < 2; round++) {
    const v = (2 * y) / height - 1;
    y = level - lift(turn, u, v);
  }
  return y;
}

class Rows {
  private readonly us: Float32Array;
  private readonly vs: Float32Array;
  private readonly counts: Float32Array;

  constructor(
    private readonly points: InkPoints,
    width: number,
    private readonly height: number,
  ) {
    this.us = points.xs.map((x) => (2 * x) / width - 1);
    this.vs = points.ys.map((y) => (2 * y) / height - 1);
    this.counts = new Float32Array(3 * height);
  }

  /** Ink by rows once the lines are turned level. */
  private fill(turn: Turn): Float32Array {
    const { counts, us, vs, height } = this;
    counts.fill(0);
    for (let index = 0; index < us.length; index++) {
      const y = (this.points.ys[index] ?? 0) + lift(turn, us[index] ?? 0, vs[index] ?? 0);
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
