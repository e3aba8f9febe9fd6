import { z } from 'zod';

/** What each language calls itself, and its BCP 47 tag: for numbers, plurals, voices and the page. */
export const LANGUAGES = {
  en: { name: 'English', tag: 'en' },
  pt: { name: 'Português', tag: 'pt-BR' },
} as const;

export type Language = keyof typeof LANGUAGES;

export const languageSchema = z.enum(['en', 'pt']);
