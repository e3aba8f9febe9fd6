export { LANGUAGES, languageSchema, type Language } from './languages';
export {
  currentLanguage,
  currentSpeech,
  currentTag,
  i18n,
  inWords,
  listed,
  numberText,
  onSpeak,
  perLanguage,
  speak,
  worded,
  type Speech,
} from './speech';
export { fixed, grouped } from './numbers';
