import cosmetic from '../../../data/ingredients/cosmetic.json';
import dairyEgg from '../../../data/ingredients/dairyEgg.json';
import foodTable from '../../../data/ingredients/foodTable.json';
import grainSeed from '../../../data/ingredients/grainSeed.json';
import herbs from '../../../data/ingredients/herbs.json';
import humectants from '../../../data/ingredients/humectants.json';
import oils from '../../../data/ingredients/oils.json';
import produce from '../../../data/ingredients/produce.json';
import proteins from '../../../data/ingredients/proteins.json';
import sourceList from '../../../data/ingredients/sources.json';
import { invariant } from '../measures';
import type { Composition, Ingredient, Preparation, Source } from './ingredient';

/** As written in data/: a composition is either figures or the code of a food in the food table. */
type Entry = Omit<Ingredient, 'composition'> & { composition: Composition | { table: string } };

const foods = new Map(foodTable.map((food) => [food.code, food]));

function compositionOf(entry: Entry): Composition {
  if (!('table' in entry.composition)) return entry.composition;
  const food = foods.get(entry.composition.table);
  invariant(food, `the food table lacks ${entry.composition.table}, which ${entry.id} refers to`);
  const { water, protein, fat, sugars, starch, fibre } = food;
  return { water, protein, fat, sugars, starch, fibre };
}

// The files are our own and a test holds every entry against the schema, so no time is spent on that at start.
const entries = [
  ...produce,
  ...dairyEgg,
  ...grainSeed,
  ...humectants,
  ...oils,
  ...herbs,
  ...proteins,
  ...cosmetic,
] as unknown as Entry[];

export const CATALOGUE: readonly Ingredient[] = entries.map((entry) => ({
  ...entry,
  composition: compositionOf(entry),
}));

const byId = new Map(CATALOGUE.map((ingredient) => [ingredient.id, ingredient]));

export function ingredientById(id: string): Ingredient | undefined {
  return byId.get(id);
}

const sources = new Map((sourceList as Source[]).map((source) => [source.id, source]));

export function sourceById(id: string): Source {
  const source = sources.get(id);
  invariant(source, `no source is called ${id}`);
  return source;
}

/** The preparation taken when a line names none; undefined where the ingredient needs none. */
export function usualPreparation(ingredient: Ingredient): Preparation | undefined {
  return ingredient.preparations.find((preparation) => preparation.usual);
}
