import {
  createSelector,
  createSlice,
  type PayloadAction,
  type ThunkAction,
  type UnknownAction,
} from '@reduxjs/toolkit';
import { currentLanguage, type Language } from '@/core/base/language';
import type { CalendarDay } from '@/core/base/measures';
import { recordsFor } from '@/core/hair/history';
import type { HairState } from '@/core/hair/state';
import type { Effort } from '@/core/plan/agenda';
import type { Plan } from '@/core/plan/planning';
import type { PlanAnswer, PlanQuestion, TodayAnswer } from '@/core/plan/question';
import type { StoredRecord, Head } from '@/core/records/shapes';
import { selectPrefs, type Prefs } from './prefsSlice';
import { selectAllRecords, selectHeads, unlessSame, type RecordsRoot } from './recordsSlice';

/** Weeks that are planned ahead; she can look further. */
export const USUAL_WEEKS = 4;

/** How much has been asked for since the page was opened; each holds those before it. */
const WANTS = ['nothing', 'states', 'plan'] as const;
export type Wants = (typeof WANTS)[number];

/** What states and plan are computed from. Nothing has changed while every part is the same object. */
export interface Asked {
  readonly heads: readonly Head[];
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
  readonly weeks: number;
  readonly effort: Effort;
  readonly wants: Wants;
  /** Answers are full of words. */
  readonly language: Language;
}

/** The state of one head, and the records that it came from. */
interface Estimated {
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
  readonly state: HairState;
}

interface Planned {
  readonly asked: Asked;
  readonly question: PlanQuestion;
  readonly answer: PlanAnswer;
}

interface Hair {
  readonly today: CalendarDay;
  readonly language: Language;
  readonly wants: Wants;
  readonly weeks: number;
  /** Of these records, and no others, she wants the plan looked for longer. */
  readonly longerFor: readonly StoredRecord[] | null;
  /** By head. */
  readonly estimated: Readonly<Record<string, Estimated>>;
  /** The last plans, perhaps of a moment ago. */
  readonly planned: Planned | null;
  /** Why there is no newer answer. */
  readonly failure: string | null;
  /** She took the plan before the solver was done. */
  readonly taken: boolean;
}

const initialState = (): Hair => ({
  today: '1970-01-01' as CalendarDay,
  language: currentLanguage(),
  wants: 'nothing',
  weeks: USUAL_WEEKS,
  longerFor: null,
  estimated: {},
  planned: null,
  failure: null,
  taken: false,
});

/** State of hair and plan: computed from the records, never stored. */
export const hairSlice = createSlice({
  name: 'hair',
  initialState,
  reducers: {
    dayBegan: (state, { payload }: PayloadAction<CalendarDay>) => ({ ...state, today: payload }),
    /** What was answered in another language is asked again. */
    languageSpoken: (state, { payload }: PayloadAction<Language>) => ({
      ...state,
      language: payload,
      estimated: {},
      planned: null,
      failure: null,
    }),
    answerWanted: (state, { payload }: PayloadAction<Wants>) =>
      WANTS.indexOf(payload) > WANTS.indexOf(state.wants) ? { ...state, wants: payload } : state,
    weeksLookedAt: (state, { payload }: PayloadAction<number>) => ({ ...state, weeks: payload }),
    longerWanted: (state, { payload }: PayloadAction<readonly StoredRecord[]>) => ({
      ...state,
      longerFor: payload,
    }),
    computingBegan: (state) => ({ ...state, taken: false }),
    stateEstimated: (state, { payload }: PayloadAction<Estimated & { readonly headId: string }>) => {
      const { headId, ...estimated } = payload;
      return { ...state, estimated: { ...state.estimated, [headId]: estimated }, failure: null };
    },
    planFound: (state, { payload }: PayloadAction<Planned>) => ({
      ...state,
      planned: payload,
      failure: null,
    }),
    planTaken: (state) => ({ ...state, taken: true }),
    computingFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, failure: payload }),
  },
});

export const {
  dayBegan,
  languageSpoken,
  answerWanted,
  weeksLookedAt,
  longerWanted,
  computingBegan,
  stateEstimated,
  planFound,
  planTaken,
  computingFailed,
} = hairSlice.actions;

/** How the search for a plan goes; apart from the plan, for it changes several times a second. */
export const searchSlice = createSlice({
  name: 'search',
  initialState: { gap: null as number | null },
  reducers: {
    /** @param payload how far the best so far may be from the best possible; null when nothing runs */
    searchSeen: (_, { payload }: PayloadAction<number | null>) => ({ gap: payload }),
  },
});
export const { searchSeen } = searchSlice.actions;

export type HairRoot = RecordsRoot & {
  readonly prefs: Prefs;
  readonly hair: Hair;
  readonly search: { readonly gap: number | null };
};

const selectHair = (root: HairRoot) => root.hair;
export const selectToday = (root: HairRoot) => root.hair.today;
export const selectFailure = (root: HairRoot) => root.hair.failure;
export const selectTaken = (root: HairRoot) => root.hair.taken;
export const selectSearch = (root: HairRoot) => root.search.gap;

/** The head on screen: the chosen one, or the first; undefined before there is any. */
export const selectHead = createSelector(
  [selectHeads, selectPrefs],
  (heads, { headId }) => heads.find((head) => head.headId === headId) ?? heads[0],
);

/** Not a picture, nor that a calendar was taken out: nothing is planned anew for them. */
const selectPlanRecords = createSelector(
  [selectAllRecords, selectHeads],
  (records, heads) =>
    recordsFor(
      records,
      heads.map(({ headId }) => headId),
    ).filter(({ kind }) => kind !== 'calendar-export'),
  unlessSame,
);

/** What is to be computed now; null while there is nobody to plan for. */
export const selectAsked = createSelector(
  [selectHeads, selectPlanRecords, selectHair, (root: HairRoot) => selectPrefs(root).effort],
  (heads, records, { today, language, weeks, wants, longerFor }, effort): Asked | null =>
    heads.length === 0
      ? null
      : { heads, records, today, language, weeks, wants, effort: longerFor === records ? 'long' : effort },
);

/** Whether two questions have the same answer, but for how long it was looked for. */
export function isSameQuestion(a: Asked | null, b: Asked | null): boolean {
  return (
    a !== null &&
    b !== null &&
    a.heads === b.heads &&
    a.records === b.records &&
    a.today === b.today &&
    a.language === b.language &&
    a.weeks === b.weeks
  );
}

/** Whether two questions are one. */
export function isSameAsked(a: Asked | null, b: Asked | null): boolean {
  return a === b || (isSameQuestion(a, b) && a?.effort === b?.effort && a?.wants === b?.wants);
}

/** What is known of the head on screen. */
export interface HeadAnswer {
  readonly state: HairState;
  readonly plan: Plan;
  /** Today by itself. */
  readonly today: TodayAnswer | null;
  /** Rules that the plan does not keep, because what she decided allows none that keeps them all. */
  readonly relaxations: PlanAnswer['relaxations'];
  /** Everything that the plan was made of, for questions about it. */
  readonly question: PlanQuestion;
  readonly plans: readonly Plan[];
  /** What stands on the shelf and has to be used or thrown out. */
  readonly shelf: PlanAnswer['shelf'];
}

/** The last plan of the head on screen with the state that it was made for; null before the first. */
export const selectAnswer = createSelector(
  [(root: HairRoot) => root.hair.planned, selectHead],
  (planned, head): HeadAnswer | null => {
    if (!planned || !head) return null;
    const { question, answer } = planned;
    const plan = answer.plans.find(({ headId }) => headId === head.headId);
    const state = question.heads.find((each) => each.head.headId === head.headId)?.state;
    if (!plan || !state) return null;
    const { plans, relaxations, shelf } = answer;
    const today = answer.today.find(({ headId }) => headId === head.headId) ?? null;
    return { state, plan, plans, question, relaxations, shelf, today };
  },
);

/** The state of the head on screen, as last estimated; null before. */
export const selectHairState = createSelector(
  [(root: HairRoot) => root.hair.estimated, selectHead],
  (estimated, head): HairState | null => (head && estimated[head.headId]?.state) ?? null,
);

/** The states that are known, by head: perhaps of a moment ago. */
export const selectKnownStates = createSelector(
  [(root: HairRoot) => root.hair.estimated],
  (estimated): Readonly<Record<string, HairState>> =>
    Object.fromEntries(Object.entries(estimated).map(([headId, { state }]) => [headId, state])),
);

/** A newer plan is being computed. */
export const selectPending = (root: HairRoot) =>
  !isSameAsked(root.hair.planned?.asked ?? null, selectAsked(root));

/** Looks for a better plan of the records as they are, for as long as a minute. */
export const searchedOn = (): ThunkAction<void, HairRoot, unknown, UnknownAction> => (dispatch, getState) => {
  dispatch(longerWanted(selectPlanRecords(getState())));
};
