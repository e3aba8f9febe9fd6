import { addDays, dayRange, daysBetween, invariant, weekdayOf, type CalendarDay } from '../../base/measures';
import type { SolveProgramme } from '../../base/programme';
import { estimateHair } from '../../hair/estimation';
import { SIGNALS, type HairState, type SignalState } from '../../hair/state';
import { PLAN_RULES, USUAL_CHOICES, type AgreedBeat } from '../../plan/agenda';
import { minutesOf, planProblem, type HeadProblem, type PlanProblem } from '../../plan/planning';
import { solveSchedule } from '../../plan/scheduling';
import type { Verdict } from '../../recipe/classification';
import type { Head, PlanSettings, RecipeVersion } from '../../records/shapes';
import { VirtualHead } from '../simulation';
import { STAMP } from '../testing';
import { Life, type Use } from './life';
import { pick, seededHead, START } from './seededHead';

/** Weeks that a rhythm is lived, and weeks before it, of which all rhythms know the same. */
const WEEKS = 12;
const WEEKS_BEFORE = 8;
/** How far the planner looks ahead; it plans anew every week. */
const PLAN_WEEKS = 2;
/** Beyond this firmness hair is not a little stiff but overloaded: half a unit past the lane. */
const OVERLOAD_FROM = 1;

/** What a rhythm did to a head in its weeks. */
export interface RhythmOutcome {
  /** Share of days in the lane. */
  readonly inLane: number;
  /** Broken pieces a day. */
  readonly broken: number;
  /** Times that the hair became overloaded. */
  readonly overloads: number;
  readonly minutes: number;
  readonly cost: number;
}

export const RHYTHM_IDS = [
  'planner',
  'by-need',
  'calendar',
  'alternating',
  'last-feel',
  'nothing',
  'all-knowing',
] as const;
export type RhythmId = (typeof RHYTHM_IDS)[number];

export const RHYTHM_WORDS: Readonly<Record<RhythmId, string>> = {
  planner: '(a) this planner',
  'by-need': '(a) this planner, its weekly rules switched off',
  calendar: '(b) protein every six weeks, moisture weekly',
  alternating: '(c) protein and moisture in turn, weekly',
  'last-feel': '(d) answer the last feel',
  nothing: '(e) nothing',
  'all-knowing': 'this planner, if it knew the truth',
};

/** What a rhythm does in the week that begins. */
type Rhythm = (life: Life, problem: PlanProblem, week: number) => readonly Use[];

const first = (
  { seeded: { recipes, verdicts } }: Life,
  is: (verdict: Verdict) => boolean,
): RecipeVersion | undefined =>
  recipes.find(({ recipeId, use }) => {
    const verdict = verdicts.get(recipeId);
    return use === 'mask' && verdict !== undefined && is(verdict);
  });

const isMoisture = ({ kind }: Verdict) => kind === 'moisture';
const isProtein = ({ kind }: Verdict) => kind === 'protein';
const isStrong = (verdict: Verdict) => isProtein(verdict) && verdict.strength >= 3;
const isLight = (verdict: Verdict) => isProtein(verdict) && verdict.strength < 3;

function freeDaysOf({ freeMinutes }: Head, from: CalendarDay): CalendarDay[] {
  return dayRange(from, 7).filter((day) => (freeMinutes[weekdayOf(day)] ?? 0) > 0);
}

/** On the first free day of the week. */
function onFreeDay(life: Life, from: CalendarDay, recipes: readonly (RecipeVersion | undefined)[]): Use[] {
  const [day] = freeDaysOf(life.seeded.head, from);
  return recipes.flatMap((recipe, order): Use[] =>
    day && recipe
      ? [{ day, slot: order === 0 ? 'main' : 'follow-up', recipeId: recipe.recipeId, overnight: false }]
      : [],
  );
}

const byHabit: Readonly<Record<Exclude<RhythmId, 'planner' | 'by-need' | 'all-knowing'>, Rhythm>> = {
  calendar: (life, { from }, week) =>
    week % 6 === 0
      ? onFreeDay(life, from, [first(life, isStrong) ?? first(life, isProtein), first(life, isMoisture)])
      : onFreeDay(life, from, [first(life, isMoisture)]),
  alternating: (life, { from }, week) =>
    onFreeDay(life, from, [
      week % 2 === 0 ? (first(life, isLight) ?? first(life, isProtein)) : first(life, isMoisture),
    ]),
  'last-feel': (life, { from }) => {
    const feel = life.readings.at(-1)?.feel ?? 0;
    if (feel === 0) return [];
    return onFreeDay(life, from, [
      feel < 0 ? (first(life, isLight) ?? first(life, isProtein)) : first(life, isMoisture),
    ]);
  },
  nothing: () => [],
};

/** No wash for the sake of a date. */
function weeklyRulesOff(headId: string): PlanSettings {
  return {
    ...STAMP,
    ...USUAL_CHOICES,
    kind: 'plan-settings',
    id: 'by-need',
    headId,
    rules: { [PLAN_RULES.mainWithin.id]: null, [PLAN_RULES.moistureWithin.id]: null },
  };
}

/** Plans four weeks and does the first of them, then plans again from what was read. */
function byPlanner(
  solve: SolveProgramme,
  { knowing, byNeed }: { readonly knowing: boolean; readonly byNeed: boolean },
): Rhythm {
  let agreed: readonly AgreedBeat[] = [];
  return (life, { from }) => {
    const { head, kitchen } = life.seeded;
    const history = { ...life.history(), planSettings: byNeed ? [weeklyRulesOff(head.headId)] : [] };
    const estimated = estimateHair(head, history, from);
    const state = knowing ? withTruth(estimated, life.seeded.virtual, from) : estimated;
    const problem = planProblem([{ head, history, state, agreed }], kitchen, from, PLAN_WEEKS);
    const beats = solveSchedule(problem, solve, { seconds: 4, gap: 0.01 }).drafts[0] ?? [];
    agreed = beats.map(({ day, slot, recipeId, overnight }) => ({ day, slot, recipeId, overnight }));
    return beats.filter(({ day }) => daysBetween(from, day) < 7);
  };
}

/** What no reading tells: level, rest, fading and effects as they are. A bound for what better estimating could bring. */
function withTruth(state: HairState, virtual: VirtualHead, from: CalendarDay): HairState {
  const signals = Object.fromEntries(
    Object.values(state.signals).map((known): [string, SignalState] => {
      const { signal } = known;
      const kept = virtual.retentionPerDay;
      const rest = virtual.restOf(signal);
      const level = virtual.level(signal);
      const noise = SIGNALS[signal].dailySd ** 2;
      return [
        signal,
        {
          ...known,
          mean: level,
          sd: SURE,
          retentionPerDay: kept,
          responses: known.responses.map((response) => ({
            ...response,
            mean: virtual.knownEffect(response.recipeId)?.[signal] ?? response.mean,
            sd: SURE,
          })),
          ahead: known.ahead.map((_, index) => {
            const left = kept ** (index + 1);
            return {
              day: addDays(from, index + 1),
              mean: rest + left * (level - rest),
              sd: Math.sqrt(SURE ** 2 + (noise * (1 - left ** 2)) / (1 - kept ** 2)),
            };
          }),
        },
      ];
    }),
  );
  return { ...state, signals: signals as HairState['signals'] };
}

/** As good as known. */
const SURE = 0.03;

/** Lives one seeded head under one rhythm. */
export function livedRhythm(rhythm: RhythmId, seed: number, solve: SolveProgramme): RhythmOutcome {
  const life = new Life(seededHead(seed));
  const { virtual, head, kitchen, random } = life.seeded;
  const masks = life.seeded.recipes.filter(({ use }) => use === 'mask');
  const start = addDays(START, 7 * WEEKS_BEFORE);
  for (let week = 0; week < WEEKS_BEFORE; week++) {
    const monday = addDays(START, 7 * week);
    // As the demo’s heads do: on two days of the week, whatever comes to hand.
    const uses = freeDaysOf(head, monday)
      .slice(0, 2)
      .map((day): Use => ({ day, slot: 'main', recipeId: pick(random, masks).recipeId, overnight: false }));
    liveWeek(
      life,
      monday,
      () => uses,
      () => undefined,
    );
  }
  const problemOf = (from: CalendarDay) => {
    const history = life.history();
    return planProblem([{ head, history, state: estimateHair(head, history, from) }], kitchen, from, 1);
  };
  const prices = problemOf(start).heads[0];
  invariant(prices, 'the head is in its problem');
  const decide =
    rhythm === 'planner' || rhythm === 'by-need' || rhythm === 'all-knowing'
      ? byPlanner(solve, { knowing: rhythm === 'all-knowing', byNeed: rhythm !== 'planner' })
      : byHabit[rhythm];
  const seen = { inLane: 0, broken: 0, overloads: 0, minutes: 0, cost: 0, wasOver: false };
  for (let week = 0; week < WEEKS; week++) {
    const from = addDays(start, 7 * week);
    liveWeek(
      life,
      from,
      () => {
        const uses = decide(life, { from, weeks: 1, heads: [] }, week);
        for (const use of uses) {
          seen.minutes += effort(prices, use).minutes;
          seen.cost += effort(prices, use).cost;
        }
        return uses;
      },
      () => {
        const firmness = virtual.level('firmness');
        const { low, high } = SIGNALS.firmness.lane;
        seen.inLane += firmness >= (low ?? -Infinity) && firmness <= (high ?? Infinity) ? 1 : 0;
        seen.broken += Math.exp(virtual.level('breakage'));
        if (firmness > OVERLOAD_FROM && !seen.wasOver) seen.overloads++;
        seen.wasOver = firmness > OVERLOAD_FROM;
      },
    );
  }
  const days = 7 * WEEKS;
  return {
    inLane: seen.inLane / days,
    broken: seen.broken / days,
    overloads: seen.overloads,
    minutes: seen.minutes,
    cost: seen.cost,
  };
}

/** A reading when the week is planned, one before each wash, and one when dry on the day after it, whatever the rhythm. */
function liveWeek(life: Life, from: CalendarDay, decide: () => readonly Use[], look: () => void): void {
  life.read(from, 'dry', false);
  const uses = decide();
  for (const day of dayRange(from, 7)) {
    if (life.washedOn(addDays(day, -1)) && day !== from) life.read(day, 'dry', false);
    const today = uses.filter((use) => use.day === day);
    if (today.length > 0) life.read(day, 'before', true);
    for (const use of today) life.use(use);
    look();
    life.passDay(day);
  }
}

function effort(head: HeadProblem, use: Use): { minutes: number; cost: number } {
  const treatment = head.treatments.find(({ recipeId }) => recipeId === use.recipeId);
  if (!treatment) return { minutes: 0, cost: 0 };
  return { minutes: minutesOf(head, { ...use, treatment, batchId: null }), cost: treatment.cost ?? 0 };
}
