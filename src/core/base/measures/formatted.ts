import { msg } from '@lingui/core/macro';
import { format } from 'date-fns/format';
import { currentSpeech, i18n } from '../language';

/** How dates are written for people: date-fns' patterns, in the order and with the small words of each language. */
const PATTERNS = {
  'EEE d MMM': msg`EEE d MMM`,
  'EEE d MMM yyyy': msg`EEE d MMM yyyy`,
  'EEEE d MMM': msg`EEEE d MMM`,
  'EEEE d MMM, H:mm': msg`EEEE d MMM, H:mm`,
  'EEEE d MMMM': msg`EEEE d MMMM`,
  'MMM yyyy': msg`MMM yyyy`,
  'MMMM yyyy': msg`MMMM yyyy`,
  'd MMM': msg`d MMM`,
  'd MMM yyyy': msg`d MMM yyyy`,
  'd MMM yyyy H:mm': msg`d MMM yyyy H:mm`,
  'd MMMM': msg`d MMMM`,
  'd MMMM yyyy': msg`d MMMM yyyy`,
  EEE: msg`EEE`,
};
/** Written alike in every language: parts of a date, and days for machines. */
type Plain = 'EEEE' | 'EEEEE' | 'd' | 'LLLL' | 'LLL' | 'H:mm' | 'yyyy-MM-dd';
export type DatePattern = keyof typeof PATTERNS | Plain;

const isWorded = (pattern: DatePattern): pattern is keyof typeof PATTERNS => pattern in PATTERNS;

/** A date in the language that is spoken. @param pattern as English writes it; a language may have its own */
export function formatted(date: Date, pattern: DatePattern): string {
  const locale = currentSpeech()?.dates;
  return format(date, isWorded(pattern) ? i18n._(PATTERNS[pattern]) : pattern, locale && { locale });
}
