/** A part of a drawing, pixels. */
export interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** A name that looks for its place beside a mark. */
export interface Named {
  readonly name: string;
  /** The mark; its name keeps near to it. */
  readonly mark: Box;
}

export interface PlacedName {
  readonly name: string;
  /** Where its letters begin, and the line that they stand on, pixels. */
  readonly x: number;
  readonly y: number;
}

/** Pixels of a bold letter of 14, about; of a line; between a mark and its name. */
const LETTER = 7.4;
const LINE = 17;
const GAP = 4;
/** How far the letters stand over the foot of their line. */
const DESCENT = 4;
/** What each later place costs, and a square pixel that is covered: a pixel of a line's height more than the last free place. */
const LATER = 12;
const COVERED = 8;
/** What a square pixel beyond the edge costs: it would be cut off. */
const OUTSIDE = 80;

const covered = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.right, b.right) - Math.max(a.left, b.left)) *
  Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top));

/** Places that are tried, the likeliest first: right, left, over and under the mark, and a line further each. */
function* placesBeside({ left, right, top, bottom }: Box, length: number): Generator<Box> {
  const middle = (top + bottom) / 2;
  const centre = (left + right) / 2;
  const at = (x: number, y: number): Box => ({ left: x, right: x + length, top: y, bottom: y + LINE });
  for (const down of [0, -LINE, LINE]) {
    yield at(right + GAP, middle - LINE / 2 + down);
    yield at(left - GAP - length, middle - LINE / 2 + down);
  }
  for (const x of [centre - length / 2, left, right - length])
    for (const further of [0, LINE]) {
      yield at(x, top - GAP - LINE - further);
      yield at(x, bottom + GAP + further);
    }
}

/**
 * Names beside their marks where they cover least: of the marks, of other names, and of what else stands there. In the order
 * in which they are given; the same drawing places them the same.
 * @param within where they may stand, pixels
 * @param others what they keep off, beside the marks
 */
export function placeNames(named: readonly Named[], within: Box, others: readonly Box[]): PlacedName[] {
  const taken = [...others, ...named.map(({ mark }) => mark)];
  return named.map(({ name, mark }) => {
    const length = name.length * LETTER;
    const cost = (box: Box, nth: number): number => {
      const inside = covered(box, within);
      const outside = (box.right - box.left) * (box.bottom - box.top) - inside;
      return (
        OUTSIDE * outside + COVERED * taken.reduce((all, each) => all + covered(box, each), 0) + LATER * nth
      );
    };
    const [first, ...more] = [...placesBeside(mark, length)].map((box, nth) => ({
      box,
      cost: cost(box, nth),
    }));
    const best = more.reduce((least, each) => (each.cost < least.cost ? each : least), first!);
    taken.push(best.box);
    return { name, x: best.box.left, y: best.box.bottom - DESCENT };
  });
}
