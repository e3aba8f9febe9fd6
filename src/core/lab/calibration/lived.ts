import { addDays, dayRange, invariant, type CalendarDay } from '../../base/measures';
import { estimateHair } from '../../hair/estimation';
import { SIGNALS } from '../../hair/state';
import { minutesOf, planProblem } from '../../plan/planning';
import { Life, type Use } from './life';
import { isFree, type Policy } from './policies';
import { pick, seededHead, START } from './seededHead';
import type { World } from './worlds';

/** Weeks that are compared, and weeks before them, which are the same whatever is compared. */
export const WEEKS = 12;
export const WEEKS_BEFORE = 8;
/** Beyond this firmness hair is not a little stiff but overloaded: half a unit past the comfort zone. */
const OVERLOAD_FROM = 1;

/** What twelve weeks did to a head. */
export interface Outcome {
  /** Share of days outside the comfort zone, 0 to 1, as the day ends. */
  readonly outside: number;
  /** Broken pieces a day. */
  readonly broken: number;
  /** Times that the hair became overloaded. */
  readonly overloads: number;
  /** A week, waiting and making included. */
  readonly minutes: number;
  /** A week. */
  readonly cost: number;
}

/** Twenty seconds in the morning of a free day; the comb and a mist where it is washed; the same again when that has dried. */
const MORNING = { strands: 2, detangles: false } as const;
const WHEN_DRY = { strands: 2, detangles: false } as const;

/** Lives a day: looked at, decided, done, looked at again. @returns what was done */
function liveDay(life: Life, day: CalendarDay, decide: Policy, follows: number): readonly Use[] {
  const { random } = life.seeded;
  let done: readonly Use[] = [];
  if (isFree(life, day)) {
    life.read(day, 'before', MORNING);
    const advised = decide(life, day);
    // Drawn whether or not there is advice, so that lives differ by what is done alone.
    done = random() < follows ? advised : [];
    if (done.length > 0) life.read(day, 'before', { strands: 0, detangles: true });
    for (const use of done) life.use(use);
    if (done.length > 0) life.read(day, 'dry', WHEN_DRY);
  }
  life.suffersHeat(day);
  return done;
}

/** Eight weeks as most people do: on two free days of the week, whatever comes to hand. */
export function livedBefore(world: World, seed: number): Life {
  const life = new Life(seededHead(seed, world));
  const { random, recipes, virtual } = life.seeded;
  for (let week = 0; week < WEEKS_BEFORE; week++) {
    const days = dayRange(addDays(START, 7 * week), 7);
    const washed = new Set(days.filter((day) => isFree(life, day)).slice(0, 2));
    for (const day of days) {
      liveDay(
        life,
        day,
        () => {
          if (!washed.has(day)) return [];
          const { recipeId, contactMinutes: minutes, warmth } = pick(random, recipes);
          return [{ day, recipeId, minutes, warmth, amount: 1 }];
        },
        1,
      );
      virtual.passDay();
    }
  }
  return life;
}

/** Twelve weeks of one seeded head of a world under one policy. @param look is shown each day as it ends */
export function livedUnder(
  policy: Policy,
  world: World,
  seed: number,
  look: (life: Life, day: CalendarDay) => void = () => undefined,
): Outcome {
  const life = livedBefore(world, seed);
  const { virtual, head, kitchen } = life.seeded;
  const start = addDays(START, 7 * WEEKS_BEFORE);
  const history = life.history();
  const [prices] = planProblem(
    [{ head, history, state: estimateHair(head, history, start) }],
    kitchen,
    start,
    1,
  ).heads;
  invariant(prices, 'the head is in its problem');
  const { low, high } = SIGNALS.firmness.comfortZone;
  const seen = { outside: 0, broken: 0, overloads: 0, minutes: 0, cost: 0, wasOver: false };
  for (const day of dayRange(start, 7 * WEEKS)) {
    const done = liveDay(life, day, policy, world.follows);
    done.forEach((use, order) => {
      const treatment = prices.treatments.find(({ recipeId }) => recipeId === use.recipeId);
      if (!treatment) return;
      const slot = order === 0 ? 'main' : 'follow-up';
      const dosed = { ...treatment, contactMinutes: use.minutes };
      seen.minutes += minutesOf(prices, {
        slot,
        recipeId: use.recipeId,
        treatment: dosed,
        overnight: false,
        batchId: null,
      });
      seen.cost += use.amount * (treatment.cost ?? 0);
    });
    const firmness = virtual.level('firmness');
    seen.outside += firmness < (low ?? -Infinity) || firmness > (high ?? Infinity) ? 1 : 0;
    seen.broken += Math.exp(virtual.level('breakage'));
    if (firmness > OVERLOAD_FROM && !seen.wasOver) seen.overloads++;
    seen.wasOver = firmness > OVERLOAD_FROM;
    look(life, day);
    virtual.passDay();
  }
  const days = 7 * WEEKS;
  return {
    outside: seen.outside / days,
    broken: seen.broken / days,
    overloads: seen.overloads,
    minutes: seen.minutes / WEEKS,
    cost: seen.cost / WEEKS,
  };
}
