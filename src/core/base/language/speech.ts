import type { Locale } from 'date-fns';
import { z } from 'zod';
import type { Language } from './languages';

/**
 * How another language than English is spoken. Texts stand in the code in English; a language file has each of them as
 * its key, with what stands in the way of a value as {{0}}, {{1}} …
 */
export interface Speech {
  readonly language: Exclude<Language, 'en'>;
  readonly tag: string;
  /** The language file as it is, for a worker that has to speak the same. */
  readonly texts: Readonly<Record<string, string>>;
  /** @param count which of the forms for one, for several … where the text has them */
  readonly translate: (text: string, values: readonly string[], count?: number) => string;
  readonly dates: Locale;
  /** Messages of schemas that have none of their own. */
  readonly problems: Parameters<typeof z.config>[0];
}

let speech: Speech | null = null;

/**
 * From now on texts are in this language; null: English. To be called before any module that holds texts is read: many
 * are put together once, when their module is.
 */
export function speak(other: Speech | null): void {
  speech = other;
  if (other) z.config(other.problems);
}

export const currentSpeech = (): Speech | null => speech;

export const currentLanguage = (): Language => speech?.language ?? 'en';
