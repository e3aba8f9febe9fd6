import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { Button, Small } from '@/ui';
import type { WeekRow } from '../shared/weekRows';
import { DragHandle, DropDay } from './DragTreatments';
import { FinishedTreatment, treatmentKey, PlannedTreatment, PreparationFor } from './TreatmentCard';
import { useWeek } from './WeekContext';

/** What stands beside one day of the forecast on a phone. */
export function WeekDay({ row }: { row: WeekRow }) {
  const rests = row.done.length + row.planned.length + row.preparation.length + row.notes.length === 0;
  const content = (
    <>
      {row.done.map((assignment) => (
        <FinishedTreatment key={assignment.sessionId} assignment={assignment} />
      ))}
      <DayNotes notes={row.notes} />
      <PreparationFor tasks={row.preparation} />
      {row.planned.map((assignment) => (
        <View key={treatmentKey(assignment)} className="flex-row gap-1">
          <View className="flex-1">
            <PlannedTreatment assignment={assignment} />
          </View>
          {assignment.slot === 'main' ? <DragHandle assignment={assignment} /> : null}
        </View>
      ))}
      {rests && !row.isPast ? <Small>{row.isFree ? t`rest` : t`no time`}</Small> : null}
    </>
  );
  if (row.isPast) return <View className="flex-1 gap-2">{content}</View>;
  return (
    <DropDay day={row.day}>
      {content}
      <HereButton row={row} />
    </DropDay>
  );
}

/** What the day is by itself. */
export function DayNotes({ notes }: Pick<WeekRow, 'notes'>) {
  return notes.map(({ code, text }) => (
    <View key={code} role="note" className="border-l-4 border-saffron pl-2" testID={`note-${code}`}>
      <Small className="text-ink">{text}</Small>
    </View>
  ));
}

/** While something looks for another day than its own. */
export function HereButton({ row }: { row: WeekRow }) {
  const { moving, moveTo } = useWeek();
  if (!moving || moving.day === row.day) return null;
  return (
    <Button
      className="self-start"
      label={t`Here`}
      hint={t`Put ${{ movingName: moving.name }} on ${{ day: formatDay(row.day, 'EEEE d MMMM') }}`}
      onPress={() => moveTo(row.day)}
    />
  );
}
