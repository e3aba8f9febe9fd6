import { t } from '@/core/base/language';
import { FEEL_WORDS, measurementsOf, SCALP_WORDS } from '@/core/hair/checks';
import { hairMassGrams } from '@/core/hair/state';
import { MARKS, type Head, type Reading } from '@/core/records/shapes';
import { PLACE_LABELS } from '../shared/headWords';
import { MARK_OPTIONS } from './readingOptions';

/** What a reading holds, in one line. */
export function readingWords(head: Head, reading: Reading): string {
  const measured = measurementsOf(reading, { hairGrams: hairMassGrams(head) })
    .filter(({ test }) => test !== 'signs' && test !== 'feel')
    .map(({ why }) => why);
  const marks = MARKS.flatMap((mark) => {
    const value = reading.marks[mark];
    if (value === null) return [];
    const { label, options } = MARK_OPTIONS[mark];
    return `${label.toLowerCase()}: ${options[value]?.label ?? value}`;
  });
  const scalp = reading.scalp.map((sign) => SCALP_WORDS[sign]);
  return [
    ...measured,
    ...(reading.feel === null ? [] : [t`feels ${FEEL_WORDS[reading.feel + 3]}`]),
    ...marks,
    ...(scalp.length > 0 ? [t`scalp ${scalp.join(', ')}`] : []),
    ...reading.lengths.map(({ place, cm }) => t`${PLACE_LABELS[place].toLowerCase()} ${cm} cm`),
  ].join('; ');
}
