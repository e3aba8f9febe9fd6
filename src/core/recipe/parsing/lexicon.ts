import catalogueNames from '../../../../data/ingredients/names.json';
import { perLanguage } from '../../base/language';
import type { Ingredient, RecipeVersion } from '../../records/shapes';
import { CATALOGUE, isOil, Lexicon, type Named, type PhraseMatch } from '../ingredients';
import type { Larder } from '../larder';

/** What a recipe line can name: an ingredient, or a recipe that is used as one. */
export type LarderItem = Named &
  (
    | { readonly ingredient: Ingredient; readonly recipe?: never }
    | { readonly recipe: RecipeVersion; readonly ingredient?: never }
    | { readonly isStranger: true; readonly ingredient?: never; readonly recipe?: never }
  );

/** Something that is named and that nobody knows. */
export const stranger = (name: string): LarderItem => ({
  id: `?${name.toLowerCase()}`,
  name,
  names: [],
  isStranger: true,
});

export const isStranger = (item: LarderItem): boolean => 'isStranger' in item;

/** The id of what a gel, a water or a milk is made of: "linseed" of "linseed-gel". */
export const sourceIdOf = (id: string): string | undefined => /^(.+)-(?:gel|water|milk)$/.exec(id)?.[1];

export const isOfOil = ({ ingredient }: LarderItem): boolean => ingredient !== undefined && isOil(ingredient);

/** An oil, or a butter of a plant. */
export const isFat = (item: LarderItem): boolean => isOfOil(item) || /-butter$/.test(item.id);

/** What burns or harms by the spoon is never one tap away: essential oils, lye, pure acids and preservatives. */
const HARMS_BY_THE_SPOON = ['essential-oil', 'preservative', 'alkali', 'acid'] as const;

export const isSafeToSuggest = ({ ingredient }: LarderItem): boolean =>
  !ingredient ||
  ingredient.composition.water > 50 ||
  !HARMS_BY_THE_SPOON.some((role) => ingredient.roles.includes(role));

/** What the things of a larder are called. */
export interface NameLexicon {
  /** All of it in the order in which it is looked up: her own ingredients, the catalogue, recipes. */
  readonly items: readonly (readonly LarderItem[])[];
  inText(text: string): PhraseMatch<LarderItem>[];
  /** The same of plain words. */
  inWords(words: readonly string[]): PhraseMatch<LarderItem>[];
  misspeltIn(text: string): ReturnType<Lexicon<LarderItem>['misspeltIn']>;
}

const otherNames = new Map<string, readonly string[]>(Object.entries(catalogueNames));
const catalogueIds = new Set(CATALOGUE.map(({ id }) => id));

/** All that an ingredient is called beside its name, in every language that is read here. */
export function namesOf({ id, name, names }: Pick<Ingredient, 'id' | 'name' | 'names'>): readonly string[] {
  if (!catalogueIds.has(id)) return names;
  return [...names, ...(otherNames.get(id) ?? [])].filter((each) => each !== name);
}

const asItem = (ingredient: Ingredient): LarderItem => ({
  id: ingredient.id,
  name: ingredient.name,
  names: namesOf(ingredient),
  ingredient,
});

const catalogueItems = perLanguage(() => CATALOGUE.map(asItem));
const catalogueLexicon = perLanguage(() => new Lexicon(catalogueItems()));

type Things = Pick<Larder, 'own' | 'recipes'>;

function makeLexicon({ own, recipes }: Things): NameLexicon {
  const ownItems = own.map(asItem);
  const recipeItems = recipes.map((each): LarderItem => ({
    id: each.recipeId,
    name: each.name,
    names: [],
    recipe: each,
  }));
  const lexicon = perLanguage(() => new Lexicon(recipeItems, new Lexicon(ownItems), catalogueLexicon()));
  return {
    get items() {
      return [ownItems, catalogueItems(), recipeItems];
    },
    inText: (text) => lexicon().inText(text),
    inWords: (words) => lexicon().inWords(words),
    misspeltIn: (text) => lexicon().misspeltIn(text),
  };
}

const LEXICONS = new WeakMap<Things, NameLexicon>();

/**
 * The names of a larder, made once for each. Where names clash, her own ingredient goes first, then the catalogue, then
 * a recipe: a recipe called "Honey" does not change what honey is.
 */
export function lexiconOf(larder: Things): NameLexicon {
  const known = LEXICONS.get(larder);
  if (known) return known;
  const made = makeLexicon(larder);
  LEXICONS.set(larder, made);
  return made;
}

/** The oil or butter that all of these words together name. */
export function oilCalled(
  words: readonly string[],
  lexicon: Pick<NameLexicon, 'inWords'>,
): LarderItem | undefined {
  const [named] = lexicon.inWords(words);
  return named?.words === words.length && isOfOil(named.item) ? named.item : undefined;
}

/** What a tea is made of. */
export const isHerb = ({ ingredient }: LarderItem): boolean =>
  ingredient?.preparations.some(({ id }) => id === 'infused' || id === 'brewed') ?? false;
