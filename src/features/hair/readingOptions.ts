import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { scalpWords } from '@/core/hair/checks';
import { SCALP_SIGNS, type ScalpSign } from '@/core/records/shapes';

export const scalpOptions = perLanguage(() =>
  SCALP_SIGNS.map((value) => ({ value, label: scalpWords()[value] })),
);

export const slideOptions = perLanguage(
  () =>
    [
      { value: 'smooth', label: t`smooth` },
      { value: 'ridges', label: t`faint ridges` },
      { value: 'catches', label: t`rough, it catches` },
    ] as const,
);
export const sinkOptions = perLanguage(
  () =>
    [
      { value: 'floats', label: t`on top` },
      { value: 'hovers', label: t`in between` },
      { value: 'sinks', label: t`at the bottom` },
    ] as const,
);

/** A calm scalp shows nothing else. */
export function withScalpSign(signs: readonly ScalpSign[], sign: ScalpSign): ScalpSign[] {
  if (signs.includes(sign)) return signs.filter((other) => other !== sign);
  return sign === 'calm' ? ['calm'] : [...signs.filter((other) => other !== 'calm'), sign];
}
