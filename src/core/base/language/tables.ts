import type { MessageDescriptor } from '@lingui/core';
import { currentSpeech, type Speech } from './speech';
import { i18n, inWords } from './texts';

/** What is built of texts, once for each language and not when its module is read. */
export function perLanguage<Built>(build: () => Built): () => Built {
  let built: { readonly by: Speech | null; readonly what: Built } | undefined;
  return () => {
    const by = currentSpeech();
    if (built?.by !== by) built = { by, what: build() };
    return built.what;
  };
}

/**
 * A thing of which some fields are said in the language that is spoken when they are read: texts of the code (`msg`), or
 * words that stand in data.
 */
export function worded<const Thing extends object, Field extends keyof Thing & string>(
  thing: Thing & { readonly [Name in Field]: MessageDescriptor | string },
  ...fields: readonly Field[]
): Omit<Thing, Field> & { readonly [Name in Field]: string } {
  const getters = fields.map((field) => {
    const text: MessageDescriptor | string = thing[field];
    return [
      field,
      { enumerable: true, get: () => (typeof text === 'string' ? inWords(text) : i18n._(text)) },
    ];
  });
  // With its own getters as they are: read now, they would speak the language of now.
  const own = Object.getOwnPropertyDescriptors<object>(thing);
  return Object.defineProperties({}, { ...own, ...Object.fromEntries(getters) }) as Omit<Thing, Field> & {
    readonly [Name in Field]: string;
  };
}
