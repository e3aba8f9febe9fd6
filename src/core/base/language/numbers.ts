import { currentSpeech, currentTag } from './speech';

/** A number with so many decimals, with the comma or point of the language. */
export function fixed(value: number, decimals: number): string {
  if (!currentSpeech()) return value.toFixed(decimals);
  return value.toLocaleString(currentTag(), {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
    useGrouping: false,
  });
}

/** A large number with its thousands told apart: “12,400” in English. */
export function grouped(value: number): string {
  return value.toLocaleString(currentTag());
}

/** A number with as many decimals as it has, in the writing of the language. */
export function numberText(value: number): string {
  if (!currentSpeech()) return String(value);
  return value.toLocaleString(currentTag(), { useGrouping: false, maximumFractionDigits: 20 });
}
