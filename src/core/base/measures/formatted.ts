import { format } from 'date-fns/format';
import { currentSpeech, inWords } from '../language';

/** A date in the language that is spoken. @param pattern of date-fns, as English writes it; a language file may have its own */
export function formatted(date: Date, pattern: string): string {
  const locale = currentSpeech()?.dates;
  return locale ? format(date, inWords(pattern), { locale }) : format(date, pattern);
}
