import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import type { Beat } from '@/core/plan/planning';
import { ButtonBox, Small, Strong, useWidth } from '@/ui';
import { Thread } from '@/ui/charts/Thread';
import { kindInWords } from '../shared/beatWords';
import { columnSpans, THREAD_DOMAIN, threadLane, threadOf } from '../shared/threadOf';
import type { WeekRow } from '../shared/weekRows';
import { beatKey, beatLine, Preparation } from './BeatCard';
import { DragHandle, DropDay } from './DragBeats';
import { useWeek } from './WeekContext';
import { DayNotes, HereButton } from './WeekDay';

interface ThreadAcrossProps {
  readonly rows: readonly WeekRow[];
  readonly label: string;
}

const HEIGHT = 270;

/** The week on a wide screen: days are columns, firm is up. */
export function ThreadAcross({ rows, label }: ThreadAcrossProps) {
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
        <Thread
          days="across"
          width={width}
          height={HEIGHT}
          lane={threadLane(head)}
          domain={THREAD_DOMAIN}
          {...threadOf(rows, columnSpans(rows.length, width))}
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

/** A day's beats in few words; what there is to say about one of them stands below the thread. */
function ColumnDay({ row }: { row: WeekRow }) {
  const content = (
    <>
      {row.done.map((beat) => (
        <View key={beat.sessionId} className="p-1">
          <Strong>{beat.name}</Strong>
          <Small>{t`${{ kindIn: kindInWords(beat.kind, beat.strength) }}, done`}</Small>
        </View>
      ))}
      {row.planned.map((beat) => (
        <ColumnBeat key={beatKey(beat)} beat={beat} />
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

function ColumnBeat({ beat }: { beat: Beat }) {
  const { open, toggle } = useWeek();
  const isChosen = open === beatKey(beat);
  return (
    <View>
      <ButtonBox
        pressed={isChosen}
        onPress={() => toggle(beat)}
        testID={`beat-${beat.slot}-${beat.day}`}
        className={`rounded-xl p-1 ${isChosen ? 'bg-lane' : ''}`}
      >
        <Strong className="text-link">{beat.name}</Strong>
        <Small>{beatLine(beat)}</Small>
      </ButtonBox>
      {beat.slot === 'main' ? <DragHandle beat={beat} /> : null}
    </View>
  );
}
