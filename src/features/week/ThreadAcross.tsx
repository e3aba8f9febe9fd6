import { Pressable, View } from 'react-native';
import { Thread } from '@/ui/charts/Thread';
import { Small, Strong, useWidth } from '@/ui';
import { kindInWords } from '../shared/beatWords';
import { THREAD_DOMAIN, THREAD_LANE, threadOf } from './threadOf';
import { Preparation } from './BeatCard';
import { beatKey, type WeekDayActions } from './WeekDay';
import type { WeekRow } from './weekRows';

interface ThreadAcrossProps extends WeekDayActions {
  readonly rows: readonly WeekRow[];
  readonly label: string;
}

const HEIGHT = 270;

/** The week on a wide screen: days are columns, firm is up. */
export function ThreadAcross({ rows, label, openBeat, onToggle }: ThreadAcrossProps) {
  const { width, onLayout } = useWidth();
  const column = width / Math.max(1, rows.length);
  const spans = rows.map((_, index) => ({ start: index * column, length: column }));
  return (
    <View onLayout={onLayout}>
      <View className="flex-row">
        {rows.map((row) => (
          <View key={row.day} className="flex-1 items-center pb-2">
            <Small className={row.isFree ? 'text-ink' : ''}>{row.isToday ? 'Today' : row.weekday}</Small>
            <Strong className={`text-lead ${row.isFree ? '' : 'text-soft-ink'}`}>{row.date}</Strong>
          </View>
        ))}
      </View>
      {width > 0 ? (
        <Thread
          days="across"
          width={width}
          height={HEIGHT}
          lane={THREAD_LANE}
          domain={THREAD_DOMAIN}
          {...threadOf(rows, spans)}
          label={label}
        />
      ) : null}
      <View className="flex-row pt-3">
        {rows.map((row) => (
          <View key={row.day} testID="day-column" className="flex-1 gap-3 px-1">
            <ColumnDay row={row} openBeat={openBeat} onToggle={onToggle} />
          </View>
        ))}
      </View>
    </View>
  );
}

type ColumnDayProps = Pick<WeekDayActions, 'openBeat' | 'onToggle'> & { readonly row: WeekRow };

/** A day's beats in few words; what there is to say about one of them stands below the thread. */
function ColumnDay({ row, openBeat, onToggle }: ColumnDayProps) {
  return (
    <>
      {row.done.map((beat) => (
        <View key={beat.sessionId} className="p-1">
          <Strong>{beat.name}</Strong>
          <Small>{kindInWords(beat.kind, beat.strength)}, done</Small>
        </View>
      ))}
      {row.planned.map((beat) => {
        const key = beatKey(beat);
        const chosen = key === openBeat;
        return (
          <Pressable
            key={key}
            role="button"
            aria-pressed={chosen}
            aria-label={`Why ${beat.name} here?`}
            onPress={() => onToggle(key)}
            className={`min-h-target rounded-xl p-1 ${chosen ? 'bg-lane' : ''}`}
          >
            <Strong className="text-link">{beat.name}</Strong>
            <Small>{beat.slot === 'refresh' ? 'a small beat' : kindInWords(beat.kind, beat.strength)}</Small>
          </Pressable>
        );
      })}
      <Preparation tasks={row.preparation} />
      {row.done.length + row.planned.length + row.preparation.length === 0 && !row.isPast ? (
        <Small className="p-1">{row.isFree ? 'rest' : 'no time'}</Small>
      ) : null}
    </>
  );
}
