import type { Photo } from '@/core/records/shapes';

/** Beyond this a picture is no longer the same picture, only lighter or darker. */
const MOST_BRIGHTER = 1.6;

/** By what a picture is made brighter so that it is as bright as another. @param then mean luma, 0 to 255 */
export function brightnessFactor(then: number, now: number): number {
  if (then <= 0 || now <= 0) return 1;
  return Math.min(MOST_BRIGHTER, Math.max(1 / MOST_BRIGHTER, then / now));
}

/** The last twelve months, this one last, and whether each has a picture. */
export function monthsPictured(
  photos: readonly Pick<Photo, 'day'>[],
  today: Photo['day'],
): { readonly month: string; readonly has: boolean }[] {
  const had = new Set(photos.map(({ day }) => day.slice(0, 7)));
  const [year, month] = today.split('-').map(Number) as [number, number];
  return Array.from({ length: 12 }, (_, back) => {
    const count = 12 * year + month - 1 - (11 - back);
    const name = `${Math.floor(count / 12)}-${String((count % 12) + 1).padStart(2, '0')}`;
    return { month: name, has: had.has(name) };
  });
}
