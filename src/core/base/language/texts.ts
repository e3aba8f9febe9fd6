import type { I18n, MessageDescriptor } from '@lingui/core';
import { numberText } from './numbers';
import { currentSpeech, currentTag, lingui } from './speech';

/**
 * What the texts of the code become: `t`, `plural` and their kind are compiled into calls of this. A number in a
 * sentence counts where the sentence has forms for it, and is written as the language writes numbers.
 */
export const i18n: Pick<I18n, '_'> = {
  _: ((message: MessageDescriptor | string) => {
    if (typeof message === 'string' || !message.values) return lingui._(message as string);
    const values = Object.fromEntries(
      Object.entries(message.values).map(([name, value]) => [
        name,
        typeof value === 'number' ? spokenNumber(value) : value,
      ]),
    );
    return lingui._({ ...message, values });
  }) as I18n['_'],
};

const spokenNumber = (value: number) => ({
  [Symbol.toPrimitive]: (hint: string) => (hint === 'number' ? value : numberText(value)),
});

/** What is open in a text of data stays open: who says it puts its ingredients, liquids and degrees in. */
const LEFT_OPEN: Record<string, string> = new Proxy({}, { get: (_, name) => `{${String(name)}}` });

/** A word that comes from data, such as the name of an ingredient of the catalogue; as it is where no catalogue has it. */
export function inWords(text: string): string {
  return Object.hasOwn(lingui.messages, text) ? lingui._(text, LEFT_OPEN) : text;
}

/** Several names in a row: “a, b and c”, as the language puts them. */
export function listed(names: readonly string[]): string {
  return new Intl.ListFormat(currentSpeech() ? currentTag() : 'en-GB', { type: 'conjunction' }).format(names);
}
