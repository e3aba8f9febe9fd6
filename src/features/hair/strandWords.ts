import { t } from '@lingui/core/macro';
import { rounded } from '@/core/base/measures';
import { strandFigures } from '@/core/hair/checks';
import type { Strand } from '@/core/records/shapes';

/** "60 mm, stretch 32 %, return 91 %" */
export function strandWords(strand: Strand): string {
  const { stretchPercent, returnPercent } = strandFigures(strand);
  const stretch = t`${{ restMm: strand.restMm }} mm, stretch ${{ stretchPercent: rounded(stretchPercent ?? 0) }} %`;
  if (returnPercent !== null) return t`${stretch}, return ${{ returnPercent: rounded(returnPercent) }} %`;
  return strand.outcome === 'snapped' && strand.snappedMm === null
    ? t`${{ restMm: strand.restMm }} mm, snapped`
    : t`${stretch}, then it snapped`;
}
