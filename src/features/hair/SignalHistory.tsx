import { plural, t } from '@lingui/core/macro';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { addDays, daysBetween, formatDay, Z90, type CalendarDay } from '@/core/base/measures';
import type { HeadHistory } from '@/core/hair/history';
import { FLAT_FROM, LIKELY_FROM, SIGNALS, type SignalState } from '@/core/hair/state';
import type { SignalId } from '@/core/records/shapes';
import { Button, Heading, Small, useWidth } from '@/ui';
import { SignalChart } from '@/ui/charts/SignalChart';
import { capital } from '../shared/amounts';
import { ways } from '../shared/effectWords';
import { eventWords } from './eventWords';
import { HistoryTable, type HistoryMark } from './HistoryTable';
import { levelText } from './levelText';

const HEIGHT = 178;
/** Of the past that is drawn at first, and of what may come. */
const SHOWN = { weeks: 12, aheadDays: 10 } as const;

/** What the value axis of each signal shows: its span and its marks, in the signal's own units. */
const axis = perLanguage(
  (): Record<
    SignalId,
    { domain: readonly [number, number]; marks: readonly { value: number; text: string }[] }
  > => ({
    firmness: {
      domain: [-2.2, 2.2],
      marks: [
        { value: 1.8, text: t`firm` },
        { value: 0, text: '0' },
        { value: -1.8, text: t`soft` },
      ],
    },
    breakage: {
      domain: [Math.log(1), Math.log(40)],
      marks: [2, 8, 30].map((perDay) => ({ value: Math.log(perDay), text: String(perDay) })),
    },
    porosity: {
      domain: [-2, 2],
      marks: [
        { value: 1.6, text: t`high` },
        { value: 0, text: '0' },
        { value: -1.6, text: t`low` },
      ],
    },
  }),
);

interface SignalHistoryProps {
  readonly state: SignalState;
  readonly history: HeadHistory;
  readonly today: CalendarDay;
}

/** One signal: where it stands in words, its history as a picture, and the same as a table when asked. */
export function SignalHistory({ state, history, today }: SignalHistoryProps) {
  const { width, onLayout } = useWidth();
  const [asTable, setAsTable] = useState(false);
  const [whole, setWhole] = useState(false);
  const model = SIGNALS[state.signal];
  const words = levelInWords(state);
  const marks = useMemo(() => marksOf(history), [history]);
  const begin = state.path[0]?.day ?? today;
  const recent = addDays(today, -7 * SHOWN.weeks);
  const isLong = begin < recent;
  const from = isLong && !whole ? recent : begin;
  return (
    <View onLayout={onLayout} className="gap-1">
      <Heading level={2}>{model.label}</Heading>
      <Small className="text-ink">{words}</Small>
      {width > 0 && from < today ? (
        <Picture {...{ state, history, today, width, words }} from={from} whole={whole && isLong} />
      ) : null}
      <View className="flex-row flex-wrap gap-4">
        {state.measurements.length > 0 ? (
          <Button
            tone="quiet"
            label={asTable ? t`Hide figures` : t`Figures`}
            hint={
              asTable
                ? t`Hide figures of ${{ model: model.label.toLowerCase() }}`
                : t`Figures of ${{ model: model.label.toLowerCase() }}`
            }
            expanded={asTable}
            onPress={() => setAsTable((shown) => !shown)}
          />
        ) : null}
        {isLong ? (
          <Button
            tone="quiet"
            label={
              whole
                ? t`Last ${plural({ weeks: SHOWN.weeks }, { one: '# week', other: '# weeks' })}`
                : t`From the beginning`
            }
            hint={`${model.label}: ${whole ? t`the last weeks` : t`from the beginning`}`}
            onPress={() => setWhole((shown) => !shown)}
          />
        ) : null}
      </View>
      {asTable ? (
        <>
          <Small className="text-ink">{figuresInWords(state)}</Small>
          <HistoryTable state={state} marks={marks} />
        </>
      ) : null}
    </View>
  );
}

interface PictureProps extends SignalHistoryProps {
  readonly width: number;
  readonly words: string;
  readonly from: CalendarDay;
  /** All of the past, and nothing of what may come. */
  readonly whole: boolean;
}

function Picture({ state, history, today, width, words, from, whole }: PictureProps) {
  const model = SIGNALS[state.signal];
  const at = (day: CalendarDay) => daysBetween(from, day);
  const inSight = ({ day }: { readonly day: CalendarDay }) => day >= from && day <= today;
  const ahead = state.ahead.slice(0, whole ? 0 : SHOWN.aheadDays);
  return (
    <SignalChart
      width={width}
      height={HEIGHT}
      lastDay={at(ahead.at(-1)?.day ?? today)}
      domain={axis()[state.signal].domain}
      comfortZone={state.comfortZone}
      path={state.path.filter(inSight).map(({ day, mean, sd }) => ({ at: at(day), mean, sd }))}
      ahead={ahead.map(({ day, mean, sd }) => ({ at: at(day), mean, sd }))}
      measurements={state.measurements
        .filter(inSight)
        .map(({ day, value, sd, off }) => ({ at: at(day), mean: value, sd, off }))}
      treatments={history.sessions.filter(inSight).map(({ day }) => at(day))}
      events={history.events.filter(inSight).map(({ day }) => at(day))}
      values={axis()[state.signal].marks}
      days={[from, today].map((day) => ({
        at: at(day),
        text: day === today ? t`today` : formatDay(day, whole ? 'MMM yyyy' : 'd MMM'),
      }))}
      label={t`${{ model: model.label }} over time. ${words}`}
    />
  );
}

function marksOf({ sessions, events, larder }: HeadHistory): HistoryMark[] {
  return [
    ...sessions.map(({ day, recipeId }) => ({
      day,
      text: t`treatment: ${{ recipeName: larder.recipeName(recipeId) }}`,
    })),
    ...events.map(({ day, what, note }) => ({
      day,
      text: note ? `${eventWords()[what].label}: ${note}` : eventWords()[what].label,
    })),
  ];
}

/** "Likely too soft. Firmer than two weeks ago." */
function levelInWords(state: SignalState): string {
  const { probabilities, signal } = state;
  const { words } = SIGNALS[signal];
  const sides = [
    { chance: probabilities.below, word: words.below },
    { chance: probabilities.within, word: words.within },
    { chance: probabilities.above, word: words.above },
  ].sort((a, b) => b.chance - a.chance);
  const word = sides[0]?.word ?? '';
  const chance = sides[0]?.chance ?? 0;
  const sentence =
    chance >= FLAT_FROM ? t`${word}.` : chance >= LIKELY_FROM ? t`Likely ${word}.` : t`Perhaps ${word}.`;
  const trend = state.measurements.length === 0 ? t`No check yet: a guess.` : trendInWords(state);
  return `${capital(sentence)} ${trend}`;
}

/** Two weeks are what a treatment or two take to show. */
const TREND_DAYS = 14;

/** Which way it went, where that is more than the doubt about it. */
function trendInWords({ signal, mean, sd, path }: SignalState): string {
  const before = path.at(-1 - TREND_DAYS);
  if (!before) return '';
  const moved = mean - before.mean;
  if (Math.abs(moved) <= sd) return t`Much as two weeks ago.`;
  const { left, right } = ways()[signal];
  return capital(t`${{ way: moved > 0 ? right : left }} than two weeks ago.`);
}

/** "About 11 broken pieces a day, between 8 and 16 nine times in ten." */
function figuresInWords({ signal, mean, sd }: SignalState): string {
  const text = (value: number) => levelText(signal, value);
  const [level, low, high] = [text(mean), text(mean - Z90 * sd), text(mean + Z90 * sd)] as const;
  return signal === 'breakage'
    ? t`About ${{ level }} broken pieces a day, between ${{ low }} and ${{ high }} nine times in ten.`
    : t`About ${{ level }}, between ${{ low }} and ${{ high }} nine times in ten; 0 is the middle of the comfort zone.`;
}
