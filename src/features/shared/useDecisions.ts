import { t } from '@lingui/core/macro';
import { addDays, formatDay, type CalendarDay } from '@/core/base/measures';
import { placedBy, PLAIN_WASH_ID } from '@/core/plan/agenda';
import type { Assignment } from '@/core/plan/planning';
import type { Decision, RecipeVersion, Slot, StoredRecord } from '@/core/records/shapes';
import { newStamp } from './stamp';
import { useAddRecords } from './useAddRecords';
import { useHistory } from './useHistory';

type Wish = Pick<Decision, 'day' | 'slot' | 'what' | 'recipeId' | 'overnight'>;

/** What she can decide about the plan of a head. Each is one step that one undo takes back. */
export interface Decisions {
  readonly keep: (assignment: Assignment) => void;
  readonly release: (assignment: Assignment) => void;
  readonly move: (
    assignment: Pick<Assignment, 'day' | 'slot' | 'recipeId' | 'name'>,
    to: CalendarDay,
  ) => void;
  readonly swap: (assignment: Assignment, recipeId: string, name: string) => void;
  readonly skip: (assignment: Assignment) => void;
  readonly add: (day: CalendarDay, recipeId: string, name: string, slot?: Slot, overnight?: boolean) => void;
  /** Oil on the first of these days for the night, and the wash that takes it out where none is planned. */
  readonly oilTonight: (oil: RecipeVersion, hasWash: boolean) => void;
}

export function useDecisions(headId: string, from: CalendarDay): Decisions {
  const history = useHistory(headId);
  const addRecords = useAddRecords();
  const decisions = history.decisions.filter(({ day }) => day >= from);

  const decide = (wishes: readonly Wish[], said: string) => {
    // What was decided before about the same day and slot gives way to what is decided now.
    const before = decisions.filter(({ day, slot }) =>
      wishes.some((wish) => wish.day === day && wish.slot === slot),
    );
    const records: StoredRecord[] = [
      ...before.map(({ id }): StoredRecord => ({ ...newStamp(), kind: 'withdrawal', withdraws: id })),
      ...wishes.map((wish): StoredRecord => ({ ...newStamp(), kind: 'decision', headId, ...wish })),
    ];
    addRecords(records, said);
  };

  const on = (day: CalendarDay) => formatDay(day, 'EEEE d MMMM');
  const place = (day: CalendarDay, slot: Slot, recipeId: string): Wish => ({
    day,
    slot,
    what: 'place',
    recipeId,
  });
  const avoid = (day: CalendarDay, slot: Slot, recipeId: string | null): Wish => ({
    day,
    slot,
    what: 'avoid',
    recipeId,
  });

  return {
    keep: ({ day, slot, recipeId, name }) =>
      decide([place(day, slot, recipeId)], t`${name} stays on ${{ on: on(day) }}.`),
    release: (assignment) => {
      const known = placedBy(decisions, assignment);
      if (known)
        addRecords(
          [{ ...newStamp(), kind: 'withdrawal', withdraws: known.id }],
          t`The plan may move ${{ treatmentName: assignment.name }} again.`,
        );
    },
    move: ({ day, slot, recipeId, name }, to) => {
      if (to === day) return;
      decide(
        [avoid(day, slot, recipeId), place(to, slot, recipeId)],
        t`${name} moves from ${{ from: on(day) }} to ${{ to: on(to) }}.`,
      );
    },
    swap: ({ day, slot, name }, recipeId, other) =>
      decide([place(day, slot, recipeId)], t`${other} instead of ${name} on ${{ on: on(day) }}.`),
    skip: ({ day, slot, recipeId, name }) =>
      decide(
        [avoid(day, slot, slot === 'main' ? null : recipeId)],
        t`${name} is skipped on ${{ on: on(day) }}.`,
      ),
    add: (day, recipeId, name, slot = 'main', overnight = false) =>
      decide(
        [{ ...place(day, slot, recipeId), ...(overnight ? { overnight: true } : {}) }],
        t`${name} is put on ${{ on: on(day) }}.`,
      ),
    oilTonight: ({ recipeId, name }, hasWash) =>
      decide(
        [
          { ...place(from, 'pre-poo', recipeId), overnight: true },
          ...(hasWash ? [] : [place(addDays(from, 1), 'main', PLAIN_WASH_ID)]),
        ],
        t`${name} tonight, washed out tomorrow.`,
      ),
  };
}
