import type { MarkId, Region, ScalpSign } from '@/core/readings';

const steps = (...words: string[]) => words.map((label, value) => ({ value, label }));

/** What beside the feel is looked at, in five steps each. */
export const MARK_OPTIONS: Record<
  MarkId,
  { readonly label: string; readonly options: readonly { readonly value: number; readonly label: string }[] }
> = {
  slip: { label: 'Slip', options: steps('none', 'little', 'some', 'good', 'glides') },
  tangles: { label: 'Tangles', options: steps('none', 'few', 'some', 'many', 'knots') },
  shine: { label: 'Shine', options: steps('dull', 'faint', 'some', 'good', 'bright') },
  clumping: { label: 'Curls clump', options: steps('not', 'hardly', 'partly', 'mostly', 'all') },
  residue: { label: 'Left in the hair', options: steps('nothing', 'a trace', 'some', 'much', 'coated') },
};

export const SCALP_OPTIONS: readonly { readonly value: ScalpSign; readonly label: string }[] = [
  { value: 'calm', label: 'calm' },
  { value: 'itch', label: 'itches' },
  { value: 'flakes', label: 'flakes' },
  { value: 'tender', label: 'tender' },
  { value: 'sores', label: 'sores' },
  { value: 'patches', label: 'bald patches' },
  { value: 'pain', label: 'hurts' },
];

export const SLIDE_OPTIONS = [
  { value: 'smooth', label: 'smooth' },
  { value: 'ridges', label: 'faint ridges' },
  { value: 'catches', label: 'rough, it catches' },
] as const;
export const SINK_OPTIONS = [
  { value: 'floats', label: 'on top' },
  { value: 'hovers', label: 'in between' },
  { value: 'sinks', label: 'at the bottom' },
] as const;

export const PLACE_LABELS: Record<Region, string> = {
  front: 'Front',
  crown: 'Crown',
  sides: 'Side',
  nape: 'Nape',
};

/** A calm scalp shows nothing else. */
export function withScalpSign(signs: readonly ScalpSign[], sign: ScalpSign): ScalpSign[] {
  if (signs.includes(sign)) return signs.filter((other) => other !== sign);
  return sign === 'calm' ? ['calm'] : [...signs.filter((other) => other !== 'calm'), sign];
}
