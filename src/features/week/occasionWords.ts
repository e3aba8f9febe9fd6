import { plural, t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { formatDay } from '@/core/base/measures';
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
  const { takeDown } = occasion;
  const down = takeDown
    ? ` · ${
        takeDown.days === 1
          ? t`taking it down: ${{ hours: takeDown.hours }} h on the last day`
          : t`taking it down: ${{ hours: takeDown.hours }} h over the last two days`
      }`
    : '';
  return {
    title: `${title}, ${span(occasion)}`,
    text: `${occasionLabels()[occasion.what].note}${minutes}${down}`,
  };
}
