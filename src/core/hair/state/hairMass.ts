import { t } from '@lingui/core/macro';
import { grouped } from '../../base/language';
import { mean, rounded, lengthText } from '../../base/measures';
import type { Head } from '../../records/shapes';

/** Strands on a head, by density; about 100,000 is ordinary (Robbins, Chemical and Physical Behavior of Human Hair). */
const STRANDS: Record<Head['density'], number> = { thin: 80_000, medium: 100_000, thick: 130_000 };
/** Strand diameters, micrometres: fine, medium and coarse as in the same source, mid-range. */
const DIAMETER_UM: Record<Head['strand'], number> = { fine: 55, medium: 70, coarse: 90 };
/** Mass of one centimetre of a 70 µm strand, g: 0.05 mg; scales with the square of the diameter. */
const GRAMS_PER_CM_AT_70_UM = 0.000_05;

/** @returns grams of hair on the head, from its length, density and thickness of strand */
export function hairMassGrams({ density, strand, ...lengths }: HairMassFacts): number {
  return STRANDS[density] * meanLengthCm(lengths) * GRAMS_PER_CM_AT_70_UM * (DIAMETER_UM[strand] / 70) ** 2;
}

type Lengths = Pick<Head, 'lengthCm' | 'lengthsCm'>;
type HairMassFacts = Lengths & Pick<Head, 'density' | 'strand'>;

/** Each region counts alike (working assumption); one that was not measured is as long as the head is said to be. */
export function meanLengthCm({ lengthCm, lengthsCm }: Lengths): number {
  return mean(Object.values(lengthsCm).map((own) => own ?? lengthCm));
}

/** The arithmetic behind a hair mass, for who asks why. */
export function hairMassReason(head: HairMassFacts): string {
  const strands = grouped(STRANDS[head.density]);
  return (
    t`About ${strands} strands of ${{ length: lengthText(meanLengthCm(head)) }}, ${{ strand: DIAMETER_UM[head.strand] }} µm thick: ` +
    t`${{ hairMassGrams: rounded(hairMassGrams(head)) }} g of hair.`
  );
}

/** Grams of mask to a gram of hair, and of oil (working assumption: 0.6 to 1 for a mask, a sixth of that for an oil). */
export const MASK_PER_HAIR = { mask: 0.8, oil: 0.13 } as const;
/** How many of her own uses the assumption is worth. */
const PRIOR_USES = 2;

/**
 * Grams of a treatment for one head: the usual factor, drawn toward what this head has really used.
 * @param usedGrams grams used on this head at each earlier time, of treatments of the same sort
 */
export function expectedMaskGrams(
  head: HairMassFacts,
  sort: keyof typeof MASK_PER_HAIR,
  usedGrams: readonly number[],
): { readonly grams: number; readonly factor: number; readonly uses: number } {
  const mass = hairMassGrams(head);
  const uses = usedGrams.length;
  const own = mean(usedGrams) / mass;
  const factor = (MASK_PER_HAIR[sort] * PRIOR_USES + (uses === 0 ? 0 : own * uses)) / (PRIOR_USES + uses);
  return { grams: mass * factor, factor, uses };
}
