import type { ChallengeState, Occasion, OccasionKind } from '@/core/agenda';
import { formatDay } from '@/core/measures';

export const OCCASION_LABELS: Readonly<
  Record<OccasionKind, { readonly label: string; readonly note: string }>
> = {
  style: {
    label: 'a protective style',
    note: 'From the day it goes in to the day it comes out: only mist and scalp care in between, protein before it goes in, and time to take it down.',
  },
  'look-good': {
    label: 'a day to look good',
    note: 'It counts five times a day; no new recipe in the week before, no strong protein in the last days.',
  },
  'no-wash': { label: 'days without a wash', note: 'Travel, a hospital stay, no water: nothing is washed.' },
  hours: { label: 'other hours', note: 'More time than usual, or less; 0 when you are away.' },
};

const span = ({ from, to }: Pick<Occasion, 'from' | 'to'>) =>
  from === to
    ? formatDay(from, 'EEEE d MMMM')
    : `${formatDay(from, 'EEE d MMM')} to ${formatDay(to, 'EEE d MMM')}`;

export function occasionWords(occasion: Occasion): { readonly title: string; readonly text: string } {
  const label = OCCASION_LABELS[occasion.what].label;
  const title = `${label.charAt(0).toUpperCase()}${label.slice(1)}`;
  const minutes = occasion.what === 'hours' ? ` · ${occasion.minutes ?? 0} minutes a day` : '';
  return { title: `${title}, ${span(occasion)}`, text: `${OCCASION_LABELS[occasion.what].note}${minutes}` };
}

/** A streak that is honest about misses: what was kept, what was not, and what is still open this week. */
export function challengeWords(state: ChallengeState): {
  readonly headline: string;
  readonly lines: readonly string[];
} {
  const { kept, missed, streak, longest, over, wanted, weeks, challenge } = state;
  const inARow = streak === 1 ? 'one week' : `${streak} weeks`;
  const headline =
    challenge.givenUpOn !== null
      ? `Given up on ${formatDay(challenge.givenUpOn, 'd MMMM')}, after ${kept} of ${weeks.length} weeks.`
      : over
        ? `Over: ${kept} of ${weeks.length} weeks kept.`
        : streak > 0
          ? `${inARow.charAt(0).toUpperCase()}${inARow.slice(1)} in a row.`
          : missed > 0
            ? 'The last week was missed. The next one counts again.'
            : 'It has begun.';
  const counts = {
    main: 'treatment',
    moisture: 'moisture treatment',
    protein: 'protein treatment',
    'pre-poo': 'pre-poo',
  }[challenge.counts];
  return {
    headline,
    lines: [
      `${kept} kept, ${missed} missed, of ${weeks.length}; the longest run is ${longest}.`,
      ...(over || state.weekFrom === null
        ? []
        : [
            wanted === 0
              ? 'This week is kept.'
              : `This week wants ${wanted === 1 ? `one more ${counts}` : `${wanted} more ${counts}s`}.`,
          ]),
    ],
  };
}
