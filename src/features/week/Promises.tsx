import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { rhythmLine, rhythmOf } from '@/core/plan/agenda';
import { Heading, Small, Strong } from '@/ui';
import { useLarder } from '../shared/useLarder';
import { rhythmStateWords } from './rhythmStateWords';
import { StreakPicture } from './StreakPicture';
import { useWeek } from './WeekContext';

/** Periods that are drawn at most, the latest of them. */
const DRAWN = 13;

/** Her rhythms beside the week: which are kept, which were missed, which are at risk. */
export function Promises() {
  const { plan, today } = useWeek();
  const larder = useLarder();
  const running = plan.rhythms.filter(({ over }) => !over);
  if (running.length === 0) return null;
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
          <StreakPicture periods={state.periods.slice(-DRAWN)} label={rhythmStateWords(state).headline} />
        </View>
      ))}
    </View>
  );
}
