import { t } from '@lingui/core/macro';
import { fixed } from '@/core/base/language';
import { rounded } from '@/core/base/measures';

export function grams(value: number): string {
  return t`${{ value: rounded(value, value < 10 ? 1 : 0) }} g`;
}

/** In her own currency, which nobody here knows: the bare number. */
export function money(value: number): string {
  return fixed(value, 2);
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A number as typed, with a decimal comma or point; NaN where it is none. */
export function numberFrom(text: string): number {
  const trimmed = text.trim().replace(',', '.');
  return /^\d*\.?\d+$|^\d+\.$/.test(trimmed) ? Number(trimmed) : Number.NaN;
}
