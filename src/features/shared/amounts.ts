import { fixed } from '@/core/base/language';
import { massText } from '@/core/base/measures';

/** In the units that are shown. */
export const grams = massText;

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
