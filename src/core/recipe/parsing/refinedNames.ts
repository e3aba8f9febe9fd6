import { plainWords } from '../ingredients';
import { nameBareOil } from './bareOil';
import { dropOfUnknown, isBehindMeasure } from './headNouns';
import type { Found } from './item';
import { isHerb, isOfOil, oilCalled, stranger, type LarderItem, type NameLexicon } from './lexicon';
import { isPack } from './lineAmount';
import { says } from './marks';
import type { Names } from './namesFound';
import { isProduct } from './pending';
import { nameOfSameNoun } from './sameNoun';
import { isNumber, isSign, isWord, touches, type Token } from './tokens';
import { describes, type Vocabulary } from './vocabulary';

type Lexicon = Pick<NameLexicon, 'inWords' | 'items'>;

/** Names that mean something else with the words around them: a part of an egg, an oil that a herb was steeped in. */
export function refinedNames(
  names: Names,
  tokens: readonly Token[],
  lexicon: Lexicon,
  words: Vocabulary,
): Names {
  const found: Found = new Map(names);
  dropCommonWords(found, tokens, words);
  dropColours(found, tokens, words);
  dropTools(found, tokens, words);
  dropFlavours(found, tokens);
  dropLeftIn(found, tokens, words);
  dropCalledFor(found, tokens);
  dropOfUnknown(found, tokens, words);
  dropTeaOf(found, tokens);
  nameHerbTea(found, tokens);
  nameNounFirst(found, tokens, lexicon);
  renameParts(found, tokens, lexicon);
  dropWholeOfPart(found, tokens);
  nameInfusions(found, tokens, lexicon, words);
  nameOfSameNoun(found, tokens, lexicon, words);
  nameBareOil(found, tokens, lexicon, words);
  nameMeasured(found, tokens, words, {
    table: words.roles.masks,
    item: () => lexicon.inWords(['conditioner'])[0]?.item,
  });
  nameMeasured(found, tokens, words, {
    table: words.roles.creams,
    item: () => lexicon.inWords(['heavy', 'cream'])[0]?.item,
  });
  nameOwnRecipes(found, tokens, lexicon, words);
  return found;
}

/** "my mate", "til it thickens", "numa panela": words that name something in another language than is written here. */
function dropCommonWords(found: Found, tokens: readonly Token[], words: Vocabulary): void {
  const { roles } = words;
  for (const [at, { to }] of [...found]) {
    if (to > at + 1 || roles.notNames.at(tokens, at)?.to !== to) continue;
    const isMeasured = isBehindMeasure(tokens, at, words);
    const [before, next] = [tokens[at - 1], tokens[to]];
    if (!isMeasured && (isWord(before) || isWord(next))) found.delete(at);
  }
}

/** "herb tea (nettle)": of what stands in the brackets; of nobody knows what without. */
function nameHerbTea(found: Found, tokens: readonly Token[]): void {
  for (const [at, { to, item }] of [...found]) {
    if (item.id !== 'black-tea' || !says(tokens[at - 1], 'herbal')) continue;
    found.delete(at);
    const named = isSign(tokens[to], '(') ? found.get(to + 1) : undefined;
    const written = tokens.slice(at - 1, to).map(({ raw }) => raw);
    if (named) found.delete(to + 1);
    found.set(at - 1, { item: named ? named.item : stranger(written.join(' ')), words: to - at + 1, to });
  }
}

/** "vinegar (white, clear)": no egg, where none is named and nobody counts it. */
function dropColours(found: Found, tokens: readonly Token[], words: Vocabulary): void {
  const isOfEgg = ([at, { to, item }]: [number, { readonly to: number; readonly item: LarderItem }]) =>
    /egg/.test(item.id) && !(to === at + 1 && says(tokens[at], 'white'));
  if ([...found].some(isOfEgg)) return;
  for (const [at, { to }] of [...found])
    if (to === at + 1 && says(tokens[at], 'white') && !isBehindMeasure(tokens, at, words)) found.delete(at);
}

/** "a tea strainer", "coador de café": what something is done with goes into no bowl. */
function dropTools(found: Found, tokens: readonly Token[], words: Vocabulary): void {
  for (const [at, { to }] of [...found])
    if (
      isOfTool(tokens, { at, to }, words) ||
      isOfVessel(found, tokens, to, words) ||
      isInVessel(tokens, { at, to }) ||
      isPerson(tokens, { at, to }, words) ||
      isBehindTool(tokens, at, words) ||
      isCalledSo(tokens, { at, to }, words) ||
      isCompound(tokens, to) ||
      // "a bruised clove of garlic"
      (to === at + 1 && says(tokens[to], 'of') && says(tokens[to + 1], 'inCloves'))
    )
      found.delete(at);
}

interface NameAt {
  readonly at: number;
  readonly to: number;
}

/** "tea-hot water", "egg-sized": how something is. */
const isCompound = (tokens: readonly Token[], to: number): boolean =>
  isSign(tokens[to], '-', '‑') &&
  touches(tokens[to - 1], tokens[to]) &&
  touches(tokens[to], tokens[to + 1]) &&
  says(tokens[to + 1], 'compound');

/** "An egg, whisk" and "an egg whisk it" are done, "with an egg whisk" is a tool. */
function isOfTool(tokens: readonly Token[], { at, to }: NameAt, { roles, deeds }: Vocabulary): boolean {
  const isJoined =
    isSign(tokens[to], '-', '‑') &&
    touches(tokens[to - 1], tokens[to]) &&
    touches(tokens[to], tokens[to + 1]);
  const behind = isJoined ? to + 1 : to;
  const deed = deeds.at(tokens, behind)?.value;
  const isVerb = deed === 'mix' || deed === 'strain';
  const isUsed = [1, 2, 3].some((back) => says(tokens[at - back], 'usedWith'));
  return roles.tools.at(tokens, behind) !== undefined && (!isVerb || isUsed);
}

/** "a keratin one", "the banana one": what a mixture is called after. */
const isCalledSo = (tokens: readonly Token[], { at, to }: NameAt, { articles, units }: Vocabulary): boolean =>
  says(tokens[to], 'oneOfKind') &&
  // "two tablespoons of that wheat protein stuff": measured, by its whole name.
  !(to - at > 1 && says(tokens[at - 2], 'of')) &&
  units.at(tokens, to + 1) === undefined &&
  (articles.endsAt(tokens, at, 2) || says(tokens[at - 1], 'beforeKind'));

/** "minha avó": nobody goes into a bowl. */
const isPerson = (tokens: readonly Token[], { at, to }: NameAt, { roles }: Vocabulary): boolean =>
  [1, 2].some((back) => (roles.persons.at(tokens, at - back)?.to ?? 0) >= to);

/** "mix it in an old yogurt tub": what once was in it. */
const isInVessel = (tokens: readonly Token[], { at, to }: NameAt): boolean =>
  says(tokens[to], 'vessel') &&
  !says(tokens[to + 1], 'of') &&
  // "the cap of the oil bottle"
  (says(tokens[at - 1], 'theMade') ||
    [2, 3].some((back) => says(tokens[at - back], 'inVessel') && isWord(tokens[at - back + 1])));

/** "a baby food jar of pear" */
function isOfVessel(
  found: Found,
  tokens: readonly Token[],
  to: number,
  { units, roles }: Vocabulary,
): boolean {
  const vessel = units.at(tokens, to);
  return (
    vessel !== undefined &&
    isPack(vessel.value) &&
    roles.of.at(tokens, vessel.to) !== undefined &&
    found.has(vessel.to + 1)
  );
}

/** "coador de café" */
function isBehindTool(tokens: readonly Token[], at: number, { roles }: Vocabulary): boolean {
  const link = at - 1;
  return says(tokens[link], 'ofTool') && roles.tools.endsAt(tokens, link, 2);
}

/** "Make a tea with rosemary (…)" */
const isTeaWith = (found: Found, tokens: readonly Token[], to: number): boolean => {
  const herb = found.get(to + 1);
  const isOf = (['mixedWith', 'of', 'madeFrom'] as const).some((mark) => says(tokens[to], mark));
  return isOf && herb !== undefined && isHerb(herb.item);
};

/** "chamomile tea", "chá de alecrim": the herb is what goes in. */
function dropTeaOf(found: Found, tokens: readonly Token[]): void {
  for (const [at, { to, item }] of [...found]) {
    if (item.id !== 'black-tea' || to > at + 1) continue;
    const isBehind = [...found].some(([start, other]) => start < at && other.to === at && isHerb(other.item));
    const of = says(tokens[to], 'ofHerb') ? to + 1 : null;
    const herb = of === null ? undefined : found.get(of);
    if (isBehind || (herb && isHerb(herb.item)) || isTeaWith(found, tokens, to)) found.delete(at);
  }
}

/** "raspberry vinegar": of it, and no berries. */
function dropFlavours(found: Found, tokens: readonly Token[]): void {
  for (const [at, { to }] of [...found]) {
    const next = found.get(to);
    if (to === at + 1 && next && next.to === to + 1 && says(tokens[to], 'flavoured')) found.delete(at);
  }
}

/** "leave in 15 minutes", and at the end "leave-in.": done, and no leave-in. */
function dropLeftIn(found: Found, tokens: readonly Token[], words: Vocabulary): void {
  for (const [at, { to }] of [...found]) {
    const own = tokens.slice(at, to).map(({ word }) => word);
    if (own[0] !== 'leave' || own.at(-1) !== 'in' || to - at > 3) continue;
    const isEnd = tokens.slice(to).every(({ kind }) => kind !== 'word' && kind !== 'number');
    // "… glycerin. Leave-in, keeps a week."
    // "Last thing, leave in."
    const isDone = to - at === 2 && isSign(tokens[at - 1], ',') && isSign(tokens[to], '.', '!');
    const isAlone = isDone || (isSign(tokens[at - 1], '.') && isSign(tokens[to], ',', '.', ';'));
    if (isAlone || (isEnd && isSign(tokens[at - 1], '.', ',', ';', '!', '–', '—'))) found.delete(at);
    if (isLeftInFor(tokens, to, words)) found.delete(at);
  }
}

/** "for 15 minutes", "15"; "leave-in 2 tbsp" is measured. */
function isLeftInFor(tokens: readonly Token[], to: number, { numbers, units }: Vocabulary): boolean {
  if (says(tokens[to], 'forTime')) return true;
  const counted = isNumber(tokens[to]) ? to + 1 : numbers.at(tokens, to)?.to;
  return counted !== undefined && units.at(tokens, counted) === undefined;
}

/** "For my leave-in I go …": what it is made for. */
function dropCalledFor(found: Found, tokens: readonly Token[]): void {
  for (const [at, match] of [...found]) {
    const isFor = says(tokens[at - 2], 'purpose') && says(tokens[at - 1], 'ownBefore');
    if (isFor && isProduct(match) && (says(tokens[match.to], 'i') || isSign(tokens[match.to], ',', ':')))
      found.delete(at);
  }
}

/** "half a jar of mask", "a spoon of cream": what is measured is a thing; without a measure it is what the mixture is called. */
function nameMeasured(
  found: Found,
  tokens: readonly Token[],
  words: Vocabulary,
  {
    table,
    item,
  }: { readonly table: Vocabulary['roles']['masks']; readonly item: () => LarderItem | undefined },
): void {
  for (const at of tokens.keys()) {
    const to = table.at(tokens, at)?.to;
    if (to === undefined || found.has(at)) continue;
    // "half mask half avocado"
    const isShare = words.fractions.endsAt(tokens, at, 2) && !words.units.at(tokens, at - 1);
    // "four of mask", behind spoons
    const isOfCount = words.roles.of.endsAt(tokens, at, 1) && isCountedBefore(tokens, at - 1, words);
    const isMeasured =
      isShare ||
      isMeasuredAfter(tokens, to, words) ||
      isOfCount ||
      isMeasuredBehind(tokens, at, words) ||
      isMeasuredBefore(tokens, at, words);
    const meant = isMeasured ? item() : undefined;
    if (meant) found.set(at, { item: meant, words: 1, to });
  }
}

/** "mask 50 ml", "máscara branca 3 colheres", "then cream until it's the colour of weak tea" */
function isMeasuredAfter(tokens: readonly Token[], to: number, words: Vocabulary): boolean {
  const next = tokens[to];
  const numberAt = isWord(next) && describes(words, next.word) ? to + 1 : to;
  const isNumbered = isNumber(tokens[numberAt]) && words.units.at(tokens, numberAt + 1) !== undefined;
  return isNumbered || says(next, 'until');
}

/** "three spoons of plain mask" */
const isMeasuredBefore = (tokens: readonly Token[], at: number, words: Vocabulary): boolean =>
  [1, 2, 3, 4, 5].some((back) => {
    const unit = words.units.at(tokens, at - back);
    const between = unit ? tokens.slice(unit.to, at) : [];
    return (
      unit !== undefined &&
      unit.to <= at &&
      // "… 1 tbsp. Mask B: …"
      !(between.length > 0 && isSign(tokens[at - 1], '.') && /^\p{Lu}/u.test(tokens[at]?.raw ?? '')) &&
      between.every((token) => describes(words, token.word) || isSign(token, '.')) &&
      isCountedBefore(tokens, at - back, words)
    );
  });

/** "the mask that was nearly empty (about 5 spoons)" */
function isMeasuredBehind(
  tokens: readonly Token[],
  at: number,
  { units, roles, numbers }: Vocabulary,
): boolean {
  const ahead = tokens.slice(at + 1, at + BRACKET_WITHIN);
  const open = ahead.findIndex(({ kind }) => kind !== 'word');
  if (open < 0 || !isSign(ahead[open], '(')) return false;
  const first = at + 2 + open;
  const start = roles.about.at(tokens, first)?.to ?? first;
  const counted = isNumber(tokens[start]) ? start + 1 : numbers.at(tokens, start)?.to;
  return counted !== undefined && units.at(tokens, counted) !== undefined;
}
/** Tokens between a mask and the bracket that measures it. */
const BRACKET_WITHIN = 8;

/** A number or an article right before it. */
const isCountedBefore = (
  tokens: readonly Token[],
  at: number,
  { numbers, articles, fractions, sizes }: Vocabulary,
): boolean =>
  tokens[at - 1]?.kind === 'number' ||
  // "a big dollop of mask"
  [at, ...(sizes.endsAt(tokens, at, 2) ? [at - 1] : [])].some((end) =>
    [numbers, articles, fractions].some((table) => table.endsAt(tokens, end, 3)),
  );

/** "flour of chickpea", "milk of coconut": the noun stands first. */
function nameNounFirst(found: Found, tokens: readonly Token[], lexicon: Pick<Lexicon, 'inWords'>): void {
  for (const [at, { to }] of [...found]) {
    const [noun, of] = [tokens[at - 2], tokens[at - 1]];
    if (!noun || !says(noun, 'nounOf') || !says(of, 'of')) continue;
    const own = tokens.slice(at, to).map(({ word }) => word);
    const [named, ...more] = lexicon.inWords([...own, noun.word]);
    if (!named || more.length > 0 || named.words !== own.length + 1) continue;
    found.delete(at);
    found.set(at - 2, { item: named.item, words: named.words, to });
  }
}

/** "the white of one egg" */
function renameParts(found: Found, tokens: readonly Token[], lexicon: Pick<Lexicon, 'inWords'>): void {
  for (const [index, token] of tokens.entries()) {
    if (!says(token, 'eggPart') || !says(tokens[index + 1], 'of')) continue;
    const at = [2, 3, 4, 5].map((ahead) => index + ahead).find((ahead) => found.has(ahead));
    const whole = at === undefined ? undefined : found.get(at);
    if (at === undefined || !whole) continue;
    const [part] = lexicon.inWords([tokens[at]?.word ?? '', token.word]);
    if (part && part.words === 2) found.set(at, { item: part.item, words: whole.words, to: whole.to });
    found.delete(index);
  }
}

/** "gema de um ovo", "clara de 2 huevos": of the part, as many as there are eggs. */
function dropWholeOfPart(found: Found, tokens: readonly Token[]): void {
  for (const { to, item } of [...found.values()]) {
    if (item.id !== 'egg-yolk' && item.id !== 'egg-white') continue;
    if (!says(tokens[to], 'ofEgg')) continue;
    const whole = [1, 2, 3].map((ahead) => to + ahead).find((ahead) => found.get(ahead)?.item.id === 'egg');
    if (whole !== undefined) found.delete(whole);
  }
}

/**
 * "rosemary infused oil", "macerate of calendula", "olive oil infused with mint": oils, never the herb nor its essential
 * oil.
 */
function nameInfusions(found: Found, tokens: readonly Token[], lexicon: Lexicon, words: Vocabulary): void {
  const [infused] = found.size > 0 ? lexicon.inWords(['infused', 'oil']) : [];
  if (!infused) return;
  for (const [at, name] of [...found]) {
    if (isOfOil(name.item) || !name.item.ingredient) continue;
    if (isSteepedIn(found, at, name, { tokens, lexicon, infused: infused.item })) continue;
    const pressed = pressedOf(at, name, tokens, lexicon);
    if (pressed) {
      found.delete(at);
      found.set(at - 2, { item: pressed, words: name.to - at + 2, to: name.to });
      continue;
    }
    const hyphen = isSign(tokens[name.to], '-', '‑') ? 1 : 0;
    const behind = words.roles.infusedOil.at(tokens, name.to + hyphen);
    if (behind) {
      const own = tokens.slice(at, name.to).map(({ word }) => word);
      const oil = tokens.slice(name.to, behind.to).findLast((token) => isWord(token));
      const [named] = lexicon.inWords([...own, oil?.word ?? '']);
      const item = named && named.words > own.length && isOfOil(named.item) ? named.item : infused.item;
      found.set(at, { item, words: behind.to - at, to: behind.to });
      continue;
    }
    renameSteepedBehind(found, at, name, { infused: infused.item, tokens, words });
  }
}

/** "oil of avocado": pressed from it, where the catalogue has such an oil. */
function pressedOf(
  at: number,
  { to }: { readonly to: number },
  tokens: readonly Token[],
  lexicon: Lexicon,
): LarderItem | undefined {
  const isOf = says(tokens[at - 2], 'oil') && says(tokens[at - 1], 'of');
  return isOf ? oilCalled([...tokens.slice(at, to).map(({ word }) => word), 'oil'], lexicon) : undefined;
}

/** "oil infused with mint" */
function renameSteepedBehind(
  found: Found,
  at: number,
  { to: end }: { readonly to: number },
  {
    infused,
    tokens,
    words,
  }: { readonly infused: LarderItem; readonly tokens: readonly Token[]; readonly words: Vocabulary },
): void {
  const before = [1, 2, 3, 4, 5]
    .map((back) => at - back)
    .find((start) => {
      const phrase = words.roles.infusedIn.at(tokens, start);
      return phrase !== undefined && phrase.to === at;
    });
  if (before === undefined) return;
  const base = [...found].find(([, { to, item }]) => to <= at && to >= before - 1 && isOfOil(item));
  const isWithin = [...found].some(([start, { item }]) => start >= before && start < at && isOfOil(item));
  found.delete(at);
  if (!base && !isWithin) found.set(before, { item: infused, words: end - before, to: end });
}

/** "rosemary-infused olive oil": one thing, and an oil. */
function isSteepedIn(
  found: Found,
  at: number,
  { to }: { readonly to: number },
  {
    tokens,
    lexicon,
    infused,
  }: { readonly tokens: readonly Token[]; readonly lexicon: Lexicon; readonly infused: LarderItem },
): boolean {
  const steeped = isSign(tokens[to], '-', '‑') ? to + 1 : to;
  if (!says(tokens[steeped], 'steeped')) return false;
  const oil = found.get(steeped + 1);
  if (!oil || !isOfOil(oil.item)) return false;
  const own = tokens.slice(at, to).map(({ word }) => word);
  const [named] = lexicon.inWords([...own, 'infused', 'oil']);
  const item = named && named.words > own.length && isOfOil(named.item) ? named.item : infused;
  found.delete(steeped + 1);
  found.set(at, { item, words: oil.to - at, to: oil.to });
  return true;
}

/** A recipe of hers by a word of its name, where one alone has it. */
function nameOwnRecipes(found: Found, tokens: readonly Token[], lexicon: Lexicon, words: Vocabulary): void {
  const recipes = lexicon.items.flatMap((group) => group.filter(({ recipe }) => recipe));
  if (recipes.length === 0) return;
  for (const [at, token] of tokens.entries()) {
    const [own, mixture] = [tokens[at + 1], tokens[at + 2]];
    if (!says(token, 'ownBefore') || !own || !isWord(own) || !says(mixture, 'ownThing')) continue;
    if (describes(words, own.word) || own.word.length < 3) continue;
    const named = recipes.filter(({ name }) => lexiconWords(name).has(own.word));
    const [recipe] = named;
    // The whole name of an ingredient says what it is: "the castor oil".
    const isIngredient = [...found].some(([start, { to }]) => start <= at + 1 && to >= at + 3);
    if (!recipe || named.length > 1 || isIngredient) continue;
    found.delete(at + 2);
    found.set(at + 1, { item: recipe, words: 2, to: at + 3 });
  }
}

const lexiconWords = (name: string): ReadonlySet<string> => new Set(plainWords(name));
