import type { Tally } from '../../records/shapes';

/** What is tapped while detangling: a broken piece, a shed hair, the next section begun. */
export const TAPS = ['broken', 'shed', 'section'] as const;
export type Tap = (typeof TAPS)[number];

/** Counts by section; a section that was begun and left empty counts, too: nothing came out. At least one. */
export function sectionsOf(taps: readonly Tap[]): Tally['sections'] {
  const sections = [{ broken: 0, shed: 0 }];
  for (const tap of taps) {
    const last = sections[sections.length - 1]!;
    if (tap === 'section') sections.push({ broken: 0, shed: 0 });
    else last[tap]++;
  }
  return sections;
}
