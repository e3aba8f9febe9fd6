import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { fixed, perLanguage } from '@/core/base/language';
import { calendarDaySchema, formatDay, type CalendarDay } from '@/core/base/measures';
import { shedCounts, stylesWorn } from '@/core/hair/checks';
import { halfWords, rateRatio, rateRatioWords, type Rate } from '@/core/hair/evidence';
import type { HeadHistory } from '@/core/hair/history';
import { firstUses } from '@/core/hair/history';
import { tallyTotals } from '@/core/records/shapes';
import { Body, Choice, DateField, FieldGroup, Heading, Small, Strong } from '@/ui';

type What = 'broken' | 'shed';
const whats = perLanguage((): readonly { value: What; label: string }[] => [
  { value: 'broken', label: t`broken pieces` },
  { value: 'shed', label: t`shed hairs` },
]);
const OTHER = 'other';

/** "It sheds much less since then": what the counts say about it. */
export function ClaimCheck({ history }: { history: HeadHistory }) {
  const [what, setWhat] = useState<What>('broken');
  const since = sinceOptions(history);
  const [chosen, setChosen] = useState(since[0]?.value ?? OTHER);
  const [typed, setTyped] = useState('');
  const day = calendarDaySchema.safeParse(
    chosen === OTHER ? typed : (since.find(({ value }) => value === chosen)?.day ?? ''),
  ).data;
  return (
    <View className="gap-2 pt-4" role="group" aria-label={t`Check a claim`}>
      <Heading level={2}>{t`“Much less since then”?`}</Heading>
      <Choice label={t`What`} options={whats()} value={what} onChange={setWhat} />
      <FieldGroup label={t`Since`}>
        <Choice
          label={t`Since`}
          options={[
            ...since.map(({ value, label }) => ({ value, label })),
            { value: OTHER, label: t`another day` },
          ]}
          value={chosen}
          onChange={setChosen}
        />
      </FieldGroup>
      {chosen === OTHER ? (
        <DateField label={t`Since`} value={typed} onChange={setTyped} testID="claim-day" />
      ) : null}
      {day ? (
        <Answer history={history} what={what} since={day} isAnyDay={chosen === OTHER} firsts={since.length} />
      ) : null}
    </View>
  );
}

function Answer({
  history,
  what,
  since,
  isAnyDay,
  firsts,
}: {
  history: HeadHistory;
  what: What;
  since: CalendarDay;
  isAnyDay: boolean;
  firsts: number;
}) {
  const counts =
    what === 'shed'
      ? shedCounts(history.readings, stylesWorn(history.occasions, history.events))
      : history.readings.flatMap(({ day, tally }) =>
          tally ? [{ day, pieces: tallyTotals(tally).broken, days: tally.days }] : [],
        );
  const before = counts.filter((count) => count.day <= since);
  const after = counts.filter((count) => count.day > since);
  if (before.length === 0 || after.length === 0)
    return (
      <Body>
        {before.length === 0
          ? t`There is no count before that day, so nothing can be said.`
          : t`There is no count after that day, so nothing can be said.`}
      </Body>
    );
  // Any date, or one of the first uses: the more there were to choose from, the more easily one of them looks like a change.
  const dates = isAnyDay ? counts.length - 1 : firsts;
  const ratio = rateRatio(before, after, dates);
  return (
    <View className="gap-1" testID="claim-answer">
      <Strong>{rateRatioWords(ratio)}</Strong>
      <Body>
        {t`Half as much?`} {halfWords(ratio)}
      </Body>
      <Small>{t`It allows for what hair does on its own, and for the ${plural({ dates }, { one: '# date', other: '# dates' })} you could choose from.`}</Small>
      <Small className="text-ink">{t`Before: ${{ rateBefore: rateText(ratio.before) }}. Since: ${{ rateSince: rateText(ratio.after) }}.`}</Small>
    </View>
  );
}

function rateText({ perDay, low, high, pieces, days, counts }: Rate): string {
  const one = (value: number) => fixed(value, value < 10 ? 1 : 0);
  return t`${{ perDay: one(perDay) }} a day (${{ low: one(low) }} to ${{ high: one(high) }}), ${pieces} in ${plural(days, { one: '# day', other: '# days' })}, ${plural(counts, { one: '# count', other: '# counts' })}`;
}

const MOST_OPTIONS = 5;

/** The latest first uses of recipes: what a claim is usually hung on. */
function sinceOptions({
  sessions,
  larder,
}: HeadHistory): { value: string; label: string; day: CalendarDay }[] {
  return firstUses(sessions)
    .reverse()
    .slice(0, MOST_OPTIONS)
    .map(({ recipeId, day }) => ({
      value: recipeId,
      label: t`${{ recipeName: larder.recipeName(recipeId) }}, first on ${{ day: formatDay(day, 'd MMM') }}`,
      day,
    }));
}
