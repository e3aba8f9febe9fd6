import { t } from '@/core/base/language';
import { rounded } from '@/core/base/measures';
import { strandFigures } from '@/core/hair/checks';
import type { Strand } from '@/core/records/shapes';

/** "60 mm, stretch 32 %, return 91 %" */
export function strandWords(strand: Strand): string {
  const { stretchPercent, returnPercent } = strandFigures(strand);
  const stretch = t`${strand.restMm} mm, stretch ${rounded(stretchPercent)} %`;
  if (returnPercent !== null) return t`${stretch}, return ${rounded(returnPercent)} %`;
  return strand.outcome === 'snapped' && strand.snappedMm === null
    ? t`${strand.restMm} mm, snapped`
    : t`${stretch}, then it snapped`;
}
