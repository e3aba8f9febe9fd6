import type { Messages } from '@lingui/core';
import { WORDINGS } from '../../../../data/languages/wordings';
import { LANGUAGES, type Language, type Speech } from '../language';

/** A compiled catalogue made to speak. Forms of words are chosen by CLDR's rules; a text that it lacks stays in English. */
export function speechOf(language: Exclude<Language, 'en'>, messages: Messages): Speech {
  const { dates, problems } = WORDINGS[language];
  return { language, tag: LANGUAGES[language].tag, messages, dates, problems: problems() };
}
