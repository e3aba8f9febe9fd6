export { LANGUAGES, languageSchema, type Language } from './languages';
export { currentLanguage, currentSpeech, speak, type Speech } from './speech';
export { fixed, grouped, inWords, numberText, plural, t } from './text';
