/** Addresses until December 2026 and what they are now; the longest first. Bookmarks and what is installed may still hold them. */
const MOVED: readonly (readonly [was: string, is: string])[] = [
  ['/strand/reading', '/hair/check'],
  ['/strand/take', '/hair/measure'],
  ['/heads/schools', '/people/opinions'],
  ['/heads/keeping', '/people/backup'],
  ['/bench', '/recipes'],
  ['/strand', '/hair'],
  ['/heads', '/people'],
];

/** @returns where a place is now that had another address; null where it never had one */
export function movedTo(path: string): string | null {
  const moved = MOVED.find(([was]) => path === was || path.startsWith(`${was}/`));
  return moved ? moved[1] + path.slice(moved[0].length) : null;
}
