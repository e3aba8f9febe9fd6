import { t } from '@lingui/core/macro';
import type { Measurement } from '@/core/hair/checks';
import { SIGNALS } from '@/core/hair/state';
import { levelText } from './levelText';

/** "Firmness −0.8, likely between −1.1 and −0.5" */
export function measurementWords({
  signal,
  value,
  sd,
}: Pick<Measurement, 'signal' | 'value' | 'sd'>): string {
  const unit = signal === 'breakage' ? t` pieces a day` : '';
  return t`${{ signal: SIGNALS[signal].label }} ${{ level: levelText(signal, value) }}${unit}, likely between ${{ low: levelText(signal, value - sd) }} and ${{ high: levelText(signal, value + sd) }}`;
}
