import { daysBetween, mean, sum, Z90, type CalendarDay } from '../../base/measures';
import { estimateHair } from '../../hair/estimation';
import type { Estimate } from '../../hair/state';
import { doseOf } from '../../recipe/classification';
import { SIGNAL_IDS, type SignalId } from '../../records/shapes';
import type { Life } from './life';
import { livedUnder, WEEKS } from './lived';
import { policyOf, type PolicyId } from './policies';
import type { World } from './worlds';

/** Days of the twelve weeks on whose evening the state is asked for; from each the days up to the next treatment are foretold. */
const ASKED_ON = [27, 55, 7 * WEEKS - 1];
/** Firmness beyond which a strand hardly tells how far. */
const FAR = 1.5;

/** Whether intervals held, of one head. */
interface Held {
  readonly effects: boolean[];
  readonly levels: boolean[];
  readonly farLevels: boolean[];
  readonly forecasts: boolean[];
  readonly others: boolean[];
  readonly effectErrors: number[];
  readonly priorErrors: number[];
}

export interface CalibrationRow {
  /** Shares of 90 % intervals that held the truth, 0 to 1. Of firmness: effects, level, level far from the middle, forecast. */
  readonly effects: number;
  readonly level: number;
  readonly farLevel: number;
  readonly farLevels: number;
  readonly forecast: number;
  /** Levels of breakage and porosity. */
  readonly others: number;
  /** Root mean square error of the effects, and as a share of what the recipes alone would give. */
  readonly effectRms: number;
  readonly ofPrior: number;
}

const holds = ({ mean: middle, sd }: Estimate, truth: number) => Math.abs(truth - middle) <= Z90 * sd;

function stateOn(life: Life, day: CalendarDay) {
  return estimateHair(life.seeded.head, life.history(), day).signals;
}

/** What one dose of each recipe does in this world, as the recipe is written. */
function effectsHeld(life: Life, world: World, day: CalendarDay, held: Held): void {
  const { recipes, virtual, head } = life.seeded;
  for (const { recipeId, expected, uses, ...learned } of stateOn(life, day).firmness.responses) {
    const recipe = recipes.find((known) => known.recipeId === recipeId);
    const effect = virtual.knownEffect(recipeId);
    // Once was long before; a recipe that was never used since is as it was expected.
    if (!recipe || !effect || uses < 3) continue;
    const { contactMinutes, warmth } = recipe;
    const supposed = doseOf(contactMinutes, warmth, head.porosityGuess);
    const truth =
      (effect.firmness * (world.truth.doseOf ?? doseOf)(contactMinutes, warmth, head.porosityGuess)) /
      supposed;
    held.effects.push(holds(learned, truth));
    held.effectErrors.push(truth - learned.mean);
    held.priorErrors.push(truth - expected.mean);
  }
}

/** Lives one seeded head, with treatments that are chosen because of readings, and asks what was thought of it. */
function livedHead(world: World, policy: PolicyId, seed: number): Held {
  const held: Held = {
    effects: [],
    levels: [],
    farLevels: [],
    forecasts: [],
    others: [],
    effectErrors: [],
    priorErrors: [],
  };
  let asked: {
    readonly day: CalendarDay;
    readonly sessions: number;
    readonly ahead: readonly Estimate[];
  } | null = null;
  let days = 0;
  livedUnder(policyOf(policy), world, seed, (life, day) => {
    const { virtual } = life.seeded;
    const truth = (signal: SignalId) => virtual.level(signal);
    if (asked && asked.sessions === life.sessions.length) {
      const foretold = asked.ahead[daysBetween(asked.day, day) - 1];
      if (foretold) held.forecasts.push(holds(foretold, truth('firmness')));
    } else asked = null;
    if (ASKED_ON.includes(days)) {
      const signals = stateOn(life, day);
      const isFar = Math.abs(truth('firmness')) > FAR;
      const isHeld = holds(signals.firmness, truth('firmness'));
      held.levels.push(isHeld);
      if (isFar) held.farLevels.push(isHeld);
      for (const signal of SIGNAL_IDS)
        if (signal !== 'firmness') held.others.push(holds(signals[signal], truth(signal)));
      asked = { day, sessions: life.sessions.length, ahead: signals.firmness.ahead };
    }
    if (days === 7 * WEEKS - 1) effectsHeld(life, world, day, held);
    days += 1;
  });
  return held;
}

const rms = (errors: readonly number[]) => Math.sqrt(mean(errors.map((error) => error ** 2)));
const share = (held: readonly boolean[]) => sum(held.map(Number)) / Math.max(1, held.length);

/**
 * How often the estimator's intervals hold, over so many seeded heads of a world: readings go through raw millimetres, counts and
 * seconds, and what is done is chosen because of them.
 */
export function calibrated(
  world: World,
  heads: number,
  firstSeed = 1,
  policy: PolicyId = 'strands',
): CalibrationRow {
  const lives = Array.from({ length: heads }, (_, index) => livedHead(world, policy, firstSeed + index));
  const all = <Key extends keyof Held>(key: Key) =>
    lives.flatMap((life) => life[key] as readonly (boolean | number)[]) as Held[Key];
  const effectRms = rms(all('effectErrors'));
  return {
    effects: share(all('effects')),
    level: share(all('levels')),
    farLevel: share(all('farLevels')),
    farLevels: all('farLevels').length,
    forecast: share(all('forecasts')),
    others: share(all('others')),
    effectRms,
    ofPrior: effectRms / rms(all('priorErrors')),
  };
}
