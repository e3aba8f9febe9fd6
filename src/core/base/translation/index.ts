import { ptBR } from 'date-fns/locale/pt-BR';
import { createInstance } from 'i18next';
import problemsInPortuguese from 'zod/v4/locales/pt-BR.js';
import { LANGUAGES, type Language, type Speech } from '../language';

const DATES = { pt: ptBR };
/** What Zod says of input where a schema has no words of its own. */
const PROBLEMS = { pt: problemsInPortuguese };

/** A language file made to speak. Plurals are chosen by CLDR's rules; a text that the file lacks stays in English. */
export function speechOf(language: Exclude<Language, 'en'>, texts: Readonly<Record<string, string>>): Speech {
  const { tag } = LANGUAGES[language];
  const words = createInstance();
  void words.init({
    lng: tag,
    fallbackLng: false,
    resources: { [tag]: { translation: texts } },
    // The keys are whole English texts, with all their points and colons.
    keySeparator: false,
    nsSeparator: false,
    initAsync: false,
    // The texts go into React Native's own text nodes, which take no markup.
    interpolation: { escapeValue: false },
  });
  return {
    language,
    tag,
    texts,
    translate: (text, values, count) =>
      words.t(text, { ...values, ...(count === undefined ? {} : { count, defaultValue_other: text }) }),
    dates: DATES[language],
    problems: PROBLEMS[language](),
  };
}
