/** Places of the eight neighbours, with the clock from above. */
export const around = (width: number): readonly number[] => [
  -width,
  -width + 1,
  1,
  width + 1,
  width,
  width - 1,
  -1,
  -width - 1,
];

/**
 * Lines one pixel wide: thinned (Zhang & Suen, Comm. ACM 27, 1984), then freed of whatever can go without parting its neighbours, so
 * that a corner of a staircase is no crossing. In place; the mask has a border of nothing.
 */
export function thin(mask: Uint8Array, width: number): void {
  const ring = around(width);
  let live: number[] = [];
  for (let at = 0; at < mask.length; at++) if (mask[at] === 1) live.push(at);
  for (let changed = true; changed;) {
    changed = false;
    for (const pass of [0, 1]) {
      const gone = live.filter((at) => isOuter(mask, ring, at, pass));
      for (const at of gone) mask[at] = 0;
      if (gone.length > 0) {
        changed = true;
        live = live.filter((at) => mask[at] === 1);
      }
    }
  }
  for (const at of live) if (isSpare(mask, ring, at)) mask[at] = 0;
}

function isOuter(mask: Uint8Array, ring: readonly number[], at: number, pass: number): boolean {
  let count = 0;
  let rises = 0;
  for (let each = 0; each < 8; each++) {
    const now = mask[at + (ring[each] ?? 0)] ?? 0;
    count += now;
    if (now === 0 && mask[at + (ring[(each + 1) % 8] ?? 0)] === 1) rises++;
  }
  if (count < 2 || count > 6 || rises !== 1) return false;
  const of = (each: number) => mask[at + (ring[each] ?? 0)] ?? 0;
  const [up, right, down, left] = [of(0), of(2), of(4), of(6)];
  return pass === 0
    ? up * right * down === 0 && right * down * left === 0
    : up * right * left === 0 && up * down * left === 0;
}

/** Whether all neighbours stay joined to each other without it; an end stays. */
function isSpare(mask: Uint8Array, ring: readonly number[], at: number): boolean {
  const there = ring.map((step) => mask[at + step] === 1);
  const count = there.filter(Boolean).length;
  if (count < 2) return false;
  // Neighbours that touch, straight or over a corner that is straight of the middle.
  const first = there.indexOf(true);
  const reached = new Set([first]);
  const open = [first];
  for (let each = open.pop(); each !== undefined; each = open.pop())
    for (const step of each % 2 === 0 ? [-2, -1, 1, 2] : [-1, 1]) {
      const next = (each + step + 8) % 8;
      if (!there[next] || reached.has(next)) continue;
      reached.add(next);
      open.push(next);
    }
  return reached.size === count;
}
