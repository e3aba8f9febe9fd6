import { randomInt, randomLcg, randomUniform } from 'd3-random';
import { calendarDay, invariant, scattered } from '../../base/measures';
import { startingLevel } from '../../hair/state';
import type { Kitchen } from '../../plan/planning';
import { classifyVersion, type Verdict } from '../../recipe/classification';
import { CATALOGUE_LARDER } from '../../recipe/larder';
import type { Head, PantryItem, RecipeVersion } from '../../records/shapes';
import { VirtualHead } from '../simulation';
import { STAMP, testHead, testRecipe } from '../testing';
import { WORLDS, type World } from './worlds';

/** The first day of every life; the weeks that count come later. */
export const START = calendarDay('2026-03-02');

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
    has: 3,
    of: [
      ['rice water and silk', ['200 ml rice water', '1 tbsp hydrolysed silk'], 25],
      ['a little silk', ['200 ml rice water', '2 tsp hydrolysed silk', '1 tsp plain conditioner'], 25],
      ['egg in coconut milk', ['1 egg, whole', '100 ml coconut milk'], 20],
      ['a little gelatin', ['4 g gelatin, dissolved', '200 ml water', '1 tsp plain conditioner'], 20],
      ['yogurt', ['150 g plain yogurt', '1 tsp honey'], 30],
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

export interface SeededHead {
  readonly head: Head;
  readonly virtual: VirtualHead;
  readonly recipes: readonly RecipeVersion[];
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly kitchen: Kitchen;
  readonly world: World;
  readonly random: () => number;
}

export const pick = <T>(random: () => number, from: readonly T[]): T => {
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

/** A head, its hidden truth and what stands in its kitchen; the same seed is the same head. */
export function seededHead(seed: number, world: World = WORLDS.own): SeededHead {
  const random = randomLcg(scattered(seed));
  const between = (least: number, most: number) => randomUniform.source(random)(least, most)();
  const freeDays = new Set(shuffled(random, [0, 1, 2, 3, 4, 5, 6]).slice(0, pick(random, [2, 3, 4])));
  const head = testHead({
    id: `head-${seed}`,
    headId: `head-${seed}`,
    name: `Head ${seed}`,
    lengthCm: Math.round(between(15, 60)),
    strand: pick(random, ['fine', 'medium', 'coarse']),
    porosityGuess: pick(random, ['low', 'medium', 'high', 'unknown']),
    complaints: pick(random, [[], ['limp'], ['stiff'], ['breaks']] as const).slice(),
    freeMinutes: [0, 1, 2, 3, 4, 5, 6].map((day) => (freeDays.has(day) ? Math.round(between(150, 240)) : 0)),
  });
  const virtual = new VirtualHead(head, {
    seed: scattered(seed + 10_007),
    daySeed: scattered(seed + 20_011),
    halfLifeDays: between(5, 14),
    world: world.truth,
    // What troubles her is half of it how she rests, half of it what she did of late.
    restShift: {
      firmness: between(-0.7, 0.7) - startingLevel(head).firmness / 2,
      breakage: between(-0.8, 0.4),
      porosity: between(-0.3, 0.3),
    },
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
  return {
    head,
    virtual,
    recipes,
    verdicts,
    world,
    kitchen: { batches: [], batchEvents: [], pantry },
    random,
  };
}
