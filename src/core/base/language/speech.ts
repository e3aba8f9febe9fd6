import { setupI18n, type I18n, type MessageDescriptor, type Messages } from '@lingui/core';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import type { Locale } from 'date-fns';
import { z } from 'zod';
import en from 'zod/v4/locales/en.js';
import { LANGUAGES, type Language } from './languages';

/** How another language than English is spoken. English stands in the code itself. */
export interface Speech {
  readonly language: Exclude<Language, 'en'>;
  /** BCP 47. */
  readonly tag: string;
  /** The compiled catalogue, by the ids that the compiler gives to texts; a worker is sent it as it is. */
  readonly messages: Messages;
  readonly dates: Locale;
  /** Messages of schemas that have none of their own. */
  readonly problems: Parameters<typeof z.config>[0];
}

let speech: Speech | null = null;

const compiled = new Map<string, ReturnType<typeof compileMessage>>();
const lingui = setupI18n({ locale: LANGUAGES.en.tag, messages: { [LANGUAGES.en.tag]: {} } });
// A sentence of English is taken apart once, not each time that it is said.
lingui.setMessagesCompiler((message) => {
  const known = compiled.get(message) ?? compileMessage(message);
  compiled.set(message, known);
  return known;
});

/** From now on texts are in this language; null: English. Whoever shows texts is told. */
export function speak(other: Speech | null): void {
  speech = other;
  z.config(other?.problems ?? en());
  lingui.loadAndActivate({ locale: currentTag(), messages: other?.messages ?? {} });
}

export const currentSpeech = (): Speech | null => speech;

export const currentLanguage = (): Language => speech?.language ?? 'en';

/** The BCP 47 tag of what is spoken. */
export const currentTag = (): string => speech?.tag ?? LANGUAGES.en.tag;

/** @returns how to be told no more */
export function onSpeak(changed: () => void): () => void {
  return lingui.on('change', changed);
}

/** What is built of texts, once for each language and not when its module is read. */
export function perLanguage<Built>(build: () => Built): () => Built {
  let built: { readonly by: Speech | null; readonly what: Built } | undefined;
  return () => {
    if (built?.by !== speech || !built) built = { by: speech, what: build() };
    return built.what;
  };
}

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

/** Who says a step of the kitchen puts its ingredient in. */
const LEFT_OPEN = { name: '{name}' };

/** A word that comes from data, such as the name of an ingredient of the catalogue; as it is where no catalogue has it. */
export function inWords(text: string): string {
  return text in lingui.messages ? lingui._(text, LEFT_OPEN) : text;
}

/** A thing from data, of which these fields are said in the language that is spoken when they are read. */
export function worded<Thing extends object>(thing: Thing, ...fields: readonly (keyof Thing)[]): Thing {
  const getters = fields.map((field) => [
    field,
    { enumerable: true, get: () => inWords(String(thing[field])) },
  ]);
  return Object.defineProperties({ ...thing }, Object.fromEntries(getters) as PropertyDescriptorMap);
}

/** A number with as many decimals as it has, in the writing of the language. */
export function numberText(value: number): string {
  if (!speech) return String(value);
  return value.toLocaleString(currentTag(), { useGrouping: false, maximumFractionDigits: 20 });
}

/** Several names in a row: “a, b and c”, as the language puts them. */
export function listed(names: readonly string[]): string {
  return new Intl.ListFormat(speech ? currentTag() : 'en-GB', { type: 'conjunction' }).format(names);
}
