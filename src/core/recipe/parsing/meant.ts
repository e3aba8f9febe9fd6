import { t } from '@lingui/core/macro';
import { UNITS, type UnitId } from '../../base/measures';
import { isNearly } from '../ingredients';
import type { Assumption } from '../larder';
import type { Item } from './item';
import { isHerb, isOfOil, isSafeToSuggest, sourceIdOf, type LarderItem } from './lexicon';
import { lineAmountOf, type LineAmount } from './lineAmount';
import { amountText } from './lineText';
import { isMark, says } from './marks';
import { textOf } from './sentences';
import { SHARED_NOUNS } from './sharedNouns';
import type { Context, ReadSentence } from './told';
import { measureOf, type ReadPart } from './weigh';

/** "peppermint esential oil": what burns by the spoon is asked about, never taken for the leaf. */
export function isMisspeltEssential({ name }: Item, { tokens }: Context): boolean {
  const next = tokens[name.to];
  return next?.kind === 'word' && ESSENTIAL_WORDS.some((word) => isNearly(next.word, word));
}

const ESSENTIAL_WORDS = ['essential', 'essencial', 'esencial', 'essentielle', 'essenziale'] as const;

/** "coconut mlik": with the unknown word behind it, the name of something else. */
export function misspeltWhole(
  { name }: Item,
  { elements }: ReadSentence,
  { tokens, lexicon, describing }: Context,
): { readonly item: LarderItem; readonly written: string } | undefined {
  const next = elements.find((element) => element.from === name.to);
  const word = tokens[name.to];
  const isUnknown = next?.kind === 'word' && word?.kind === 'word' && !describing.has(word.word);
  if (!isUnknown || word.word.length < LEAST_MISSPELT) return undefined;
  const own = tokens.slice(name.from, name.to).map((token) => token.word);
  const noun = SHARED_NOUNS.find((each) => isNearly(word.word, each));
  const [meant] = noun ? lexicon.inWords([...own, noun]) : [];
  if (meant && meant.words > own.length && isSafeToSuggest(meant.item))
    return { item: meant.item, written: `${own.join(' ')} ${word.raw}` };
  const whole = [...own, word.word];
  const found = lexicon.misspeltIn(whole.join(' '));
  const isOther = found && found.words === whole.length && found.item.id !== name.match.item.id;
  return isOther && isSafeToSuggest(found.item) ? { item: found.item, written: found.written } : undefined;
}

/** Letters of a word that may be a misspelt one. */
const LEAST_MISSPELT = 4;

/** "conditioner (contains keratin)" is one with protein; drops of a plant are of its essential oil, spoons of "rosemary oil" not. */
export function meantBy(item: Item, amount: LineAmount, context: Context): LarderItem {
  const { ingredient } = item.name.match.item;
  if (ingredient?.id === 'conditioner' && item.holds.some(({ match }) => isProtein(match.item)))
    return context.lexicon.inWords(['protein', 'conditioner'])[0]?.item ?? item.name.match.item;
  if (ingredient?.id === 'egg') return eggPart(item, context);
  const source = sourceOf(item, context);
  if (source) return source;
  // A spice counts as one by its strength: "3 drops clove" are of its oil all the same.
  const isSpice = item.amount?.unit === 'drop' && !/-eo$/.test(ingredient?.id ?? '');
  if (ingredient?.roles.includes('essential-oil') && !isSpice) return inSpoons(item, amount, context);
  return inDrops(item, context);
}

/** "flax gel: 1/3 cup seeds": what it is made of. */
function sourceOf({ name, amount }: Item, { tokens, lexicon }: Context): LarderItem | undefined {
  const { id } = name.match.item;
  if (!amount) return undefined;
  const isOfSource = amount.from >= name.to && says(tokens[amount.to], 'plantSource');
  // "Rosmarinöl: 3 Zweige": of the plant itself.
  const isOfPlant = amount.unit !== null && PLANT_UNITS.has(amount.unit);
  const plant = isOfPlant ? /^(.+)-(?:eo|infused-oil)$/.exec(id)?.[1] : undefined;
  const source = isOfSource ? sourceIdOf(id) : plant;
  return source === undefined ? undefined : lexicon.items.flat().find((item) => item.id === source);
}
const PLANT_UNITS: ReadonlySet<UnitId> = new Set<UnitId>(['sprig', 'bunch', 'leaf', 'handful']);

/** "two eggs, skip the whites": the yolks. */
function eggPart({ name, without }: Item, { lexicon }: Context): LarderItem {
  const left = without.map(({ match }) => match.item.id);
  const part = left.includes('egg-white') ? 'yolk' : left.includes('egg-yolk') ? 'white' : null;
  return (part && lexicon.inWords(['egg', part])[0]?.item) || name.match.item;
}

const isProtein = ({ ingredient }: LarderItem): boolean => ingredient?.roles.includes('protein') ?? false;

/** Nobody measures an essential oil in spoons: an oil that is only called after a plant is what it was steeped in. */
function inSpoons(item: Item, { unit, quantity }: LineAmount, { lexicon, tokens }: Context): LarderItem {
  const { match, from, to } = item.name;
  const measure = unit ? UNITS[unit] : undefined;
  const millilitres =
    measure?.kind === 'volume' || measure?.kind === 'mass' ? (quantity ?? 0) * measure.size : 0;
  const named = tokens.slice(from, to).map(({ word }) => word);
  const isOilOf =
    named.length > 1 &&
    named.some((word) => isMark(word, 'oil')) &&
    !named.some((word) => isMark(word, 'essential'));
  if (millilitres < LEAST_STEEPED_ML || !isOilOf) return match.item;
  const plant = named.filter((word) => !isMark(word, 'oil'));
  const isSteeped = lexicon
    .inWords(plant)[0]
    ?.item.ingredient?.preparations.some(({ stages }) => stages.some((stage) => stage.do === 'steep'));
  return (isSteeped ? steepedIn(plant, lexicon) : undefined) ?? match.item;
}

/** Oil that a plant was steeped in: its own, where the catalogue has it. */
function steepedIn(plant: readonly string[], lexicon: Context['lexicon']): LarderItem | undefined {
  const [exact, any] = [
    [...plant, 'infused', 'oil'],
    ['infused', 'oil'],
  ].map((said) => lexicon.inWords(said)[0]);
  return exact && isOfOil(exact.item) ? exact.item : any?.item;
}

/** From this much on an oil that is called after a plant is none of drops. */
const LEAST_STEEPED_ML = 5;

/** That it was taken for something else than its name says, with the other way beside it. */
export function saidAs(part: ReadPart, { name, amount }: Item, context: Context): ReadPart {
  const { item } = name.match;
  if (part.status !== 'read' || amount?.unit === 'drop' || item.ingredient?.id === 'egg') return part;
  const isOil = item.ingredient?.roles.includes('essential-oil') ?? false;
  const written = textOf(context, name);
  const assumption: Assumption = isOil
    ? {
        code: 'instead',
        text: t`“${written}” by the spoon was taken as an oil that the plant was steeped in; the essential oil is counted in drops.`,
        alternatives: [
          { label: t`5 drops of ${{ name: item.name }}`, line: `${amountText(5, 'drop')} ${item.name}` },
        ],
      }
    : {
        code: 'instead',
        text: t`It says that it holds protein: taken as ${{ name: part.name }}.`,
        alternatives: [{ label: item.name, line: `${measureOf(lineAmountOf(amount, ''))} ${item.name}` }],
      };
  return { ...part, assumptions: [...part.assumptions, assumption] };
}

/** "lavender 0.5 ml": so little is measured of no herb. */
const isInDrops = ({ amount, name: { match } }: Item): boolean =>
  amount?.unit === 'drop' ||
  (amount?.unit === 'ml' && amount.quantity <= MOST_DROPS_ML && isHerb(match.item));
/** Forty drops, ml. */
const MOST_DROPS_ML = 2;

/** Whose essential oil is called otherwise, by id. */
const ESSENTIAL_OF: Readonly<Record<string, string>> = {
  mint: 'peppermint-eo',
  'lemon-juice': 'lemon-eo',
  'rose-petals': 'jasmine-eo',
  sage: 'clary-sage-eo',
};

/** Drops of a plant are of its essential oil. */
function inDrops(item: Item, { lexicon, tokens }: Context): LarderItem {
  const { match, from, to } = item.name;
  const { ingredient } = match.item;
  if (!isInDrops(item) || !item.amount || !ingredient || ingredient.composition.fat > 50) return match.item;
  const named = tokens.slice(from, to).map(({ word }) => word);
  const [oil] = lexicon.inWords([...named, 'essential', 'oil']);
  const essential = lexicon.items
    .flat()
    .find(({ id }) => id === (ESSENTIAL_OF[ingredient.id] ?? `${ingredient.id}-eo`));
  // "Drops of lemon juice" are juice; so are "a few drops of lemon", squeezed and not counted.
  const isSqueezed =
    ingredient.id === 'lemon-juice' &&
    tokens.slice(item.amount.from, item.amount.to).every(({ kind }) => kind !== 'number');
  if (isSqueezed) return match.item;
  if (essential && !named.some((word) => isMark(word, 'juice'))) return essential;
  // Of panthenol or of honey there is none.
  const isOfPlant = isHerb(match.item) || oil?.words !== 2;
  return isOfPlant && oil?.item.ingredient?.roles.includes('essential-oil') ? oil.item : match.item;
}
