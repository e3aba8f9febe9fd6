import { plural, t } from '@/core/base/language';
import { formatDay } from '@/core/base/measures';
import type { ChallengeState } from '@/core/plan/agenda';
import type { Occasion, OccasionKind } from '@/core/records/shapes';

export const OCCASION_LABELS: Readonly<
  Record<OccasionKind, { readonly label: string; readonly note: string }>
> = {
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
};

const span = ({ from, to }: Pick<Occasion, 'from' | 'to'>) =>
  from === to
    ? formatDay(from, 'EEEE d MMMM')
    : t`${formatDay(from, 'EEE d MMM')} to ${formatDay(to, 'EEE d MMM')}`;

export function occasionWords(occasion: Occasion): { readonly title: string; readonly text: string } {
  const label = OCCASION_LABELS[occasion.what].label;
  const title = `${label.charAt(0).toUpperCase()}${label.slice(1)}`;
  const minutes = occasion.what === 'hours' ? t` · ${occasion.minutes ?? 0} minutes a day` : '';
  return { title: `${title}, ${span(occasion)}`, text: `${OCCASION_LABELS[occasion.what].note}${minutes}` };
}

/** A streak that is honest about misses: what was kept, what was not, and what is still open this week. */
export function challengeWords(state: ChallengeState): {
  readonly headline: string;
  readonly lines: readonly string[];
} {
  const { kept, missed, streak, longest, over, wanted, weeks, challenge } = state;
  const inARow = streak === 1 ? t`one week` : t`${streak} weeks`;
  const headline =
    challenge.givenUpOn !== null
      ? t`Given up on ${formatDay(challenge.givenUpOn, 'd MMMM')}, after ${kept} of ${weeks.length} weeks.`
      : over
        ? t`Over: ${kept} of ${weeks.length} weeks kept.`
        : streak > 0
          ? t`${inARow.charAt(0).toUpperCase()}${inARow.slice(1)} in a row.`
          : missed > 0
            ? t`The last week was missed. The next one counts again.`
            : t`It has begun.`;
  const counts = {
    main: plural(wanted, 'treatment', 'treatments'),
    moisture: plural(wanted, 'moisture treatment', 'moisture treatments'),
    protein: plural(wanted, 'protein treatment', 'protein treatments'),
    'pre-poo': plural(wanted, 'pre-poo', 'pre-poos'),
  }[challenge.counts];
  return {
    headline,
    lines: [
      t`${kept} kept, ${missed} missed, of ${weeks.length}; the longest run is ${longest}.`,
      ...(over || state.weekFrom === null
        ? []
        : [wanted === 0 ? t`This week is kept.` : t`This week wants ${wanted} more ${counts}.`]),
    ],
  };
}
