import fc from 'fast-check';
import { placeNames, type Box } from './placeNames';

const WITHIN: Box = { left: 0, right: 330, top: 0, bottom: 150 };
const markAt = (x: number, y: number): Box => ({ left: x - 12, right: x + 12, top: y - 12, bottom: y + 12 });
/** As the drawing measures names: 7.4 pixels a letter, lines of 17. */
const boxOf = ({ name, x, y }: { name: string; x: number; y: number }): Box => ({
  left: x,
  right: x + 7.4 * name.length,
  top: y - 13,
  bottom: y + 4,
});
const touch = (a: Box, b: Box) =>
  a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1;

describe('names beside marks', () => {
  it('stand right of a mark that is alone, and left of one at the edge', () => {
    const [alone, edge] = [markAt(40, 75), markAt(310, 75)].map(
      (mark) => placeNames([{ name: 'Okra slip', mark }], WITHIN, [])[0]!,
    );
    expect(alone!.x).toBeGreaterThan(52);
    expect(boxOf(edge!).right).toBeLessThan(300);
  });

  it('keep off each other, off marks, and off what else stands there', () => {
    const words: Box = { left: 250, right: 330, top: 90, bottom: 108 };
    const named = [
      { name: 'Okra slip', mark: markAt(20, 80) },
      { name: 'Silk & rice-water glaze', mark: markAt(150, 70) },
      { name: 'Kefir & mango', mark: markAt(260, 80) },
    ];
    const boxes = placeNames(named, WITHIN, [words]).map(boxOf);
    const others = [...named.map(({ mark }) => mark), words];
    for (const [index, box] of boxes.entries()) {
      expect(boxes.slice(index + 1).some((other) => touch(box, other))).toBe(false);
      expect(others.some((other) => touch(box, other))).toBe(false);
    }
  });

  it('of two marks at the same height do not cover each other, wherever they stand', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 15, max: 300 }),
        fc.integer({ min: 15, max: 300 }),
        fc.integer({ min: 20, max: 130 }),
        (a, b, y) => {
          const [one, two] = placeNames(
            [
              { name: 'Okra slip', mark: markAt(a, y) },
              { name: 'Pear cream', mark: markAt(b, y) },
            ],
            WITHIN,
            [],
          ).map(boxOf);
          expect(touch(one!, two!)).toBe(false);
        },
      ),
      { examples: [[70, 241, 20]] },
    );
  });
});
