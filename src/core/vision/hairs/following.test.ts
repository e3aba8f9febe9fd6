import { countDoubt, countsOf, joined, keptFrom, split, struck, turned } from './byHand';
import { thin } from './skeleton';
import { followed } from './strands';
import { webOf } from './web';

const SIDE = 200;

/** Lines of three pixels on a square, followed. */
function strandsIn(lines: readonly (readonly [x1: number, y1: number, x2: number, y2: number])[]) {
  const width = SIDE;
  const mask = new Uint8Array(SIDE * SIDE);
  for (const [x1, y1, x2, y2] of lines) {
    const steps = 2 * Math.ceil(Math.hypot(x2 - x1, y2 - y1));
    for (let step = 0; step <= steps; step++)
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const x = Math.round(x1 + ((x2 - x1) * step) / steps) + dx;
          const y = Math.round(y1 + ((y2 - y1) * step) / steps) + dy;
          mask[y * SIDE + x] = 1;
        }
  }
  const depth = mask.map((value) => 100 * value);
  thin(mask, width);
  return followed(webOf(mask, width), depth);
}

const longest = (points: readonly { x: number; y: number }[]) => {
  const [first, last] = [points[0], points.at(-1)];
  return first && last ? Math.hypot(first.x - last.x, first.y - last.y) : 0;
};

describe('hairs that are followed', () => {
  it('one alone is one', () => {
    const { strands } = strandsIn([[20, 20, 160, 60]]);
    expect(strands).toHaveLength(1);
    expect(longest(strands[0]?.line ?? [])).toBeCloseTo(Math.hypot(140, 40), -1);
  });

  it('two that cross go straight on', () => {
    const { strands, crossings } = strandsIn([
      [20, 20, 180, 180],
      [20, 180, 180, 20],
    ]);
    expect(crossings).toBe(1);
    expect(strands.map(({ line }) => Math.round(longest(line) / 20))).toEqual([11, 11]);
  });

  it('three through one place are three', () => {
    const { strands } = strandsIn([
      [20, 100, 180, 100],
      [40, 20, 160, 180],
      [160, 20, 40, 180],
    ]);
    expect(strands).toHaveLength(3);
  });

  it('two that lie on one another for a while are two, each whole', () => {
    const { strands } = strandsIn([
      [20, 60, 80, 100],
      [80, 100, 120, 100],
      [120, 100, 180, 140],
      [20, 140, 80, 100],
      [120, 100, 180, 60],
    ]);
    expect(strands).toHaveLength(2);
    for (const { line } of strands) expect(longest(line)).toBeGreaterThan(140);
  });

  it('one that ends at another is its own', () => {
    const { strands } = strandsIn([
      [20, 100, 180, 100],
      [100, 102, 100, 180],
    ]);
    expect(strands).toHaveLength(2);
    expect(strands.some(({ freeEnds }) => freeEnds.includes(false))).toBe(true);
  });

  it('goes on over a small gap', () => {
    const { strands } = strandsIn([
      [20, 100, 90, 100],
      [104, 100, 180, 100],
    ]);
    expect(strands).toHaveLength(1);
  });
});

describe('hairs put right by hand', () => {
  const line = Array.from({ length: 11 }, (_, x) => ({ x, y: 0 }));
  const hairs = keptFrom([
    { line, lengthMm: 100, hasRoot: true, kind: 'shed' },
    { line, lengthMm: 40, hasRoot: false, kind: 'broken' },
    { line, lengthMm: 30, hasRoot: false, kind: 'broken' },
  ]);

  it('are counted as they are left', () => {
    expect(countsOf(hairs)).toEqual({ broken: 2, shed: 1 });
    expect(countsOf(turned(hairs, '2'))).toEqual({ broken: 1, shed: 2 });
    expect(countsOf(struck(hairs, '3'))).toEqual({ broken: 1, shed: 1 });
  });

  it('are split in the middle and joined again', () => {
    const halves = split(hairs, '1');
    expect(halves.map(({ lengthMm }) => lengthMm)).toEqual([50, 50, 40, 30]);
    expect(joined(halves, '1a', '1b').map(({ lengthMm }) => lengthMm)).toEqual([100, 40, 30]);
    expect(joined(hairs, '2', '1').find(({ id }) => id === '2')).toMatchObject({
      kind: 'shed',
      lengthMm: 140,
    });
    expect(joined(hairs, '2', '2')).toEqual(hairs);
  });

  it('leave less doubt the surer the count is', () => {
    expect(countDoubt(0.95)).toBeLessThan(countDoubt(0.5));
    expect(countDoubt(0.95)).toBeGreaterThan(0.1);
    expect(countDoubt(1)).toBeLessThan(0.2);
  });
});
