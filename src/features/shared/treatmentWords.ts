import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { strengthWord, type TreatmentKind } from '@/core/recipe/classification';
import type { Slot, RecipeUse } from '@/core/records/shapes';
import type { MarkKind } from '@/ui';

export const MARK_OF_KIND: Record<TreatmentKind, MarkKind> = {
  protein: 'firm',
  moisture: 'soft',
  balanced: 'both',
  oil: 'hold',
  rinse: 'small',
};

const kindNoun = perLanguage((): Record<TreatmentKind, string> => ({
  protein: t`protein`,
  moisture: t`moisture`,
  balanced: t`balanced`,
  oil: t`oil`,
  rinse: t`rinse`,
}));

export const kindWord = (kind: TreatmentKind): string => kindNoun()[kind];

/** "strong protein": kind and strength in words, for a line of text. */
export function kindInWords(kind: TreatmentKind, strength: number): string {
  return `${kindNoun()[kind]}, ${strengthWord(strength)}`;
}

export const slotWords = perLanguage((): Record<Slot, string> => ({
  'pre-poo': t`before the shampoo`,
  main: t`after the shampoo`,
  'follow-up': t`straight after it`,
  refresh: t`a small treatment`,
  mist: t`a small treatment`,
  scalp: t`on the scalp, to be washed out`,
  serum: t`for the night, on the ends`,
  'leave-in': t`stays in until the next wash`,
}));

export const recipeUseWords = perLanguage((): Record<RecipeUse, string> => ({
  mask: t`mask`,
  'pre-poo': t`pre-poo`,
  rinse: t`rinse or refresh`,
  mist: t`daily mist`,
  'scalp-oil': t`scalp oil`,
  serum: t`night serum`,
  'leave-in': t`leave-in`,
}));

/** How long a wash day is about to take: to five minutes, in hours from one on. */
export function aboutText(minutes: number): string {
  const about = Math.round(minutes / 5) * 5;
  return about < 60 ? `${about} min` : inHours(about);
}

/** From so many minutes on a time is said in hours. */
const HOURS_FROM = 120;

export function minutesText(minutes: number): string {
  return minutes < HOURS_FROM ? `${minutes} min` : inHours(minutes);
}

function inHours(minutes: number): string {
  const rest = minutes % 60;
  return t`${{ minutes: Math.floor(minutes / 60) }} h${{ rest: rest === 0 ? '' : ` ${rest} min` }}`;
}
