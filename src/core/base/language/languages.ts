import { z } from 'zod';
import { LANGUAGES } from '../../../../data/languages/spoken';

/** What each language calls itself, and its BCP 47 tag: for numbers, plurals, voices and the page. */
export { LANGUAGES };

export type Language = keyof typeof LANGUAGES;

export const languageSchema = z.enum(Object.keys(LANGUAGES) as [Language, ...Language[]]);
