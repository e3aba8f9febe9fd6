/** FNV-1a, 32 bits (Fowler, Noll, Vo): the same number for the same text, 0 to 2³² − 1. No secret is safe with it. */
export function textHash(text: string): number {
  let hash = 0x811c_9dc5;
  for (let index = 0; index < text.length; index++)
    hash = Math.imul(hash ^ text.charCodeAt(index), 0x0100_0193);
  return hash >>> 0;
}

/** Neighbouring numbers far apart, 0 to 1: a linear generator begun with neighbours draws alike (mixing steps of MurmurHash3). */
export function scattered(number: number): number {
  let mixed = Math.imul(number ^ 0x9e37_79b9, 0x85eb_ca6b);
  mixed = Math.imul(mixed ^ (mixed >>> 13), 0xc2b2_ae35);
  return ((mixed ^ (mixed >>> 16)) >>> 0) / 2 ** 32;
}
