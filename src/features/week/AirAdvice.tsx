import { t } from '@lingui/core/macro';
import { formatDay } from '@/core/base/measures';
import { airAdvice } from '@/core/hair/state';
import type { Assignment } from '@/core/plan/planning';
import { Body } from '@/ui';
import { useWeather } from './useWeather';
import { useWeek } from './WeekContext';

/** What the air of its day means for a treatment with much humectant; silent where nothing is known of it. */
export function AirAdvice({ assignment }: { assignment: Assignment }) {
  const { today } = useWeek();
  const weather = useWeather(today);
  const air = weather?.days.find(({ time }) => time === assignment.day);
  const advice = assignment.humectant && air ? airAdvice(air) : null;
  if (!weather || !advice) return null;
  return (
    <Body>
      {advice}
      {weather.of === today ? '' : t` (Forecast of ${{ of: formatDay(weather.of, 'EEEE') }}.)`}
    </Body>
  );
}
