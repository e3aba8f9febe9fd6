import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { addDays, daysBetween, formatDay, sum, Z90, type CalendarDay } from '@/core/base/measures';
import { SHED_ORDINARY_PER_DAY, shedCounts, stylesWorn, type ShedCount } from '@/core/hair/checks';
import { halfWords, rateOf, rateRatio } from '@/core/hair/evidence';
import { firstUses, type HeadHistory } from '@/core/hair/history';
import type { EventKind } from '@/core/records/shapes';
import { Body, Button, Heading, Small, useWidth } from '@/ui';
import { SignalChart } from '@/ui/charts/SignalChart';
import { eventWords } from './eventWords';

const HEIGHT = 178;
const SHOWN_DAYS = 364;
/** The latest changes that are asked about, beside which a count can show something. */
const MOST_CHANGES = 3;

interface Change {
  readonly day: CalendarDay;
  readonly name: string;
}

/** Shed hairs a day, count by count, with what changed meanwhile, and whether it is half of what it was. */
export function ShedHistory({ history, today }: { history: HeadHistory; today: CalendarDay }) {
  const { width, onLayout } = useWidth();
  const counts = shedCounts(history.readings, stylesWorn(history.occasions, history.events)).filter(
    ({ day }) => day > addDays(today, -SHOWN_DAYS),
  );
  return (
    <View onLayout={onLayout} className="gap-1" testID="shed-history">
      <Heading level={2}>{t`Shed hair`}</Heading>
      {counts.length === 0 ? (
        <>
          <Small className="text-ink">{t`Not counted yet. The size of the ball at the next detangle is enough.`}</Small>
          <View className="items-start">
            <Button label={t`Count shed hair`} onPress={() => router.push('/hair/tally')} />
          </View>
        </>
      ) : (
        <Shed counts={counts} history={history} today={today} width={width} />
      )}
    </View>
  );
}

interface ShedProps {
  readonly counts: readonly ShedCount[];
  readonly history: HeadHistory;
  readonly today: CalendarDay;
  readonly width: number;
}

function Shed({ counts, history, today, width }: ShedProps) {
  const from = counts[0]?.day ?? today;
  const at = (day: CalendarDay) => daysBetween(from, day);
  const points = counts.map((count) => {
    const { perDay, low, high } = rateOf([count]);
    return { at: at(count.day), mean: perDay, sd: (high - low) / (2 * Z90), off: false };
  });
  const most = Math.max(1.5 * SHED_ORDINARY_PER_DAY.high, ...points.map(({ mean, sd }) => mean + sd));
  const perDay = sum(counts.map(({ pieces }) => pieces)) / sum(counts.map(({ days }) => days));
  const changes = changesOf(history).filter(({ day }) => day >= from);
  const words = t`About ${{ perDay: Math.round(perDay) }} a day over ${{ count: counts.length }} counts; ${{ low: SHED_ORDINARY_PER_DAY.low }} to ${{ high: SHED_ORDINARY_PER_DAY.high }} is ordinary.`;
  return (
    <>
      <Small className="text-ink">{words}</Small>
      {counts.some(({ afterStyle }) => afterStyle) ? (
        <Small>{t`After a take-down the hairs of all those weeks come at once; they are shared out over them.`}</Small>
      ) : null}
      {width > 0 && from < today ? (
        <SignalChart
          width={width}
          height={HEIGHT}
          lastDay={at(today)}
          domain={[0, most]}
          comfortZone={SHED_ORDINARY_PER_DAY}
          path={points}
          ahead={[]}
          measurements={points}
          treatments={firstUses(history.sessions).flatMap(({ day }) => (day >= from ? [at(day)] : []))}
          events={history.events.flatMap(({ day, what }) =>
            day >= from && CHANGES.has(what) ? [at(day)] : [],
          )}
          values={[0, SHED_ORDINARY_PER_DAY.low, SHED_ORDINARY_PER_DAY.high].map((value) => ({
            value,
            text: String(value),
          }))}
          days={[from, today].map((day) => ({
            at: at(day),
            text: day === today ? t`today` : formatDay(day, 'd MMM'),
          }))}
          label={t`Shed hairs a day. ${words}`}
        />
      ) : null}
      {changes.slice(-MOST_CHANGES).map(({ day, name }) => (
        <Half key={`${day}-${name}`} counts={counts} since={{ day, name }} dates={changes.length} />
      ))}
    </>
  );
}

/** What happens once, not every week. */
const CHANGES: ReadonlySet<EventKind> = new Set<EventKind>([
  'bleach',
  'dye',
  'relaxer',
  'style-in',
  'style-out',
  'illness',
  'hard-water',
]);

/** Each recipe's first use, and what happened beside. */
function changesOf({ sessions, events, larder }: HeadHistory): Change[] {
  return [
    ...firstUses(sessions).map(({ day, recipeId }) => ({ day, name: larder.recipeName(recipeId) })),
    ...events
      .filter(({ what }) => CHANGES.has(what))
      .map(({ day, what }) => ({ day, name: eventWords()[what].label })),
  ].sort((a, b) => (a.day < b.day ? -1 : 1));
}

function Half({
  counts,
  since: { day, name },
  dates,
}: {
  counts: readonly ShedCount[];
  since: Change;
  dates: number;
}) {
  const before = counts.filter((count) => count.day <= day);
  const after = counts.filter((count) => count.day > day);
  if (before.length === 0 || after.length === 0) return null;
  return (
    <Body>
      {t`Half as much since ${name}, ${{ day: formatDay(day, 'd MMM') }}?`}{' '}
      {halfWords(rateRatio(before, after, dates))}
    </Body>
  );
}
