import { distance, type Point } from '../pictures';
import type { Stretch, Web } from './web';

/** A hair as it was followed through the picture. */
export interface Strand {
  /** From end to end, pixels. */
  readonly line: readonly Point[];
  /** Whether its two ends end by themselves, not at another hair. */
  readonly freeEnds: readonly [boolean, boolean];
}

export interface Followed {
  readonly strands: readonly Strand[];
  /** Crossings that were gone through, and of these such as could be gone through otherwise nearly as well. */
  readonly crossings: number;
  readonly doubtful: number;
}

/** A stretch where it meets a node. */
interface Arm {
  readonly stretch: number;
  /** 0 at its first place, 1 at its last. */
  readonly end: 0 | 1;
  readonly at: Point;
  /** Away from the node, length 1. */
  readonly way: Point;
  /** How much darkness it draws across itself: its thickness. */
  readonly ink: number;
}

/** Nodes nearer than this are one crossing that the thinning pulled apart, pixels. */
const BRIDGE = 20;
/** So long two hairs may lie on one another, pixels. */
const LONGEST_SHARED = 130;
/** The way of an arm is that between these places from its end. */
const WAY = { from: 3, to: 18 } as const;
/** What an end at another hair costs, in squared radians of bending: two of them as much as a bend of 109 degrees. */
const END_COST = 1.8;
/** Free ends that look at each other over a gap are one hair. */
const GAP = { most: 34, cost: 0.35 } as const;
/** A second way through a crossing that costs no more than this more makes it doubtful. */
const DOUBT = 0.25;

/**
 * Follows hairs through their crossings: a crossing pairs its arms so that they bend least, and where two odd nodes are joined by a
 * stretch on which both could run on, two hairs lie on one another there.
 */
export function followed(web: Web, depth: Uint8Array): Followed {
  const { stretches } = web;
  const lengthOf = (stretch: Stretch) => stretch.places.length;
  const parent = Array.from({ length: web.nodes }, (_, node) => node);
  const rootOf = (node: number): number => {
    let at = node;
    while (parent[at] !== at) at = parent[at] ?? at;
    return at;
  };
  const inner = new Set<number>();
  const arms = stretches.map((stretch, index): readonly [Arm, Arm] => [
    { ...endOf(web, depth, stretch, 0), stretch: index },
    { ...endOf(web, depth, stretch, 1), stretch: index },
  ]);
  stretches.forEach((stretch, index) => {
    const [from, to] = stretch.nodes;
    if (from === null || to === null || from === to || lengthOf(stretch) >= BRIDGE) return;
    parent[rootOf(from)] = rootOf(to);
    inner.add(index);
  });
  const armsAt = new Map<number, Arm[]>();
  stretches.forEach((stretch, index) => {
    if (inner.has(index)) return;
    stretch.nodes.forEach((node, end) => {
      if (node === null) return;
      const root = rootOf(node);
      const there = armsAt.get(root) ?? [];
      there.push(arms[index]?.[end] as Arm);
      armsAt.set(root, there);
    });
  });

  // Two hairs on one another: the stretch counts twice. Odd nodes alone, the shortest stretch between them first.
  const partner = new Map<Arm, Arm>();
  const join = (one: Arm, other: Arm) => {
    partner.set(one, other);
    partner.set(other, one);
  };
  const all = [...stretches];
  const twice = stretches
    .map((stretch, index) => ({ stretch, index }))
    .filter(({ stretch: { nodes }, index }) => !inner.has(index) && nodes[0] !== null && nodes[1] !== null)
    .filter(({ stretch }) => lengthOf(stretch) <= LONGEST_SHARED)
    .sort((a, b) => lengthOf(a.stretch) - lengthOf(b.stretch));
  for (const { stretch, index } of twice) {
    const [p, q] = stretch.nodes.map((node) => rootOf(node as number)) as [number, number];
    const open = (node: number) => (armsAt.get(node) ?? []).filter((arm) => !partner.has(arm));
    const [ofP, ofQ] = [open(p), open(q)];
    if (p === q || ofP.length % 2 === 0 || ofQ.length % 2 === 0) continue;
    const [inP, inQ] = [intoBoth(ofP, index), intoBoth(ofQ, index)];
    if (!inP || !inQ) continue;
    const rest = (arms: readonly Arm[], into: Into) =>
      paired(arms.filter((arm) => arm !== into.shared && !into.arms.includes(arm))).cost;
    const together = inP.cost + inQ.cost + rest(ofP, inP) + rest(ofQ, inQ);
    if (together >= paired(ofP).cost + paired(ofQ).cost) continue;
    const copy: readonly [Arm, Arm] = [
      { ...(arms[index]?.[0] as Arm), stretch: all.length },
      { ...(arms[index]?.[1] as Arm), stretch: all.length },
    ];
    all.push(stretch);
    arms.push(copy);
    // They cross: who comes from the left goes on to the right.
    const [fromP, fromQ] = [bySide(inP), bySide(inQ)];
    join(fromP[0], inP.shared);
    join(fromP[1], copy[inP.shared.end]);
    join(fromQ[0], inQ.shared);
    join(fromQ[1], copy[inQ.shared.end]);
  }

  let crossings = 0;
  let doubtful = 0;
  for (const node of armsAt.values()) {
    const each = node.filter((arm) => !partner.has(arm));
    const { pairs, cost, second } = paired(each);
    crossings += each.length >= 4 ? 1 : 0;
    if (each.length >= 4 && second - cost < DOUBT) doubtful++;
    for (const [one, other] of pairs) join(one, other);
  }
  const free = stretches.flatMap((stretch, index) =>
    stretch.nodes.flatMap((node, end) => (node === null ? [arms[index]?.[end] as Arm] : [])),
  );
  for (const [one, other] of overGaps(free)) join(one, other);
  return { strands: walked({ ...web, stretches: all }, arms, partner, inner), crossings, doubtful };
}

const pointAt = (width: number, place: number): Point => ({ x: place % width, y: Math.floor(place / width) });

/** An arm but for the stretch that it is of. */
function endOf({ width }: Web, depth: Uint8Array, { places }: Stretch, end: 0 | 1): Omit<Arm, 'stretch'> {
  const last = places.length - 1;
  const place = (steps: number) => {
    const index = Math.min(last, steps);
    return pointAt(width, places[end === 0 ? index : last - index] ?? 0);
  };
  const near = place(Math.min(WAY.from, Math.floor(last / 3)));
  const far = place(WAY.to);
  const length = Math.max(1e-6, distance(near, far));
  return {
    end,
    at: place(0),
    way: { x: (far.x - near.x) / length, y: (far.y - near.y) / length },
    ink: inkOf(width, depth, end === 0 ? places.slice(0, INK.places) : places.slice(-INK.places)),
  };
}

const bend = (a: Point, b: Point) => Math.acos(Math.max(-1, Math.min(1, a.x * b.x + a.y * b.y)));
const back = ({ x, y }: Point): Point => ({ x: -x, y: -y });

/** Thickness is looked at over so many places from an end, so far aside; and what it costs to change it, against bending. */
const INK = { places: 40, aside: 2, cost: 1.5 } as const;

/** The middle one of the sums of darkness around these places: another hair that is crossed counts little. */
function inkOf(width: number, depth: Uint8Array, places: readonly number[]): number {
  const sums = places.map((place) => {
    let found = 0;
    for (let dy = -INK.aside; dy <= INK.aside; dy++)
      for (let dx = -INK.aside; dx <= INK.aside; dx++) found += depth[place + dy * width + dx] ?? 0;
    return found;
  });
  return Math.max(1, sums.sort((a, b) => a - b)[Math.floor(sums.length / 2)] ?? 1);
}

/** Squared radians that a hair bends from one arm to another, and what it would change in thickness. */
function bendCost(one: Arm, other: Arm): number {
  return turnCost(one, other) + INK.cost * Math.log(one.ink / other.ink) ** 2;
}

function turnCost(one: Arm, other: Arm): number {
  const apart = distance(one.at, other.at);
  const direct = bend(back(one.way), other.way) ** 2;
  if (apart < 8) return direct;
  const over = { x: (other.at.x - one.at.x) / apart, y: (other.at.y - one.at.y) / apart };
  return Math.max(direct, bend(back(one.way), over) ** 2 + bend(over, other.way) ** 2);
}

interface Pairing {
  readonly pairs: readonly (readonly [Arm, Arm])[];
  readonly cost: number;
  /** Of the best pairing that is another. */
  readonly second: number;
}

/** The pairing of a crossing's arms that bends least; an arm by itself ends there. */
function paired(arms: readonly Arm[]): Pairing {
  // Beyond eight arms the likest are paired first: there are too many ways to look at all.
  if (arms.length > 8) return greedy(arms);
  let best: { pairs: (readonly [Arm, Arm])[]; cost: number } = { pairs: [], cost: Infinity };
  let second = Infinity;
  const visit = (left: readonly Arm[], pairs: (readonly [Arm, Arm])[], cost: number) => {
    if (cost >= second) return;
    const [first, ...rest] = left;
    if (!first) {
      if (cost < best.cost) {
        second = best.cost;
        best = { pairs, cost };
      } else second = cost;
      return;
    }
    rest.forEach((other, index) =>
      visit(
        rest.filter((_, at) => at !== index),
        [...pairs, [first, other]],
        cost + bendCost(first, other),
      ),
    );
    visit(rest, pairs, cost + END_COST);
  };
  visit(arms, [], 0);
  return { ...best, second };
}

function greedy(arms: readonly Arm[]): Pairing {
  const left = new Set(arms);
  const pairs: (readonly [Arm, Arm])[] = [];
  const all = arms
    .flatMap((one, index) =>
      arms.slice(index + 1).map((other) => ({ one, other, cost: bendCost(one, other) })),
    )
    .sort((a, b) => a.cost - b.cost);
  let cost = 0;
  for (const each of all) {
    if (each.cost > 2 * END_COST || !left.has(each.one) || !left.has(each.other)) continue;
    left.delete(each.one);
    left.delete(each.other);
    pairs.push([each.one, each.other]);
    cost += each.cost;
  }
  cost += END_COST * left.size;
  return { pairs, cost, second: cost };
}

/** Two arms of a node that run on into a stretch together. */
interface Into {
  readonly shared: Arm;
  readonly arms: readonly [Arm, Arm];
  readonly cost: number;
}

/** The two that bend least into a stretch; null where there are no two. */
function intoBoth(arms: readonly Arm[], stretch: number): Into | null {
  const shared = arms.find((arm) => arm.stretch === stretch);
  if (!shared) return null;
  const [first, second] = arms
    .filter((arm) => arm !== shared)
    .map((arm) => ({ arm, cost: bend(back(arm.way), shared.way) ** 2 }))
    .sort((a, b) => a.cost - b.cost);
  return first && second ? { shared, arms: [first.arm, second.arm], cost: first.cost + second.cost } : null;
}

/** Its two arms, the one on the left of who walks into the shared stretch first. */
function bySide({ shared, arms: [one, other] }: Into): readonly [Arm, Arm] {
  const side = ({ way }: Arm) => shared.way.x * way.y - shared.way.y * way.x;
  return side(one) <= side(other) ? [one, other] : [other, one];
}

/** Free ends that look at each other across a gap. */
function overGaps(free: readonly Arm[]): (readonly [Arm, Arm])[] {
  const all = free
    .flatMap((one, index) =>
      free
        .slice(index + 1)
        .filter((other) => other.stretch !== one.stretch && distance(one.at, other.at) <= GAP.most)
        .map((other) => ({
          one,
          other,
          cost: bendCost(one, other) + (distance(one.at, other.at) / GAP.most) * 0.1,
        })),
    )
    .filter(({ cost }) => cost < GAP.cost)
    .sort((a, b) => a.cost - b.cost);
  const taken = new Set<Arm>();
  return all.flatMap(({ one, other }): (readonly [Arm, Arm])[] => {
    if (taken.has(one) || taken.has(other)) return [];
    taken.add(one);
    taken.add(other);
    return [[one, other]];
  });
}

function walked(
  { width, stretches }: Web,
  arms: readonly (readonly [Arm, Arm])[],
  partner: ReadonlyMap<Arm, Arm>,
  inner: ReadonlySet<number>,
): Strand[] {
  const visited = new Set<number>(inner);
  const strands: Strand[] = [];
  const walk = (start: Arm) => {
    const line: Point[] = [];
    let into: Arm = start;
    let out: Arm;
    for (;;) {
      visited.add(into.stretch);
      const { places } = stretches[into.stretch] as Stretch;
      const inOrder = into.end === 0 ? places : [...places].reverse();
      for (const place of inOrder) line.push(pointAt(width, place));
      out = arms[into.stretch]?.[into.end === 0 ? 1 : 0] as Arm;
      const next = partner.get(out);
      if (!next || visited.has(next.stretch)) break;
      into = next;
    }
    const isFree = (arm: Arm) => stretches[arm.stretch]?.nodes[arm.end] === null;
    strands.push({ line, freeEnds: [isFree(start), isFree(out)] });
  };
  for (const pair of arms)
    for (const arm of pair) if (!visited.has(arm.stretch) && !partner.has(arm)) walk(arm);
  for (const [first] of arms) if (!visited.has(first.stretch)) walk(first);
  return strands;
}
