import { plural, t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { formatDay } from '@/core/base/measures';
import type { ChallengeState } from '@/core/plan/agenda';
import type { Occasion, OccasionKind } from '@/core/records/shapes';

export const occasionLabels = perLanguage(
  (): Readonly<Record<OccasionKind, { readonly label: string; readonly note: string }>> => ({
    style: {
      label: t`a protective style`,
      note: t`From the day it goes in to the day it comes out: only mist and scalp care in between, protein before it goes in, and time to take it down.`,
    },
    'look-good': {
      label: t`a day to look good`,
      note: t`It counts five times a day; no new recipe in the week before, no strong protein in the last days.`,
    },
    'no-wash': {
      label: t`days without a wash`,
      note: t`Travel, a hospital stay, no water: nothing is washed.`,
    },
    hours: { label: t`other hours`, note: t`More time than usual, or less; 0 when you are away.` },
  }),
);

const span = ({ from, to }: Pick<Occasion, 'from' | 'to'>) =>
  from === to
    ? formatDay(from, 'EEEE d MMMM')
    : t`${{ from: formatDay(from, 'EEE d MMM') }} to ${{ to: formatDay(to, 'EEE d MMM') }}`;

export function occasionWords(occasion: Occasion): { readonly title: string; readonly text: string } {
  const label = occasionLabels()[occasion.what].label;
  const title = `${label.charAt(0).toUpperCase()}${label.slice(1)}`;
  const minutes =
    occasion.what === 'hours'
      ? t` · ${plural({ minutes: occasion.minutes ?? 0 }, { one: '# minute', other: '# minutes' })} a day`
      : '';
  return { title: `${title}, ${span(occasion)}`, text: `${occasionLabels()[occasion.what].note}${minutes}` };
}

/** A streak that is honest about misses: what was kept, what was not, and what is still open this week. */
export function challengeWords(state: ChallengeState): {
  readonly headline: string;
  readonly lines: readonly string[];
} {
  const { kept, missed, streak, longest, over, wanted, weeks, challenge } = state;
  const headline =
    challenge.givenUpOn !== null
      ? t`Given up on ${{ givenUpOn: formatDay(challenge.givenUpOn, 'd MMMM') }}, after ${kept} of ${plural({ count: weeks.length }, { one: '# week', other: '# weeks' })}.`
      : over
        ? t`Over: ${kept} of ${plural({ count: weeks.length }, { one: '# week', other: '# weeks' })} kept.`
        : streak > 0
          ? plural(streak, { one: 'One week in a row.', other: '# weeks in a row.' })
          : missed > 0
            ? t`The last week was missed. The next one counts again.`
            : t`It has begun.`;
  const wants = {
    main: plural(wanted, {
      0: 'This week is kept.',
      one: 'This week wants # more treatment.',
      other: 'This week wants # more treatments.',
    }),
    moisture: plural(wanted, {
      0: 'This week is kept.',
      one: 'This week wants # more moisture treatment.',
      other: 'This week wants # more moisture treatments.',
    }),
    protein: plural(wanted, {
      0: 'This week is kept.',
      one: 'This week wants # more protein treatment.',
      other: 'This week wants # more protein treatments.',
    }),
    'pre-poo': plural(wanted, {
      0: 'This week is kept.',
      one: 'This week wants # more pre-poo.',
      other: 'This week wants # more pre-poos.',
    }),
  }[challenge.counts];
  return {
    headline,
    lines: [
      t`${kept} kept, ${missed} missed, of ${{ count: weeks.length }}; the longest run is ${longest}.`,
      ...(over || state.weekFrom === null ? [] : [wants]),
    ],
  };
}
