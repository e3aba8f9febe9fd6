import { t } from '@/core/base/language';
import { SCALP_WORDS } from '@/core/hair/checks';
import { SCALP_SIGNS, type MarkId, type ScalpSign } from '@/core/records/shapes';

const steps = (...words: string[]) => words.map((label, value) => ({ value, label }));

/** What beside the feel is looked at, in five steps each. */
export const MARK_OPTIONS: Record<
  MarkId,
  { readonly label: string; readonly options: readonly { readonly value: number; readonly label: string }[] }
> = {
  slip: { label: t`Slip`, options: steps(t`none`, t`little`, t`some`, t`good`, t`glides`) },
  tangles: { label: t`Tangles`, options: steps(t`none`, t`few`, t`some`, t`many`, t`knots`) },
  shine: { label: t`Shine`, options: steps(t`dull`, t`faint`, t`some`, t`good`, t`bright`) },
  clumping: { label: t`Curls clump`, options: steps(t`not`, t`hardly`, t`partly`, t`mostly`, t`all`) },
  residue: {
    label: t`Left in the hair`,
    options: steps(t`nothing`, t`a trace`, t`some`, t`much`, t`coated`),
  },
};

export const SCALP_OPTIONS = SCALP_SIGNS.map((value) => ({ value, label: SCALP_WORDS[value] }));

export const SLIDE_OPTIONS = [
  { value: 'smooth', label: t`smooth` },
  { value: 'ridges', label: t`faint ridges` },
  { value: 'catches', label: t`rough, it catches` },
] as const;
export const SINK_OPTIONS = [
  { value: 'floats', label: t`on top` },
  { value: 'hovers', label: t`in between` },
  { value: 'sinks', label: t`at the bottom` },
] as const;

/** A calm scalp shows nothing else. */
export function withScalpSign(signs: readonly ScalpSign[], sign: ScalpSign): ScalpSign[] {
  if (signs.includes(sign)) return signs.filter((other) => other !== sign);
  return sign === 'calm' ? ['calm'] : [...signs.filter((other) => other !== 'calm'), sign];
}
