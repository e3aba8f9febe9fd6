import cosmetic from '../../../../data/ingredients/cosmetic.json';
import dairyEgg from '../../../../data/ingredients/dairyEgg.json';
import figureSources from '../../../../data/ingredients/figureSources.json';
import foodTable from '../../../../data/ingredients/foodTable.json';
import grainSeed from '../../../../data/ingredients/grainSeed.json';
import herbs from '../../../../data/ingredients/herbs.json';
import humectants from '../../../../data/ingredients/humectants.json';
import kindList from '../../../../data/ingredients/kinds.json';
import oils from '../../../../data/ingredients/oils.json';
import preparationTemplates from '../../../../data/ingredients/preparations.json';
import produce from '../../../../data/ingredients/produce.json';
import proteins from '../../../../data/ingredients/proteins.json';
import sourceList from '../../../../data/ingredients/sources.json';
import { inWords, worded } from '../../base/language';
import { invariant } from '../../base/measures';
import type { Composition, Ingredient, Preparation, Source } from '../../records/shapes';

/** What is said of an ingredient in data/: a composition is either figures or the code of a food in the food table. */
type Figures = Omit<Ingredient, 'id' | 'name' | 'names' | 'composition' | 'preparations'> & {
  composition: Composition | { table: string };
  /** Which of preparations.json it can be given, and which is taken when nothing is said. */
  preparations: readonly { use: string; usual?: boolean }[];
};
type Entry = Pick<Ingredient, 'id' | 'name'> & Figures;
/** As written in data/: with a kind, it says only what differs from that kind in kinds.json. */
type Written = Pick<Ingredient, 'id' | 'name'> & Partial<Figures> & { kind?: string };

const kinds = new Map(Object.entries(kindList as unknown as Record<string, Figures>));

function whole({ kind, ...written }: Written): Entry {
  if (kind === undefined) return written as Entry;
  const alike = kinds.get(kind);
  invariant(alike, `kinds.json lacks ${kind}, which ${written.id} refers to`);
  return {
    ...alike,
    ...written,
    measures: { ...alike.measures, ...written.measures },
    sources: { ...alike.sources, ...written.sources },
  };
}

const foods = new Map(foodTable.map((food) => [food.code, food]));

function compositionOf({ id, composition }: Entry): Composition {
  if (!('table' in composition)) return composition;
  const food = foods.get(composition.table);
  invariant(food, `the food table lacks ${composition.table}, which ${id} refers to`);
  const { water, protein, fat, sugars, starch, fibre, other } = food;
  return { water, protein, fat, sugars, starch, fibre, other };
}

function preparationsOf({ id, preparations }: Entry): Preparation[] {
  const templates = preparationTemplates as unknown as Record<string, Omit<Preparation, 'usual'>>;
  return preparations.map(({ use, usual = false }) => {
    const template = templates[use];
    invariant(template, `preparations.json lacks ${use}, which ${id} refers to`);
    const stages = template.stages.map((stage) => worded(stage, 'text'));
    return worded({ ...template, stages, usual }, 'label');
  });
}

// The files are our own and a test holds every entry against the schema, so no time is spent on that at start.
const written = [
  ...produce,
  ...dairyEgg,
  ...grainSeed,
  ...humectants,
  ...oils,
  ...herbs,
  ...proteins,
  ...cosmetic,
] as unknown as Written[];

export const CATALOGUE: readonly Ingredient[] = written.map(whole).map((entry) => ({
  ...entry,
  get name() {
    return inWords(entry.name);
  },
  // Its English name is read in every language: a recipe may have been written in another. What else it is called
  // stands in names.json, which only what reads recipes loads.
  get names() {
    return this.name === entry.name ? [] : [entry.name];
  },
  composition: compositionOf(entry),
  preparations: preparationsOf(entry),
}));

const byId = new Map(CATALOGUE.map((ingredient) => [ingredient.id, ingredient]));

/** From the built-in catalogue; her own ingredients are found through a larder. */
export function ingredientById(id: string): Ingredient | undefined {
  return byId.get(id);
}

const sources = new Map((sourceList as Source[]).map((source) => [source.id, worded(source, 'title')]));

export function sourceById(id: string): Source {
  const source = sources.get(id);
  invariant(source, `no source is called ${id}`);
  return source;
}

/**
 * Where one figure of an ingredient comes from.
 * @param figure its path: "composition", "actives.tannin", "measures.pieceGrams", "pH", "usualShare" …
 */
export function sourceOf(ingredient: Pick<Ingredient, 'id' | 'sources'>, figure: string): Source {
  const group = figure.split('.')[0] ?? figure;
  const id =
    ingredient.sources[figure] ??
    ingredient.sources[group] ??
    (figureSources as Record<string, string>)[group];
  invariant(id, `${ingredient.id} has no source for ${figure}`);
  return sourceById(id);
}

/** From this share of fat on it is an oil, g per 100 g. */
const OIL_FAT = 90;

export const isOil = ({ composition }: Pick<Ingredient, 'composition'>): boolean =>
  composition.fat >= OIL_FAT;

/** The preparation taken when a line names none; undefined where the ingredient needs none. */
export function usualPreparation(ingredient: Ingredient): Preparation | undefined {
  return ingredient.preparations.find((preparation) => preparation.usual);
}

/** From the first grip to ready, in minutes. */
export function preparationMinutes({ stages }: Preparation): number {
  return stages.reduce((total, stage) => total + stage.minutes, 0);
}
