import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { rhythmLine, rhythmOf, type RhythmPeriod } from '@/core/plan/agenda';
import { Heading, Small, Strong } from '@/ui';
import { useLarder } from '../shared/useLarder';
import { rhythmStateWords } from './rhythmStateWords';
import { StreakPicture } from './StreakPicture';
import { useWeek } from './WeekContext';

/** Periods that are drawn at most, and of these the ones that lie ahead. */
const DRAWN = 13;
const DRAWN_AHEAD = 3;

/** Her rhythms beside the week: which are kept, which were missed, which are at risk. */
export function Promises() {
  const { plan, today } = useWeek();
  const larder = useLarder();
  const running = plan.rhythms.filter(({ over }) => !over);
  if (running.length === 0) return null;
  const atRisk = (rhythmId: string) => plan.unmet.filter(({ promise }) => promise?.rhythmId === rhythmId);
  return (
    <View className="gap-2" testID="promises">
      <Heading level={2}>{t`Your rhythms`}</Heading>
      {running.map((state) => (
        <View key={state.rhythm.rhythmId} className="gap-1 border-t border-line pt-2">
          <Strong>
            {state.rhythm.name ?? rhythmOf(state.rhythm, larder.recipeName)}:{' '}
            {rhythmLine(state.rhythm, today)}
          </Strong>
          <Small className="text-ink">{rhythmStateWords(state).headline}</Small>
          {atRisk(state.rhythm.rhythmId).map(({ text }) => (
            <Small key={text} className="text-ink">
              {t`At risk.`} {text}
            </Small>
          ))}
          <StreakPicture periods={drawn(state.periods)} label={rhythmStateWords(state).headline} />
        </View>
      ))}
    </View>
  );
}

/** The latest that were, and the next few. */
function drawn(periods: readonly RhythmPeriod[]): readonly RhythmPeriod[] {
  const ahead = periods.findIndex(({ state }) => state === 'ahead');
  const end = ahead < 0 ? periods.length : ahead + DRAWN_AHEAD;
  return periods.slice(Math.max(0, end - DRAWN), end);
}
