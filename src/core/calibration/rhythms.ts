import { randomInt, randomLcg, randomUniform } from 'd3-random';
import { classifyVersion, type Verdict } from '../classification';
import { estimateHair } from '../estimation';
import { headSchema, SIGNALS, type Head, type HeadHistory } from '../hair';
import {
  addDays,
  calendarDay,
  countingIds,
  dayRange,
  daysBetween,
  invariant,
  weekdayOf,
  type CalendarDay,
} from '../measures';
import type { PantryItem } from '../pantry';
import {
  minutesOf,
  planProblem,
  type AgreedBeat,
  type Draft,
  type HeadProblem,
  type Kitchen,
  type PlanProblem,
} from '../planning';
import type { SolveProgramme } from '../programme';
import { NOTHING_MEASURED, type HeadEvent, type Reading } from '../readings';
import { CATALOGUE_LARDER, makeLarder, type RecipeVersion } from '../recipes';
import { scheduled } from '../scheduling';
import type { Session } from '../sessions';
import { VirtualHead } from '../simulation';
import { STAMP, testHistory, testRecipe } from '../testing';

/** Weeks that a rhythm is lived, and weeks before it, of which all rhythms know the same. */
const WEEKS = 12;
const WEEKS_BEFORE = Number(process.env.WB ?? 8);
/** How far the planner looks ahead; it plans anew every week. */
const PLAN_WEEKS = Number(process.env.PW ?? 4);
const START = calendarDay('2026-03-02');
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

export const RHYTHM_IDS = ['planner', 'calendar', 'alternating', 'last-feel', 'nothing'] as const;
export type RhythmId = (typeof RHYTHM_IDS)[number];

export const RHYTHM_WORDS: Readonly<Record<RhythmId, string>> = {
  planner: '(a) this planner',
  calendar: '(b) protein every six weeks, moisture weekly',
  alternating: '(c) protein and moisture in turn, weekly',
  'last-feel': '(d) answer the last feel',
  nothing: '(e) nothing',
};

type Brew = readonly [name: string, lines: readonly string[], contactMinutes: number];

/** What may stand in a kitchen: of each sort a head has so many. Nothing goes on before the shampoo, in any of the rhythms. */
const SHELF: readonly { readonly has: number; readonly of: readonly Brew[] }[] = [
  {
    has: 3,
    of: [
      ['linseed cream', ['3 tbsp linseed, boiled, strained', '300 ml water', '1 tbsp honey'], 30],
      ['plain balm', ['100 g plain conditioner', '1 tbsp glycerin', '2 tbsp aloe juice'], 30],
      ['oat and agave', ['100 ml oat milk', '1 tbsp agave', '4 tbsp plain conditioner'], 45],
      ['banana cream', ['1 banana, sieved', '1 tbsp honey', '3 tbsp plain conditioner'], 30],
    ],
  },
  {
    has: 2,
    of: [
      ['rice water and silk', ['200 ml rice water', '1 tbsp hydrolysed silk'], 25],
      ['yogurt', ['150 g plain yogurt', '1 tsp honey'], 30],
      ['a spoon of keratin', ['100 g plain conditioner', '2 tsp hydrolysed keratin'], 20],
      ['egg', ['2 egg, whole', '1 tbsp olive oil'], 20],
    ],
  },
  {
    has: 1,
    of: [
      ['gelatin', ['11 g gelatin, dissolved', '150 ml water', '1 tbsp plain conditioner'], 20],
      ['silk and gelatin', ['7 g gelatin, dissolved', '150 ml water', '1 tbsp hydrolysed silk'], 20],
    ],
  },
];

interface SeededHead {
  readonly head: Head;
  readonly virtual: VirtualHead;
  readonly recipes: readonly RecipeVersion[];
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly kitchen: Kitchen;
  readonly random: () => number;
}

const pick = <T>(random: () => number, from: readonly T[]): T => {
  const found = from[randomInt.source(random)(from.length)()];
  invariant(found !== undefined, 'there is something to pick from');
  return found;
};

function shuffled<T>(random: () => number, list: readonly T[]): T[] {
  return list
    .map((each) => ({ each, key: random() }))
    .sort((a, b) => a.key - b.key)
    .map(({ each }) => each);
}

/** Neighbouring numbers far apart, 0 to 1: a linear generator begun with neighbours draws alike (mixing steps of MurmurHash3). */
function scattered(seed: number): number {
  let mixed = Math.imul(seed ^ 0x9e37_79b9, 0x85eb_ca6b);
  mixed = Math.imul(mixed ^ (mixed >>> 13), 0xc2b2_ae35);
  return ((mixed ^ (mixed >>> 16)) >>> 0) / 2 ** 32;
}

/** A head, its hidden truth and what stands in its kitchen; the same seed is the same head. */
function seededHead(seed: number): SeededHead {
  const random = randomLcg(scattered(seed));
  const between = (least: number, most: number) => randomUniform.source(random)(least, most)();
  const freeDays = new Set(shuffled(random, [0, 1, 2, 3, 4, 5, 6]).slice(0, pick(random, [2, 3, 4])));
  const head = headSchema.parse({
    ...STAMP,
    kind: 'head',
    id: `head-${seed}`,
    headId: `head-${seed}`,
    name: `Head ${seed}`,
    lengthCm: Math.round(between(15, 60)),
    strand: pick(random, ['fine', 'medium', 'coarse']),
    density: 'medium',
    allergies: [],
    porosityGuess: pick(random, ['low', 'medium', 'high', 'unknown']),
    complaint: pick(random, ['none', 'mushy', 'straw', 'breaks']),
    freeMinutes: [0, 1, 2, 3, 4, 5, 6].map((day) => (freeDays.has(day) ? Math.round(between(150, 240)) : 0)),
    washFrom: [10, 18, 18, 18, 18, 18, 10],
    nights: Array(7).fill(true),
    school: 'my-hair',
    proteinSensitive: false,
    child: false,
  });
  const virtual = new VirtualHead(head, {
    seed: scattered(seed + 10_007),
    daySeed: scattered(seed + 20_011),
    halfLifeDays: between(5, 14),
    restShift: { firmness: between(-0.7, 0.7), breakage: between(-0.3, 0.6), porosity: between(-0.3, 0.3) },
  });
  const recipes = SHELF.flatMap(({ has, of }) => shuffled(random, of).slice(0, has)).map(
    ([name, lines, contactMinutes], order) => testRecipe(`r${order}`, lines, { name, contactMinutes }),
  );
  const verdicts = new Map(
    recipes.map((recipe) => {
      const verdict = classifyVersion(recipe, 'my-hair', CATALOGUE_LARDER);
      invariant(verdict.ok, `${recipe.name} has no verdict`);
      virtual.effectOf(recipe.recipeId, verdict.value.push);
      return [recipe.recipeId, verdict.value];
    }),
  );
  const pantry = new Map(
    recipes
      .flatMap(({ lines }) => lines.flatMap(({ ingredientId }) => ingredientId ?? []))
      .map((ingredientId): [string, PantryItem] => [
        ingredientId,
        {
          ...STAMP,
          id: ingredientId,
          kind: 'pantry',
          ingredientId,
          gramsLeft: null,
          pack: { grams: 250, price: 4 },
        },
      ]),
  );
  return { head, virtual, recipes, verdicts, kitchen: { batches: [], batchEvents: [], pantry }, random };
}

/** What is done on one day. */
type Use = Pick<Draft, 'day' | 'slot' | 'recipeId' | 'overnight'>;

/** A head's life as it is written down, and the truth beside it. */
class Life {
  readonly readings: Reading[] = [];
  readonly sessions: Session[] = [];
  readonly events: HeadEvent[] = [];
  private readonly newId = countingIds('life');
  private lastDetangle: CalendarDay = addDays(START, -3);

  constructor(readonly seeded: SeededHead) {
    // All of it has been on this head, long ago: no patch tests, and nothing told of its effects.
    for (const { recipeId } of seeded.recipes) this.write(recipeId, addDays(START, -300));
  }

  history(): HeadHistory {
    const { recipes } = this.seeded;
    return testHistory({
      recipes,
      larder: makeLarder({ recipes }),
      readings: this.readings,
      sessions: this.sessions,
      events: this.events,
    });
  }

  /** Three strands and a stroke over the hair; where it is washed, the pieces in the comb too. */
  read(day: CalendarDay, moment: Reading['moment'], detangles: boolean): void {
    const measured = this.seeded.virtual.read(3, detangles ? daysBetween(this.lastDetangle, day) : null);
    if (detangles) this.lastDetangle = day;
    this.readings.push({
      ...STAMP,
      ...NOTHING_MEASURED,
      ...measured,
      porosity: detangles ? measured.porosity : null,
      kind: 'reading',
      id: this.newId(),
      headId: this.seeded.head.headId,
      day,
      moment,
    });
  }

  use({ recipeId, day }: Use): void {
    const { virtual, recipes, verdicts } = this.seeded;
    const recipe = recipes.find((known) => known.recipeId === recipeId);
    const verdict = verdicts.get(recipeId);
    if (!recipe || !verdict) return;
    virtual.treat(recipeId, verdict.push, recipe.contactMinutes, recipe.warmth);
    this.write(recipeId, day);
  }

  washedOn(day: CalendarDay): boolean {
    return this.sessions.some((session) => session.day === day);
  }

  /** Heat comes as it comes, once in two weeks on the average. */
  passDay(day: CalendarDay): void {
    const { virtual, random, head } = this.seeded;
    virtual.passDay();
    if (random() > 1 / 14) return;
    virtual.suffer('heat');
    this.events.push({
      ...STAMP,
      kind: 'event',
      id: this.newId(),
      headId: head.headId,
      day,
      what: 'heat',
      note: '',
    });
  }

  private write(recipeId: string, day: CalendarDay): void {
    const recipe = this.seeded.recipes.find((known) => known.recipeId === recipeId);
    invariant(recipe, `no recipe ${recipeId}`);
    this.sessions.push({
      ...STAMP,
      kind: 'session',
      id: this.newId(),
      headId: this.seeded.head.headId,
      day,
      recipeId,
      recipeVersion: 1,
      contactMinutes: recipe.contactMinutes,
      warmth: recipe.warmth,
      grams: null,
      note: '',
    });
  }
}

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

const byHabit: Readonly<Record<Exclude<RhythmId, 'planner'>, Rhythm>> = {
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

/** Plans four weeks and does the first of them, then plans again from what was read. */
function byPlanner(solve: SolveProgramme): Rhythm {
  let agreed: readonly AgreedBeat[] = [];
  return (life, { from }) => {
    const { head, kitchen } = life.seeded;
    const history = life.history();
    let state = estimateHair(head, history, from);
    if (process.env.ORACLE) {
      const v = life.seeded.virtual as any;
      const signals: any = {};
      for (const signal of ['firmness', 'breakage', 'porosity'] as const) {
        const rho = v.retention,
          mu = v.rest[signal],
          x = v.levels[signal],
          q = SIGNALS[signal].dailySd;
        const old = state.signals[signal];
        const truthE = process.env.ORACLE.includes('e'),
          truthL = process.env.ORACLE.includes('l');
        const responses = truthE
          ? old.responses.map((r: any) => ({
              ...r,
              mean: v.effects.get(r.recipeId)?.[signal] ?? r.mean,
              sd: 0.02,
            }))
          : old.responses;
        signals[signal] = truthL
          ? {
              ...old,
              mean: x,
              sd: 0.05,
              retentionPerDay: rho,
              responses,
              ahead: Array.from({ length: 84 }, (_, k) => ({
                day: addDays(from, k + 1),
                mean: mu + rho ** (k + 1) * (x - mu),
                sd: Math.sqrt(0.0025 + (q * q * (1 - rho ** (2 * (k + 1)))) / (1 - rho * rho)),
              })),
            }
          : { ...old, responses };
      }
      state = { ...state, signals };
    }
    const problem = planProblem([{ head, history, state, agreed }], kitchen, from, PLAN_WEEKS);
    const beats = scheduled(problem, solve, { seconds: 4, gap: 0.01 }).drafts[0] ?? [];
    agreed = beats.map(({ day, slot, recipeId }) => ({ day, slot, recipeId }));
    return beats.filter(({ day }) => daysBetween(from, day) < 7);
  };
}

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
  const decide = rhythm === 'planner' ? byPlanner(solve) : byHabit[rhythm];
  const seen = { inLane: 0, broken: 0, overloads: 0, minutes: 0, cost: 0, wasOver: false };
  for (let week = 0; week < WEEKS; week++) {
    const from = addDays(start, 7 * week);
    liveWeek(
      life,
      from,
      () => {
        const uses = decide(life, { from, weeks: 1, heads: [] }, week);
        ((life as any).trace ??= []).push(
          '|' +
            uses
              .map(
                (u) =>
                  life.seeded.verdicts.get(u.recipeId)!.kind[0] +
                  life.seeded.verdicts.get(u.recipeId)!.strength.toFixed(1),
              )
              .join(','),
        );
        for (const use of uses) {
          seen.minutes += effort(prices, use).minutes;
          seen.cost += effort(prices, use).cost;
        }
        return uses;
      },
      () => {
        const firmness = virtual.level('firmness');
        ((life as any).trace ??= []).push(firmness.toFixed(1));
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
    ...(process.env.TRACE ? { trace: (life as any).trace.join(' ') } : {}),
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
