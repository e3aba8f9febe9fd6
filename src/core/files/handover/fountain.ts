import { BLOCK_BYTES, type Frame } from './frames';

const blockCount = (length: number): number => Math.ceil(length / BLOCK_BYTES);

/**
 * A coin for each code and block, the same on both devices: one bit of MurmurHash3's finalizer (Appleby, public domain).
 * Generators that are seeded with neighbouring numbers give rows that depend on each other.
 */
function coin(number: number, block: number): 0 | 1 {
  let hash = (Math.imul(number + 1, 0x9e3779b1) ^ Math.imul(block + 1, 0x85ebca6b)) >>> 0;
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b) >>> 0;
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35) >>> 0;
  return ((hash ^ (hash >>> 16)) & 1) as 0 | 1;
}

/** Which blocks a code is the sum of. */
function blocksOf(number: number, count: number): Uint8Array {
  const chosen = new Uint8Array(count);
  if (number < count) {
    chosen[number] = 1;
    return chosen;
  }
  for (let at = 0; at < count; at++) chosen[at] = coin(number, at);
  if (!chosen.includes(1)) chosen[number % count] = 1;
  return chosen;
}

function addInto(sum: Uint8Array, other: Uint8Array): void {
  for (let at = 0; at < sum.length; at++) sum[at]! ^= other[at]!;
}

/**
 * A random linear fountain: the first codes are the blocks themselves, every later one the sum (exclusive or) of a random
 * half of them. Whichever codes were seen, a few more than there are blocks are enough: on average 1.6 more
 * (Studholme & Blake, "Random matrices and codes for the erasure channel", 2010).
 * @param number 0, 1, 2 … without end
 */
export function frameOf(bytes: Uint8Array, transfer: number, number: number): Frame {
  const count = blockCount(bytes.length);
  const data = new Uint8Array(BLOCK_BYTES);
  for (const [at, isIn] of blocksOf(number, count).entries())
    if (isIn) addInto(data, padded(bytes.subarray(at * BLOCK_BYTES, (at + 1) * BLOCK_BYTES)));
  return { transfer, length: bytes.length, number, data };
}

function padded(block: Uint8Array): Uint8Array {
  if (block.length === BLOCK_BYTES) return block;
  const whole = new Uint8Array(BLOCK_BYTES);
  whole.set(block);
  return whole;
}

interface Row {
  readonly blocks: Uint8Array;
  readonly data: Uint8Array;
}

/** Puts together what was handed over out of the codes that were seen, in any order, some or many of them lost. */
export class Gatherer {
  /** By its first block; each row has that block and later ones. */
  private readonly rows = new Map<number, Row>();
  private transfer: number | null = null;
  private length = 0;

  /** How much of it is known, 0 to 1. */
  get share(): number {
    return this.length === 0 ? 0 : this.rows.size / blockCount(this.length);
  }

  /** @returns all bytes once there are enough codes, else null; a code of another showing begins anew */
  add({ transfer, length, number, data }: Frame): Uint8Array | null {
    if (transfer !== this.transfer || length !== this.length) {
      this.transfer = transfer;
      this.length = length;
      this.rows.clear();
    }
    const count = blockCount(length);
    if (this.rows.size < count && data.length === BLOCK_BYTES)
      this.reduce(blocksOf(number, count), data.slice());
    return this.rows.size === count ? this.solved(count) : null;
  }

  /** Takes away what is known of it; what is left is a new row, or nothing. */
  private reduce(blocks: Uint8Array, data: Uint8Array): void {
    for (let at = 0; at < blocks.length; at++) {
      if (!blocks[at]) continue;
      const known = this.rows.get(at);
      if (!known) {
        this.rows.set(at, { blocks, data });
        return;
      }
      addInto(blocks, known.blocks);
      addInto(data, known.data);
    }
  }

  private solved(count: number): Uint8Array {
    const bytes = new Uint8Array(count * BLOCK_BYTES);
    for (let at = count - 1; at >= 0; at--) {
      const { blocks, data } = this.rows.get(at)!;
      for (let later = at + 1; later < count; later++)
        if (blocks[later]) addInto(data, bytes.subarray(later * BLOCK_BYTES, (later + 1) * BLOCK_BYTES));
      // It is one block now, should another code come.
      blocks.fill(0, at + 1);
      bytes.set(data, at * BLOCK_BYTES);
    }
    return bytes.slice(0, this.length);
  }
}
