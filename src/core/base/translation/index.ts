import type { Messages } from '@lingui/core';
import { ptBR } from 'date-fns/locale/pt-BR';
import problemsInPortuguese from 'zod/v4/locales/pt-BR.js';
import { LANGUAGES, type Language, type Speech } from '../language';

const DATES = { pt: ptBR };
/** What Zod says of input where a schema has no words of its own. */
const PROBLEMS = { pt: problemsInPortuguese };

/** A compiled catalogue made to speak. Forms of words are chosen by CLDR's rules; a text that it lacks stays in English. */
export function speechOf(language: Exclude<Language, 'en'>, messages: Messages): Speech {
  const { tag } = LANGUAGES[language];
  return { language, tag, messages, dates: DATES[language], problems: PROBLEMS[language]() };
}
