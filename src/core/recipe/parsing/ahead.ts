import type { Element } from './elements';

/** A name that follows before anything but words and deeds. */
export function isNameNext(elements: readonly Element[], index: number): boolean {
  const next = elements.slice(index + 1).find(({ kind }) => kind !== 'word' && kind !== 'deed');
  return next?.kind === 'name';
}

/** A name that follows before the next amount. */
export function isNameBeforeAmount(elements: readonly Element[], index: number): boolean {
  const next = elements.slice(index + 1).find(({ kind }) => kind === 'name' || kind === 'amount');
  return next?.kind === 'name';
}

/** "je 2 EL" */
export function isEachBefore(elements: readonly Element[], index: number): boolean {
  const before = elements[index - 1];
  return before?.kind === 'role' && before.role === 'each';
}

/** "each", over a bracket or a word. */
export function isEachNext(elements: readonly Element[], index: number): boolean {
  const next = elements
    .slice(index + 1, index + 3)
    .find(({ kind }) => kind !== 'separator' && kind !== 'word');
  return next?.kind === 'role' && next.role === 'each';
}
