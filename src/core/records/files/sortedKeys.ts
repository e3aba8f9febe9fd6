/**
 * The same value with the keys of every object in one order, so that the same content is always the same text,
 * whatever order the keys came in.
 */
export function sortedKeys(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sortedKeys);
  if (value === null || typeof value !== 'object') return value;
  const entries = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(entries.map(([key, part]) => [key, sortedKeys(part)]));
}
