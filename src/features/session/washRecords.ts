import { t } from '@lingui/core/macro';
import {
  stepsDone,
  wornIn,
  type DayTreatment,
  type RunState,
  type WashRun,
  type Worn,
} from '@/core/hair/history';
import { batchEvent } from '@/core/kitchen/batches';
import { USE_OF_SLOT } from '@/core/plan/agenda';
import { usedVersion, type Larder } from '@/core/recipe/larder';
import {
  NO_MARKS,
  NOTHING_MEASURED,
  type Reading,
  type Session,
  Batch,
  BatchEvent,
  Place,
  StoredRecord,
  Felt,
  Rating,
  WashDay,
} from '@/core/records/shapes';
import { amountOf } from '../shared/amountOf';

/** What was left over of one treatment, in portions. */
export const LEFT_OVER = [0, 0.5, 1] as const;
export type LeftOver = (typeof LEFT_OVER)[number];

/** What she says of one treatment when the day is over. */
export interface UseAnswer {
  readonly rating: Rating | null;
  readonly left: LeftOver;
  /** Where what is left goes; null when it is thrown away. */
  readonly place: Place | null;
  /** Grams that went on, if they were weighed. */
  readonly grams: number | null;
}

export const NO_ANSWER: UseAnswer = { rating: null, left: 0, place: 'fridge', grams: null };

export interface DayAnswers {
  readonly slip: number | null;
  readonly residue: number | null;
  readonly uses: Readonly<Partial<Record<Worn['slot'], UseAnswer>>>;
  readonly note: string;
}

/** −3 gummy to +3 straw, of what can be said of wet hair. */
const FEEL_OF: Record<Felt, number> = { soft: -1, right: 0, firm: 1, rough: 2 };

interface Told {
  readonly run: WashRun;
  readonly state: RunState;
  readonly answers: DayAnswers;
  readonly larder: Larder;
  /** Grams of a use on this head, for what was not weighed. */
  readonly usualGrams: (recipeId: string) => number;
  readonly batches: readonly Batch[];
  /** At least 1. */
  readonly daysSinceDetangle: number;
  readonly stamp: () => { readonly id: string; readonly recordedAt: string };
}

/** All that a wash day leaves behind: what was used with its real minutes, how it felt, the shelf, and the day itself. */
export function recordsOf(told: Told): StoredRecord[] {
  const { run, state, answers, stamp } = told;
  const worn = wornIn(state).flatMap((each) => {
    const treatment = state.treatments.find(
      ({ slot, recipeId }) => slot === each.slot && recipeId === each.recipeId,
    );
    return treatment
      ? [{ ...each, treatment, answer: answers.uses[each.slot] ?? NO_ANSWER, stamp: stamp() }]
      : [];
  });
  const sessions = worn.map(({ treatment, minutes, answer, stamp: own }) =>
    sessionIn(told, treatment, { ...own, minutes, grams: answer.grams }),
  );
  const shelf = worn.flatMap(({ treatment, answer }) => shelfRecords(told, treatment, answer));
  const washDay: WashDay = {
    ...stamp(),
    kind: 'wash-day',
    headId: run.headId,
    day: run.day,
    startedAt: run.startedAt,
    endedAt: state.endedAt ?? run.startedAt,
    endedEarly: state.endedEarly,
    steps: stepsDone(state),
    felt: state.felt,
    sections: run.sections,
    changes: state.changes.slice(-20),
    uses: worn.map(({ slot, recipeId, answer, treatment, stamp: { id } }) => ({
      sessionId: id,
      recipeId,
      slot,
      rating: answer.rating,
      leftGrams: Math.round(answer.left * portionGrams(told, treatment)),
    })),
    note: answers.note,
  };
  return [...sessions, ...otherSide(told), ...readingsOf(told), ...heatOf(told), ...shelf, washDay];
}

/** A trial of two sides: its wash, and what went on beside the main treatment. */
function otherSide(told: Told): StoredRecord[] {
  const { run, state, stamp } = told;
  const { sides } = run;
  const main = wornIn(state).find(({ slot, recipeId }) => slot === 'main' && recipeId === sides?.recipeId);
  if (!sides || !main) return [];
  const { trialId, left, other } = sides;
  return [
    { ...stamp(), kind: 'trial-wash', trialId, headId: run.headId, day: run.day, arm: left },
    // It was on as long as the main one.
    ...(other ? [sessionIn(told, other, { ...stamp(), minutes: main.minutes, grams: null })] : []),
  ];
}

/** One treatment that was on, as it is written down. */
function sessionIn(
  told: Told,
  treatment: DayTreatment,
  { minutes, ...own }: Pick<Session, 'id' | 'recordedAt' | 'grams'> & { readonly minutes: number },
): Session {
  const { run } = told;
  return {
    ...own,
    kind: 'session',
    headId: run.headId,
    day: run.day,
    recipeId: treatment.recipeId,
    recipeVersion: treatment.recipeVersion,
    recipeRecordId: treatment.recipeRecordId,
    contactMinutes: Math.min(720, minutes),
    warmth: treatment.warmth,
    ...amountOf(treatment),
    note: '',
    ...usedAs(told, treatment),
  };
}

/** What it was used as, where its recipe is first of all something else. */
function usedAs({ larder }: Told, treatment: DayTreatment): Pick<Session, 'usedAs'> {
  const use = USE_OF_SLOT[treatment.slot];
  return larder.used(treatment)?.use === use ? {} : { usedAs: use };
}

/** A dryer is heat, also after a protectant. */
function heatOf({ run, state, stamp }: Told): StoredRecord[] {
  const isDried = state.steps.some(({ step, outcome }) => step.id === 'blow-dry' && outcome === 'done');
  return isDried
    ? [
        {
          ...stamp(),
          kind: 'event',
          headId: run.headId,
          day: run.day,
          what: 'heat',
          note: t`Blow-dry on the wash day.`,
        },
      ]
    : [];
}

/** What came out while detangling, and how it was after the rinse. */
function readingsOf({ run, state, answers, stamp, daysSinceDetangle }: Told): Reading[] {
  const { shedBall, note, ...marks } = state.noted;
  const base = { ...NOTHING_MEASURED, kind: 'reading' as const, headId: run.headId, day: run.day };
  const came: Reading[] = shedBall
    ? [{ ...stamp(), ...base, moment: 'before', shedBall: { size: shedBall, days: daysSinceDetangle } }]
    : [];
  const slip = answers.slip ?? marks.slip ?? null;
  const { residue } = answers;
  const isAny =
    state.felt !== null ||
    slip !== null ||
    residue !== null ||
    note !== undefined ||
    Object.keys(marks).length > 0;
  if (!isAny) return came;
  return [
    ...came,
    {
      ...stamp(),
      ...base,
      moment: 'after',
      feel: state.felt === null ? null : FEEL_OF[state.felt],
      marks: { ...NO_MARKS, ...marks, slip, residue },
      ...(note === undefined ? {} : { note }),
    },
  ];
}

function portionGrams({ batches, usualGrams }: Told, { batchId, recipeId }: DayTreatment): number {
  return batches.find((batch) => batch.batchId === batchId)?.portionGrams ?? usualGrams(recipeId);
}

/** A portion from the shelf is used; what was made today and is left over goes there. */
function shelfRecords(told: Told, treatment: DayTreatment, answer: UseAnswer): (Batch | BatchEvent)[] {
  const { run, stamp, larder } = told;
  const { batchId } = treatment;
  if (batchId !== null)
    return [
      batchEvent(stamp(), {
        batchId,
        day: run.day,
        what: 'used',
        portions: answer.left === 0.5 ? 0.5 : 1,
        headId: run.headId,
      }),
    ];
  const version = larder.used(treatment);
  if (answer.left === 0 || answer.place === null || !version) return [];
  const own = stamp();
  return [
    {
      ...own,
      kind: 'batch',
      batchId: own.id,
      ...usedVersion(version),
      madeOn: run.day,
      weighed: version.lines.map(({ grams }) => grams),
      waterAddedGrams: 0,
      portions: answer.left,
      portionGrams: Math.max(1, Math.round(portionGrams(told, treatment))),
      place: answer.place,
      note: t`Left over on the wash day.`,
    },
  ];
}
