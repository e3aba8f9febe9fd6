import type { Beat } from '@/core/planning';

/** What is done between washes, in passing. */
export function isSmall({ slot }: Pick<Beat, 'slot'>): boolean {
  return slot === 'refresh' || slot === 'mist' || slot === 'scalp' || slot === 'serum';
}
