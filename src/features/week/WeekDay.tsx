import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { Button, Small } from '@/ui';
import { FinishedBeat, beatKey, PlannedBeat, Preparation } from './BeatCard';
import { DragHandle, DropDay } from './DragBeats';
import { useWeek } from './WeekContext';
import type { WeekRow } from './weekRows';

/** What stands beside one day of the thread on a phone. */
export function WeekDay({ row }: { row: WeekRow }) {
  const { moving, moveTo } = useWeek();
  const rests = row.done.length + row.planned.length + row.preparation.length === 0;
  const content = (
    <>
      {row.done.map((beat) => (
        <FinishedBeat key={beat.sessionId} beat={beat} />
      ))}
      <Preparation tasks={row.preparation} />
      {row.planned.map((beat) => (
        <View key={beatKey(beat)} className="flex-row gap-1">
          <View className="flex-1">
            <PlannedBeat beat={beat} />
          </View>
          {beat.slot === 'main' ? <DragHandle beat={beat} /> : null}
        </View>
      ))}
      {rests && !row.isPast ? <Small>{row.isFree ? t`rest` : t`no time set aside`}</Small> : null}
    </>
  );
  if (row.isPast) return <View className="flex-1 gap-2">{content}</View>;
  return (
    <DropDay day={row.day}>
      {content}
      {moving ? (
        moving.day === row.day ? null : (
          <Button
            className="self-start"
            label={t`Here`}
            hint={t`Put ${{ movingName: moving.name }} on ${{ day: formatDay(row.day, 'EEEE d MMMM') }}`}
            onPress={() => moveTo(row.day)}
          />
        )
      ) : (
        <AddButton row={row} />
      )}
    </DropDay>
  );
}

/** Small, because it stands on every day. */
export function AddButton({ row }: { row: WeekRow }) {
  const { adding, startAdd } = useWeek();
  const isOpen = adding === row.day;
  return (
    <Button
      tone="quiet"
      className="self-start"
      label={t`Add`}
      hint={t`Add or ask, ${{ day: formatDay(row.day, 'EEEE d MMMM') }}`}
      expanded={isOpen}
      onPress={() => startAdd(isOpen ? null : row.day)}
    />
  );
}
