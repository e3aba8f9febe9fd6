import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import type { Assignment } from '@/core/plan/planning';
import { ButtonBox, Small, Strong, useWidth } from '@/ui';
import { ForecastPicture } from '@/ui/charts/ForecastPicture';
import { columnSpans, THREAD_DOMAIN, forecastZone, forecastPictureOf } from '../shared/forecastPictureOf';
import { kindInWords } from '../shared/treatmentWords';
import type { WeekRow } from '../shared/weekRows';
import { DragHandle, DropDay } from './DragTreatments';
import { treatmentKey, treatmentLine, Preparation } from './TreatmentCard';
import { useWeek } from './WeekContext';
import { DayNotes, HereButton } from './WeekDay';

interface ForecastAcrossProps {
  readonly rows: readonly WeekRow[];
  readonly label: string;
}

const HEIGHT = 270;

/** The week on a wide screen: days are columns, firm is up. */
export function ForecastAcross({ rows, label }: ForecastAcrossProps) {
  const { width, onLayout } = useWidth();
  const { head } = useWeek();
  return (
    <View onLayout={onLayout}>
      <View className="flex-row">
        {rows.map((row) => (
          <View key={row.day} className="flex-1 items-center pb-2">
            <Small className={row.isFree ? 'text-ink' : ''}>{row.isToday ? t`Today` : row.weekday}</Small>
            <Strong className={`text-lead ${row.isFree ? '' : 'text-soft-ink'}`}>{row.date}</Strong>
          </View>
        ))}
      </View>
      {width > 0 ? (
        <ForecastPicture
          days="across"
          width={width}
          height={HEIGHT}
          comfortZone={forecastZone(head)}
          domain={THREAD_DOMAIN}
          {...forecastPictureOf(rows, columnSpans(rows.length, width))}
          label={label}
        />
      ) : null}
      <View className="flex-row pt-3">
        {rows.map((row) => (
          <View key={row.day} testID="day-column" className="flex-1 gap-3 px-1">
            <ColumnDay row={row} />
          </View>
        ))}
      </View>
    </View>
  );
}

/** A day's treatments in few words; what there is to say about one of them stands below the forecast. */
function ColumnDay({ row }: { row: WeekRow }) {
  const content = (
    <>
      {row.done.map((assignment) => (
        <View key={assignment.sessionId} className="p-1">
          <Strong>{assignment.name}</Strong>
          <Small>{t`${{ kindIn: kindInWords(assignment.kind, assignment.strength) }}, done`}</Small>
        </View>
      ))}
      {row.planned.map((assignment) => (
        <ColumnTreatment key={treatmentKey(assignment)} assignment={assignment} />
      ))}
      <DayNotes notes={row.notes} />
      <Preparation tasks={row.preparation} />
      {row.done.length + row.planned.length + row.preparation.length + row.notes.length === 0 &&
      !row.isPast ? (
        <Small className="p-1">{row.isFree ? t`rest` : t`no time`}</Small>
      ) : null}
    </>
  );
  if (row.isPast) return content;
  return (
    <DropDay day={row.day}>
      {content}
      <HereButton row={row} />
    </DropDay>
  );
}

function ColumnTreatment({ assignment }: { assignment: Assignment }) {
  const { open, toggle } = useWeek();
  const isChosen = open === treatmentKey(assignment);
  return (
    <View>
      <ButtonBox
        pressed={isChosen}
        onPress={() => toggle(assignment)}
        testID={`treatment-${assignment.slot}-${assignment.day}`}
        className={`rounded-xl p-1 ${isChosen ? 'bg-zone' : ''}`}
      >
        <Strong className="text-link">{assignment.name}</Strong>
        <Small>{treatmentLine(assignment)}</Small>
      </ButtonBox>
      {assignment.slot === 'main' ? <DragHandle assignment={assignment} /> : null}
    </View>
  );
}
