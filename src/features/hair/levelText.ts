import { fixed, numberText } from '@/core/base/language';
import { rounded } from '@/core/base/measures';
import { shownValue } from '@/core/hair/state';
import type { SignalId } from '@/core/records/shapes';

/** A level as people read it: broken pieces a day as a whole number from two on, the other scales with one decimal and a sign. */
export function levelText(signal: SignalId, level: number): string {
  if (signal === 'breakage') {
    const perDay = shownValue(signal, level);
    return numberText(rounded(perDay, perDay < 2 ? 1 : 0));
  }
  const shown = rounded(level, 1);
  return `${shown < 0 ? '−' : shown > 0 ? '+' : ''}${fixed(Math.abs(shown), 1)}`;
}
