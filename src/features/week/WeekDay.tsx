import type { CalendarDay } from '@/core/measures';
import type { Beat } from '@/core/planning';
import { Small } from '@/ui';
import { FinishedBeat, PlannedBeat, Preparation } from './BeatCard';
import type { WeekRow } from './weekRows';

export interface WeekDayActions {
  /** The beat whose reasons are open, by {@link beatKey}. */
  readonly openBeat: string | null;
  readonly onToggle: (key: string) => void;
  readonly onDone: (beat: Beat, day: CalendarDay) => void;
}

export function beatKey(beat: Beat): string {
  return `${beat.day}/${beat.slot}/${beat.recipeId}`;
}

/** What stands beside one day of the thread. */
export function WeekDay({ row, openBeat, onToggle, onDone }: WeekDayActions & { readonly row: WeekRow }) {
  const rests = row.done.length + row.planned.length + row.preparation.length === 0;
  return (
    <>
      {row.done.map((beat) => (
        <FinishedBeat key={beat.sessionId} beat={beat} />
      ))}
      <Preparation tasks={row.preparation} />
      {row.planned.map((beat) => (
        <PlannedBeat
          key={beatKey(beat)}
          beat={beat}
          open={openBeat === beatKey(beat)}
          onToggle={() => onToggle(beatKey(beat))}
          onDone={row.isToday ? () => onDone(beat, row.day) : undefined}
        />
      ))}
      {rests && !row.isPast ? <Small>{row.isFree ? 'rest' : 'no time set aside'}</Small> : null}
    </>
  );
}
