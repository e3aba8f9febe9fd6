import { plural, t } from '@lingui/core/macro';
import { formatDay } from '@/core/base/measures';
import type { RhythmState } from '@/core/plan/agenda';

/** A streak that is honest about misses: what was kept, what was not, and what is still open. */
export function rhythmStateWords(state: RhythmState): {
  readonly headline: string;
  readonly lines: readonly string[];
} {
  const { kept, missed, streak, longest, over, wanted, periods, rhythm } = state;
  const before = periods.filter(({ state: period }) => period === 'before').length;
  const headline =
    rhythm.endedOn !== null
      ? t`Given up on ${{ day: formatDay(rhythm.endedOn, 'd MMMM') }}, kept ${plural(kept, { one: '# time', other: '# times' })}.`
      : over
        ? t`Over: kept ${plural(kept, { one: '# time', other: '# times' })}.`
        : streak > 0
          ? plural(streak, { one: 'Kept once in a row.', other: 'Kept # times in a row.' })
          : missed > 0
            ? t`The last one was missed. The next one counts again.`
            : t`It has begun.`;
  return {
    headline,
    lines: [
      t`${kept} kept, ${missed} missed; the longest run is ${longest}.`,
      ...(before > 0
        ? [plural(before, { one: '# lies before you told of it.', other: '# lie before you told of it.' })]
        : []),
      ...(over || wanted === 0
        ? []
        : [plural(wanted, { one: 'One more is wanted now.', other: '# more are wanted now.' })]),
    ],
  };
}
