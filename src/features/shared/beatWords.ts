import { strengthWord, type TreatmentKind } from '@/core/classification';
import type { Slot } from '@/core/agenda';
import type { RecipeUse } from '@/core/recipes';
import type { MarkKind } from '@/ui';

export const MARK_OF_KIND: Record<TreatmentKind, MarkKind> = {
  protein: 'firm',
  moisture: 'soft',
  balanced: 'both',
  oil: 'hold',
  rinse: 'small',
};

const KIND_NOUN: Record<TreatmentKind, string> = {
  protein: 'protein',
  moisture: 'moisture',
  balanced: 'balanced',
  oil: 'oil',
  rinse: 'rinse',
};

/** "strong protein": kind and strength in words, for a line of text. */
export function kindInWords(kind: TreatmentKind, strength: number): string {
  return `${KIND_NOUN[kind]}, ${strengthWord(strength)}`;
}

export const SLOT_WORDS: Record<Slot, string> = {
  'pre-poo': 'before the shampoo',
  main: 'after the shampoo',
  'follow-up': 'straight after it',
  refresh: 'a small beat',
  mist: 'a small beat',
  scalp: 'on the scalp, to be washed out',
  serum: 'for the night, on the ends',
};

export const USE_WORDS: Record<RecipeUse, string> = {
  mask: 'mask',
  'pre-poo': 'pre-poo',
  rinse: 'rinse or refresh',
  mist: 'daily mist',
  'scalp-oil': 'scalp oil',
  serum: 'night serum',
};

/** From so many minutes on a time is said in hours. */
const HOURS_FROM = 120;

export function minutesText(minutes: number): string {
  if (minutes < HOURS_FROM) return `${minutes} min`;
  const rest = minutes % 60;
  return `${Math.floor(minutes / 60)} h${rest === 0 ? '' : ` ${rest} min`}`;
}
