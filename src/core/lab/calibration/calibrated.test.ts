import { randomLcg, randomNormal } from 'd3-random';
import { addDays, calendarDay, dayRange } from '../../base/measures';
import { estimateHair } from '../../hair/estimation';
import { priorEffect } from '../../hair/state';
import type { Reading, Session } from '../../records/shapes';
import { VirtualHead } from '../simulation';
import { testHead, testHistory, testRecipe, testSession, verdictOf } from '../testing';
import { calibrated } from './calibrated';
import { WORLD_IDS, WORLDS } from './worlds';

const stamp = { recordedAt: '2026-01-01T10:00:00Z' };
const start = calendarDay('2026-01-04');
const WEEKS = 12;
const HEADS = 60;
/** Half of a 90 % interval. */
const Z90 = 1.6449;

const head = testHead({ freeMinutes: [200, 0, 0, 200, 0, 0, 0] });

const TEXTS = {
  light: '200 ml rice water\n1 tbsp hydrolysed silk',
  cream: '3 tbsp linseed, soaked\n300 ml water\n1 tbsp honey',
  slip: '12 okra pods, boiled\n200 ml water\n3 tbsp plain conditioner',
  film: '160 ml kefir\n1 tsp jojoba oil',
} as const;

const recipes = Object.entries(TEXTS).map(([id, text]) => testRecipe(id, text.split('\n')));
const pushes = new Map(
  recipes.map(({ recipeId, text }) => [recipeId, verdictOf(text.split('\n')).push] as const),
);

/** Twelve weeks of two washes a week, read before and the day after. */
function life(seed: number) {
  const half = 5 + (seed % 4) * 5;
  const virtual = new VirtualHead(head, {
    seed: seed * 7919 + 13,
    halfLifeDays: half,
    restShift: {
      firmness: 0.4 * randomNormal.source(randomLcg(seed * 104_729))(0, 1)(),
      breakage: 0,
      porosity: 0,
    },
  });
  const readings: Reading[] = [];
  const sessions: Session[] = [];
  const truths = new Map<string, number>();
  const base = (id: string, day: Reading['day']) => ({ ...stamp, id, headId: 'h', day });
  dayRange(start, 7 * WEEKS).forEach((day, index) => {
    virtual.passDay();
    const isWash = index % 7 === 0 || index % 7 === 3;
    if (isWash || index % 7 === 1 || index % 7 === 4) {
      const measured = virtual.read(5, null);
      readings.push({
        ...base(`r${index}`, day),
        kind: 'reading',
        moment: isWash ? 'before' : 'dry',
        ...measured,
        tally: null,
      });
    }
    if (!isWash) return;
    const recipe = recipes[(sessions.length * 3 + seed) % recipes.length]!;
    const level = virtual.level('firmness');
    virtual.treat(recipe.recipeId, pushes.get(recipe.recipeId)!, recipe.contactMinutes, recipe.warmth);
    truths.set(recipe.recipeId, virtual.level('firmness') - level);
    sessions.push(testSession(recipe.recipeId, day, { id: `s${index}` }));
  });
  const history = testHistory({ recipes, readings, sessions });
  const state = estimateHair(head, history, addDays(start, 7 * WEEKS - 1)).signals.firmness;
  return { state, truths, level: virtual.level('firmness') };
}

describe('the estimate, held to heads whose truth is known', () => {
  const lives = Array.from({ length: HEADS }, (_, seed) => life(seed + 1));
  const effects = lives.flatMap(({ state, truths }) =>
    state.responses.map((response) => ({ ...response, truth: truths.get(response.recipeId) ?? NaN })),
  );

  it('has intervals of the effects that hold about nine times in ten', () => {
    const held = effects.filter(({ mean, sd, truth }) => Math.abs(truth - mean) <= Z90 * sd).length;
    expect(held / effects.length).toBeGreaterThan(0.84);
    expect(held / effects.length).toBeLessThan(0.97);
  });

  // Three of its four treatments soften, and the level drifts far from where prior and readings meet: of 240 such heads
  // 77 % were held where 90 % are promised. With told-apart levels (below) it is nine in ten.
  it('has intervals of the level that hold three times in four where nearly everything softens', () => {
    const held = lives.filter(({ state, level }) => Math.abs(level - state.mean) <= Z90 * state.sd).length;
    expect(held / lives.length).toBeGreaterThan(0.7);
  });

  it('knows the effects far better after twelve weeks than from the recipe alone', () => {
    const rms = (errors: readonly number[]) =>
      Math.sqrt(errors.reduce((sum, error) => sum + error ** 2, 0) / errors.length);
    const learned = rms(effects.map(({ mean, truth }) => truth - mean));
    const guessed = rms(
      effects.map(({ recipeId, truth }) => truth - priorEffect(pushes.get(recipeId)!).firmness),
    );
    expect(learned / guessed).toBeLessThan(0.7);
  });
});

describe('the intervals, through millimetres, counts and seconds, with treatments chosen because of readings', () => {
  it('hold as promised in the model’s own world, and the effects are known far better than from the recipes alone', () => {
    const row = calibrated(WORLDS.own, 16);
    for (const held of [row.effects, row.level, row.forecast, row.others]) {
      expect(held).toBeGreaterThan(0.8);
      expect(held).toBeLessThan(0.99);
    }
    expect(row.ofPrior).toBeLessThan(0.7);
  });

  // Strands that all lean the same way are seen by nobody: docs/model.md says how often the level holds there.
  it.each(WORLD_IDS.filter((id) => id !== 'own').map((id) => [WORLDS[id].name, id] as const))(
    'hold where the model is wrong: %s',
    (_, id) => {
      const row = calibrated(WORLDS[id], 8);
      const least = id === 'biased' ? 0.55 : 0.72;
      expect([row.effects, row.level, row.forecast].map((held) => held > least)).toEqual([true, true, true]);
      expect(row.ofPrior).toBeLessThan(0.9);
    },
  );
});
