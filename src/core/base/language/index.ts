export { LANGUAGES, languageSchema, type Language } from './languages';
export { currentLanguage, currentSpeech, currentTag, onSpeak, speak, type Speech } from './speech';
export { fixed, grouped, numberText } from './numbers';
export { i18n, inWords, listed } from './texts';
export { perLanguage, worded } from './tables';
