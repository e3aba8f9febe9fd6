import { setupI18n, type Messages } from '@lingui/core';
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
export const lingui = setupI18n({ locale: LANGUAGES.en.tag, messages: { [LANGUAGES.en.tag]: {} } });
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
