import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import type { Assignment, PlanDay } from '@/core/plan/planning';
import { ButtonBox, Small, Strong } from '@/ui';
import { THREAD_DOMAIN } from '../shared/forecastPictureOf';
import { KindMark } from '../shared/KindMark';
import { DaysForecast } from './DaysForecast';
import { treatmentKey } from './TreatmentCard';
import { useWeek } from './WeekContext';

const HEIGHT = 200;
/** Seven of them, beside the dates. */
const COLUMN = '13%';

/** Weeks at a glance: the forecast over all of them, and below it a row for each week. */
export function PlanOverview() {
  const { head, plan } = useWeek();
  const weeks = Array.from({ length: plan.weeks }, (_, week) => plan.days.slice(7 * week, 7 * week + 7));
  const last = plan.days.at(-1)?.day ?? plan.from;
  return (
    <View className="gap-4">
      <DaysForecast
        head={head}
        days={plan.days.map(({ forecast: { mean, sd }, assignments }) => ({
          mean,
          sd,
          kinds: assignments
            .filter(({ slot }) => slot === 'main' || slot === 'follow-up')
            .map(({ kind }) => kind),
        }))}
        height={HEIGHT}
        domain={THREAD_DOMAIN}
        label={t`Firmness as expected until ${{ last: formatDay(last, 'd MMMM') }}; the weeks are listed below.`}
      />
      <View role="table" aria-label={t`The plan by weeks`} className="gap-1">
        <View role="row" className="flex-row">
          <View role="columnheader" className="w-column-s">
            <Small>{t`Week of`}</Small>
          </View>
          {(weeks[0] ?? []).map(({ day }) => (
            <View key={day} role="columnheader" style={{ width: COLUMN }} className="px-1">
              <Small>{formatDay(day, 'EEE')}</Small>
            </View>
          ))}
        </View>
        {weeks.map((days) => (
          <View key={days[0]?.day} role="row" className="flex-row items-stretch border-b border-line">
            <View role="cell" className="w-column-s justify-center py-1">
              <Small>{days[0] ? formatDay(days[0].day, 'd MMM') : ''}</Small>
            </View>
            {days.map((day) => (
              <OverviewDay key={day.day} day={day} />
            ))}
          </View>
        ))}
      </View>
    </View>
  );
}

function OverviewDay({ day }: { day: PlanDay }) {
  const mains = day.assignments.filter(({ slot }) => slot === 'main' || slot === 'follow-up');
  return (
    <View role="cell" style={{ width: COLUMN }} className="min-h-target justify-center px-1">
      {mains.length === 0 ? (
        <Small>{day.freeMinutes > 0 ? formatDay(day.day, 'd') : '·'}</Small>
      ) : (
        mains.map((assignment) => (
          <OverviewTreatment key={treatmentKey(assignment)} assignment={assignment} />
        ))
      )}
    </View>
  );
}

function OverviewTreatment({ assignment }: { assignment: Assignment }) {
  const { open, toggle } = useWeek();
  const isChosen = open === treatmentKey(assignment);
  return (
    <ButtonBox
      pressed={isChosen}
      label={`${assignment.name}, ${formatDay(assignment.day, 'EEEE d MMMM')}`}
      onPress={() => toggle(assignment)}
      className={`flex-row items-center gap-1 rounded-xl ${isChosen ? 'bg-zone' : ''}`}
    >
      <KindMark kind={assignment.kind} done={false} />
      <View className="flex-1">
        <Strong>{formatDay(assignment.day, 'd')}</Strong>
        <Small>{assignment.name}</Small>
      </View>
    </ButtonBox>
  );
}
