import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { joinedByPrecision, rounded, sum } from '../../base/measures';
import type { PorosityTests } from '../../records/shapes';
import { POROSITY_TESTS as TEST } from './protocols';

/** What is needed of the head to read its tests. */
export interface HairFacts {
  /** Mass of the hair, g. */
  readonly hairGrams: number;
}

export interface PorosityPart {
  readonly value: number;
  readonly sd: number;
  readonly why: string;
}

export interface PorosityIndex {
  readonly value: number;
  readonly sd: number;
  readonly parts: readonly PorosityPart[];
  /** The tests differ by more than their errors allow; the error of the index is widened for it. */
  readonly disagree: boolean;
  readonly why: string;
}

/** Minutes in which this much hair usually dries in the air (working assumption: with the square root of its mass). */
export function usualDryMinutes({ hairGrams }: HairFacts): number {
  const { middleMinutes, atHairGrams, powerOfMass } = TEST.dryTime;
  return middleMinutes * (hairGrams / atHairGrams) ** powerOfMass;
}

const sinkWords = perLanguage(
  () =>
    ({
      floats: t`the strand floats`,
      hovers: t`the strand hovers`,
      sinks: t`the strand sinks`,
    }) as const,
);
const slideWords = perLanguage(
  () =>
    ({
      smooth: t`a finger slides smoothly`,
      ridges: t`a finger feels ridges`,
      catches: t`a finger catches`,
    }) as const,
);

function partsOf(tests: PorosityTests, hair: HairFacts): PorosityPart[] {
  const { mistSoakSeconds, dryMinutes, slide, sink } = tests;
  const parts: PorosityPart[] = [];
  if (mistSoakSeconds !== null) {
    const { middleSeconds, logSecondsPerUnit, sd } = TEST.mist;
    parts.push({
      value: Math.log(middleSeconds / mistSoakSeconds) / logSecondsPerUnit,
      sd,
      why: t`mist soaked in after ${{ mistSoakSeconds: rounded(mistSoakSeconds) }} s`,
    });
  }
  if (dryMinutes !== null) {
    const { logMinutesPerUnit, sd } = TEST.dryTime;
    const usual = usualDryMinutes(hair);
    parts.push({
      value: Math.log(usual / dryMinutes) / logMinutesPerUnit,
      sd,
      why: t`dry in ${{ dryMinutes: rounded(dryMinutes) }} min, ${{ usual: rounded(usual) }} is usual for this much hair`,
    });
  }
  if (slide !== null)
    parts.push({ value: TEST.slide.value[slide], sd: TEST.slide.sd, why: slideWords()[slide] });
  if (sink !== null)
    parts.push({
      value: TEST.sink.value[sink],
      sd: TEST.sink.sd,
      why: t`${{ sink: sinkWords()[sink] }}, which counts little`,
    });
  return parts;
}

/**
 * One index from whichever tests were taken: their mean, weighed by precision. Where they scatter more than their errors allow,
 * the error is widened by the Birge ratio √(χ²/(n − 1)) (Birge R. T., Physical Review 40, 1932).
 * @param tests at least one taken
 */
export function porosityIndex(tests: PorosityTests, hair: HairFacts): PorosityIndex {
  const parts = partsOf(tests, hair);
  const { mean: value, sd } = joinedByPrecision(parts);
  const chiSquare = sum(parts.map((part) => ((part.value - value) / part.sd) ** 2));
  const birge = parts.length < 2 ? 1 : Math.sqrt(chiSquare / (parts.length - 1));
  const disagree = birge > 1;
  const said = parts.map(({ why }) => why);
  return {
    value,
    sd: Math.max(1, birge) * sd,
    parts,
    disagree,
    why: [...said, ...(disagree ? [t`the tests do not agree, so the error is wider`] : [])].join('; '),
  };
}
