import { t } from '@lingui/core/macro';
import { Z90 } from '@/core/base/measures';
import type { Measurement } from '@/core/hair/checks';
import { SIGNALS } from '@/core/hair/state';
import { levelText } from './levelText';

/** "Firmness −0.8, between −1.3 and −0.3 nine times in ten" */
export function measurementWords({
  signal,
  value,
  sd,
}: Pick<Measurement, 'signal' | 'value' | 'sd'>): string {
  const unit = signal === 'breakage' ? t` pieces a day` : '';
  return t`${{ signal: SIGNALS[signal].label }} ${{ level: levelText(signal, value) }}${unit}, between ${{ low: levelText(signal, value - Z90 * sd) }} and ${{ high: levelText(signal, value + Z90 * sd) }} nine times in ten`;
}
