import { rounded } from '@/core/measures';
import { strandFigures, type Strand } from '@/core/readings';

/** "60 mm, stretch 32 %, return 91 %" */
export function strandWords(strand: Strand): string {
  const { stretchPercent, returnPercent } = strandFigures(strand);
  const stretch = `${strand.restMm} mm, stretch ${rounded(stretchPercent)} %`;
  if (returnPercent !== null) return `${stretch}, return ${rounded(returnPercent)} %`;
  return strand.outcome === 'snapped' && strand.snappedMm === null
    ? `${strand.restMm} mm, snapped`
    : `${stretch}, then it snapped`;
}
