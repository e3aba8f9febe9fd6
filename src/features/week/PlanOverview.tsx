import { Pressable, View } from 'react-native';
import Svg from 'react-native-svg';
import { formatDay } from '@/core/measures';
import type { Beat, PlanDay } from '@/core/planning';
import { Small, Strong, useTokens, useWidth } from '@/ui';
import { Mark } from '@/ui/charts/Mark';
import { Thread } from '@/ui/charts/Thread';
import { MARK_OF_KIND } from '../shared/beatWords';
import { beatKey } from './BeatCard';
import { isSmall } from './beatSorts';
import { THREAD_DOMAIN, THREAD_LANE } from './threadOf';
import { useWeek } from './WeekContext';

const HEIGHT = 200;
const WEEKDAYS = 7;

/** Weeks at a glance: the thread over all of them, and below it a row for each week. */
export function PlanOverview() {
  const { plan } = useWeek();
  const { width, onLayout } = useWidth();
  const step = width / Math.max(1, plan.days.length);
  const along = (index: number) => (index + 0.5) * step;
  const weeks = Array.from({ length: plan.weeks }, (_, week) => plan.days.slice(7 * week, 7 * week + 7));
  const last = plan.days.at(-1)?.day ?? plan.from;
  return (
    <View className="gap-4">
      <View onLayout={onLayout}>
        {width > 0 ? (
          <Thread
            days="across"
            width={width}
            height={HEIGHT}
            lane={THREAD_LANE}
            domain={THREAD_DOMAIN}
            past={[]}
            ahead={plan.days.map(({ forecast: { mean, sd } }, index) => ({ along: along(index), mean, sd }))}
            marks={plan.days.flatMap(({ beats, forecast }, index) =>
              beats
                .filter((beat) => !isSmall(beat) && beat.slot !== 'pre-poo')
                .map(({ kind, strength }) => ({
                  along: along(index),
                  mean: forecast.mean,
                  kind: MARK_OF_KIND[kind],
                  strength: Math.min(1, strength),
                  done: false,
                })),
            )}
            rule={null}
            label={`Firmness as expected until ${formatDay(last, 'd MMMM')}; the weeks are listed below.`}
          />
        ) : null}
      </View>
      <View role="table" aria-label="The plan by weeks" className="gap-1">
        {weeks.map((days) => (
          <View key={days[0]?.day} role="row" className="flex-row items-stretch border-b border-line">
            <View role="cell" className="w-[84px] justify-center py-1">
              <Small>{days[0] ? formatDay(days[0].day, 'd MMM') : ''}</Small>
            </View>
            {days.map((day) => (
              <OverviewDay key={day.day} day={day} width={`${(100 - 8) / WEEKDAYS}%`} />
            ))}
          </View>
        ))}
      </View>
    </View>
  );
}

function OverviewDay({ day, width }: { day: PlanDay; width: `${number}%` }) {
  const mains = day.beats.filter(({ slot }) => slot === 'main' || slot === 'follow-up');
  return (
    <View role="cell" style={{ width }} className="min-h-target justify-center px-1">
      {mains.length === 0 ? (
        <Small className={day.freeMinutes > 0 ? 'text-ink' : ''}>{formatDay(day.day, 'EEEEEE')}</Small>
      ) : (
        mains.map((beat) => <OverviewBeat key={beatKey(beat)} beat={beat} />)
      )}
    </View>
  );
}

function OverviewBeat({ beat }: { beat: Beat }) {
  const { open, toggle } = useWeek();
  const tokens = useTokens();
  const isChosen = open === beatKey(beat);
  return (
    <Pressable
      role="button"
      aria-pressed={isChosen}
      aria-label={`${beat.name}, ${formatDay(beat.day, 'EEEE d MMMM')}`}
      onPress={() => toggle(beat)}
      className={`min-h-target flex-row items-center gap-1 rounded-xl ${isChosen ? 'bg-lane' : ''}`}
    >
      <Svg width={40} height={24} aria-hidden>
        <Mark
          kind={MARK_OF_KIND[beat.kind]}
          x={14}
          y={12}
          strength={0.5}
          done={false}
          firmIs="right"
          tokens={tokens}
        />
      </Svg>
      <View className="flex-1">
        <Strong>{formatDay(beat.day, 'EEEEEE d')}</Strong>
        <Small>{beat.name}</Small>
      </View>
    </Pressable>
  );
}
