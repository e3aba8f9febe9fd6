import { plural, t } from '@lingui/core/macro';
import { lengthText } from '@/core/base/measures';
import { ballWords, feelWords, measurementsOf, scalpWords } from '@/core/hair/checks';
import { hairMassGrams } from '@/core/hair/state';
import { MARKS, tallyTotals, type Head, type Reading } from '@/core/records/shapes';
import { placeLabels } from '../shared/headWords';
import { markOptions } from '../shared/markOptions';

/** What a reading holds, in one line. */
export function readingWords(head: Head, reading: Reading): string {
  const measured = measurementsOf(reading, { hairGrams: hairMassGrams(head) })
    .filter(({ test }) => test !== 'signs' && test !== 'feel')
    .map(({ why }) => why);
  const marks = MARKS.flatMap((mark) => {
    const value = reading.marks[mark];
    if (value === null) return [];
    const { label, options } = markOptions()[mark];
    return `${label.toLowerCase()}: ${options[value]?.label ?? value}`;
  });
  const scalp = reading.scalp.map((sign) => scalpWords()[sign]);
  const { shed } = reading.tally ? tallyTotals(reading.tally) : { shed: 0 };
  return [
    ...measured,
    ...(shed > 0 ? [plural(shed, { one: '# shed hair', other: '# shed hairs' })] : []),
    ...(reading.feel === null ? [] : [t`feels ${{ feel: feelWords()[reading.feel + 3] ?? '' }}`]),
    ...marks,
    ...(reading.shedBall
      ? [
          t`shed hair like ${{ ball: ballWords()[reading.shedBall.size] }} in ${plural({ days: reading.shedBall.days }, { one: '# day', other: '# days' })}`,
        ]
      : []),
    ...(scalp.length > 0 ? [t`scalp ${{ scalp: scalp.join(', ') }}`] : []),
    ...reading.lengths.map(({ place, cm }) => `${placeLabels()[place].toLowerCase()} ${lengthText(cm)}`),
    ...(reading.note ? [reading.note] : []),
  ].join('; ');
}
