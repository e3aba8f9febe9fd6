import { around } from './skeleton';

/** A stretch of line between two nodes, or between a node and nothing. */
export interface Stretch {
  /** Places of the picture, in order. */
  readonly places: readonly number[];
  /** Nodes at its first and last place; null for a free end. */
  readonly nodes: readonly [number | null, number | null];
}

/** Lines that meet: what a skeleton is made of. */
export interface Web {
  readonly width: number;
  readonly stretches: readonly Stretch[];
  /** How many nodes there are, numbered from 0. */
  readonly nodes: number;
}

/** Ends of stretches that are shorter than this are frays of the thinning, pixels. */
const FRAY = 7;

/** The web of a skeleton, its frays cut off. In place. */
export function webOf(mask: Uint8Array, width: number): Web {
  const web = traced(mask, width);
  const frays = web.stretches.filter(
    ({ nodes: [from, to], places }) => places.length < FRAY && (from === null) !== (to === null),
  );
  if (frays.length === 0) return web;
  for (const { places } of frays) for (const at of places) mask[at] = 0;
  return traced(mask, width);
}

/** The places of a skeleton: which are its nodes, and which have been walked. */
class Places {
  readonly live: readonly number[];
  readonly nodeAt = new Map<number, number>();
  readonly stretches: Stretch[] = [];
  nodes = 0;
  private readonly used: Uint8Array;
  private readonly ring: readonly number[];

  constructor(
    private readonly mask: Uint8Array,
    width: number,
  ) {
    this.ring = around(width);
    this.used = new Uint8Array(mask.length);
    const live: number[] = [];
    for (let at = 0; at < mask.length; at++) if (mask[at] === 1) live.push(at);
    this.live = live;
    for (const at of live) if (!this.nodeAt.has(at) && this.isNode(at)) this.gatherNode(at);
  }

  beside(at: number): number[] {
    return this.ring.map((step) => at + step).filter((next) => this.mask[next] === 1);
  }

  private isNode(at: number): boolean {
    return this.beside(at).length >= 3;
  }

  /** Node places that touch are one node. */
  private gatherNode(first: number): void {
    const open = [first];
    this.nodeAt.set(first, this.nodes);
    for (let at = open.pop(); at !== undefined; at = open.pop())
      for (const other of this.beside(at))
        if (!this.nodeAt.has(other) && this.isNode(other)) {
          this.nodeAt.set(other, this.nodes);
          open.push(other);
        }
    this.nodes++;
  }

  isOpen(at: number): boolean {
    return this.used[at] === 0 && !this.nodeAt.has(at);
  }

  /** Walks on from a place until a node or an end. */
  follow(start: number, from: number | null): void {
    const places = [start];
    this.used[start] = 1;
    let at = start;
    for (let next = this.onFrom(at); next !== undefined; next = this.onFrom(at)) {
      this.used[next] = 1;
      places.push(next);
      at = next;
    }
    const isShort = places.length === 1;
    const node = this.beside(at).find(
      (each) => this.nodeAt.has(each) && !(isShort && this.nodeAt.get(each) === from),
    );
    const to = node === undefined ? null : (this.nodeAt.get(node) ?? null);
    this.stretches.push({ places, nodes: [from, to] });
  }

  private onFrom(at: number): number | undefined {
    return this.beside(at).find((each) => this.isOpen(each));
  }
}

function traced(mask: Uint8Array, width: number): Web {
  const places = new Places(mask, width);
  for (const [at, node] of places.nodeAt)
    for (const next of places.beside(at)) if (places.isOpen(next)) places.follow(next, node);
  // From free ends first; what is left then runs in a ring, and a dot by itself is none.
  for (const neighbours of [1, 2])
    for (const at of places.live)
      if (places.isOpen(at) && places.beside(at).length === neighbours) places.follow(at, null);
  return { width, stretches: places.stretches, nodes: places.nodes };
}
