import { currentSpeech } from './speech';

const FORMS = new Intl.PluralRules('en');

/** A text of the application in the language that is spoken; numbers among the values are written as it writes them. */
export function t(strings: TemplateStringsArray, ...values: readonly unknown[]): string {
  const speech = currentSpeech();
  const shown = values.map((value) => (typeof value === 'number' ? numberText(value) : String(value)));
  if (!speech) {
    return strings.reduce((text, string, index) => `${text}${shown[index - 1] ?? ''}${string}`);
  }
  return speech.translate(
    strings.reduce((key, string, index) => `${key}{{${index - 1}}}${string}`),
    shown,
  );
}

/** The form of a word that goes with a count; the language decides which counts share one. */
export function plural(count: number, one: string, other: string): string {
  const speech = currentSpeech();
  if (speech) return speech.translate(other, [], count);
  return FORMS.select(count) === 'one' ? one : other;
}

/** A word that comes from data, such as the name of an ingredient of the catalogue; as it is where no file has it. */
export function inWords(text: string): string {
  return currentSpeech()?.translate(text, []) ?? text;
}

/** A number with so many decimals, with the comma or point of the language. */
export function fixed(value: number, decimals: number): string {
  const speech = currentSpeech();
  if (!speech) return value.toFixed(decimals);
  return value.toLocaleString(speech.tag, {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
    useGrouping: false,
  });
}

/** A large number with its thousands told apart: “12,400” in English. */
export function grouped(value: number): string {
  return value.toLocaleString(currentSpeech()?.tag ?? 'en');
}

/** A number with as many decimals as it has, in the writing of the language. */
export function numberText(value: number): string {
  const speech = currentSpeech();
  if (!speech) return String(value);
  return value.toLocaleString(speech.tag, { useGrouping: false, maximumFractionDigits: 20 });
}
