import { isOil, plainWords } from '../ingredients';
import type { NameMatch, Names } from './elements';
import type { LarderItem, NameLexicon } from './lexicon';
import { isSign, isWord, type Token } from './tokens';
import { describes, type Vocabulary } from './vocabulary';

type Found = Map<number, NameMatch & { readonly to: number }>;
type Lexicon = Pick<NameLexicon, 'inWords' | 'items'>;

/** Names that mean something else with the words around them: a part of an egg, an oil that a herb was steeped in. */
export function refinedNames(
  names: Names,
  tokens: readonly Token[],
  lexicon: Lexicon,
  words: Vocabulary,
): Names {
  const found: Found = new Map(names);
  renameParts(found, tokens, lexicon);
  nameInfusions(found, tokens, lexicon, words);
  nameOwnRecipes(found, tokens, lexicon, words);
  return found;
}

/** "the white of one egg" */
function renameParts(found: Found, tokens: readonly Token[], lexicon: Pick<Lexicon, 'inWords'>): void {
  for (const [index, token] of tokens.entries()) {
    if (!isWord(token, /^(?:whites?|yolks?)$/) || !isWord(tokens[index + 1], /^of$/)) continue;
    const at = [2, 3, 4, 5].map((ahead) => index + ahead).find((ahead) => found.has(ahead));
    const whole = at === undefined ? undefined : found.get(at);
    if (at === undefined || !whole) continue;
    const [part] = lexicon.inWords([tokens[at]?.word ?? '', token.word]);
    if (part && part.words === 2) found.set(at, { item: part.item, words: whole.words, to: whole.to });
    found.delete(index);
  }
}

const isOfOil = ({ ingredient }: LarderItem): boolean => ingredient !== undefined && isOil(ingredient);

/**
 * "rosemary infused oil", "macerate of calendula", "olive oil infused with mint": oils, never the herb nor its essential
 * oil.
 */
function nameInfusions(found: Found, tokens: readonly Token[], lexicon: Lexicon, words: Vocabulary): void {
  const [infused] = lexicon.inWords(['infused', 'oil']);
  if (!infused) return;
  for (const [at, name] of [...found]) {
    if (isOfOil(name.item) || !name.item.ingredient) continue;
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
    const before = [1, 2, 3, 4, 5]
      .map((back) => at - back)
      .find((start) => {
        const phrase = words.roles.infusedIn.at(tokens, start);
        return phrase !== undefined && phrase.to === at;
      });
    if (before === undefined) continue;
    const base = [...found].find(([, { to, item }]) => to <= at && to >= before - 1 && isOfOil(item));
    const isWithin = [...found].some(([start, { item }]) => start >= before && start < at && isOfOil(item));
    found.delete(at);
    if (!base && !isWithin) found.set(before, { item: infused.item, words: name.to - before, to: name.to });
  }
}

/** "the oat thing": words for a mixture behind a word of its name. */
const MIXTURE =
  /^(?:thing|stuff|mix|mixture|mask|gel|cream|paste|recipe|butter|oil|rinse|one|coisa|mistura|mascara|receita|cosa|mezcla|truc|melange|zeug|mischung|miscela)$/;
const MINE = /^(?:the|my|our|that|o|a|meu|minha|el|la|mi|le|ma|mon|die|das|mein|meine|il|mia)$/;

/** A recipe of hers by a word of its name, where one alone has it. */
function nameOwnRecipes(found: Found, tokens: readonly Token[], lexicon: Lexicon, words: Vocabulary): void {
  const recipes = lexicon.items.flatMap((group) => group.filter(({ recipe }) => recipe));
  if (recipes.length === 0) return;
  for (const [at, token] of tokens.entries()) {
    const [own, mixture] = [tokens[at + 1], tokens[at + 2]];
    if (!isWord(token, MINE) || !own || !isWord(own) || !isWord(mixture, MIXTURE)) continue;
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
