import type { Found } from './item';
import { oilCalled, type LarderItem, type NameLexicon } from './lexicon';
import { says } from './marks';
import { isNumber, isSign, isWord, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

type Lexicon = Pick<NameLexicon, 'inWords' | 'items'>;

/** "1 tbsp oil", "honey and oil": some oil of the kitchen, where no unknown word before it says which. */
export function nameBareOil(
  found: Found,
  tokens: readonly Token[],
  lexicon: Lexicon,
  words: Vocabulary,
): void {
  for (const at of tokens.keys()) {
    if (words.roles.bareOil.at(tokens, at)?.to !== at + 1) continue;
    if (holding(found, at).length > 0) continue;
    const [oil] = lexicon.inWords(['vegetable', 'oil']);
    if (!oil) return;
    const [before, next] = [tokens[at - 1], tokens[at + 1]];
    const which = namedBehind(tokens, at, lexicon) ?? namedInBrackets(tokens, at + 1, lexicon);
    if (which) {
      drop(found, which.at);
      found.set(at, { item: which.item, words: 1, to: at + 1 });
      continue;
    }
    const isFree = before === undefined || before.kind !== 'word' || isOfAmount(tokens, at - 1, words);
    const isVerb = words.articles.at(tokens, at + 1) !== undefined || says(next, 'oilOf');
    const isKind = isWord(next) && words.roles.kinds.at(tokens, at + 1) !== undefined;
    if (isFree && !isVerb && !isKind && !isTitleOf(tokens, at, words))
      found.set(at, { item: oil.item, words: 1, to: at + 1 });
  }
}

/** Where the names begin that a token is in. */
const holding = (found: Found, at: number): number[] =>
  [...found].flatMap(([start, { to }]) => (start <= at && to > at ? [start] : []));

function drop(found: Found, at: number): void {
  for (const start of holding(found, at)) found.delete(start);
}

/** "3 tbsp oil, olive if possible", "oil (olive or sunflower)" */
function namedBehind(
  tokens: readonly Token[],
  at: number,
  lexicon: Lexicon,
): { readonly item: LarderItem; readonly at: number } | undefined {
  const liked = likedBehind(tokens, at);
  // "I use sweet almond"
  for (const start of liked ? [liked, liked + 1] : []) {
    const ofLiked = oilCalled([tokens[start]?.word ?? '', 'oil'], lexicon);
    if (ofLiked) return { item: ofLiked, at: start };
  }
  const sign = tokens[at + 1];
  const isMostly = says(tokens[at + 2], 'mostly');
  const namedAt = at + (isMostly ? 3 : 2);
  const [word, next] = tokens.slice(namedAt);
  if (
    !isSign(sign, ',', '(') ||
    !word ||
    !isWord(word) ||
    !(isMostly || says(next, 'choice') || isSign(next, ')'))
  )
    return undefined;
  const item = oilCalled([word.word, 'oil'], lexicon);
  return item && { item, at: namedAt };
}

/** "oil (sunflower will do)": the one oil in the brackets. */
function namedInBrackets(
  tokens: readonly Token[],
  open: number,
  lexicon: Lexicon,
): { readonly item: LarderItem; readonly at: number } | undefined {
  const close = tokens.findIndex((token, at) => at > open && isSign(token, ')'));
  if (!isSign(tokens[open], '(') || close < 0 || close - open > LIKED_WITHIN) return undefined;
  const inside = tokens.slice(open + 1, close);
  // "(half a small coffee cup)" says how much.
  if (inside.some((token) => isNumber(token) || says(token, 'vessel'))) return undefined;
  const named = inside.flatMap((token, nth) => {
    const item = isWord(token) ? oilCalled([token.word, 'oil'], lexicon) : undefined;
    return item ? [{ item, at: open + 1 + nth }] : [];
  });
  return named.length === 1 ? named[0] : undefined;
}

/** Tokens of "oil of your own choice". */
const CHOICE_WITHIN = 5;

/** How many tokens behind "oil" she says which she likes. */
const LIKED_WITHIN = 9;

/** "oil, whatever you've got, I like grapeseed" */
function likedBehind(tokens: readonly Token[], at: number): number | undefined {
  // "1 part oil. I use olive.", "oil of your choice. I use olive."
  const stop = tokens.findIndex((token, index) => index > at && !isWord(token));
  const isNextSentence =
    stop - at <= CHOICE_WITHIN &&
    isSign(tokens[stop], '.') &&
    says(tokens[stop + 1], 'i') &&
    says(tokens[stop + 2], 'prefers');
  if (isNextSentence) return stop + 3;
  if (!isSign(tokens[at + 1], ',', '(')) return undefined;
  const end = tokens.findIndex((token, index) => index > at && isSign(token, '.', ';', '!'));
  const last = Math.min(end < 0 ? tokens.length : end, at + LIKED_WITHIN);
  for (let index = at + 3; index < last; index++)
    if (says(tokens[index - 1], 'i') && says(tokens[index], 'prefers')) return index + 1;
  return undefined;
}

/** "Oil: …"; "honey and oil - 2 tbsp" are two things. */
function isTitleOf(tokens: readonly Token[], at: number, { roles }: Vocabulary): boolean {
  if (roles.and.endsAt(tokens, at, 1)) return false;
  const behind = [1, 2, 3].find((ahead) => tokens[at + ahead]?.kind !== 'word');
  const before = [1, 2, 3].find((back) => tokens[at - back]?.kind !== 'word');
  const start = before === undefined ? undefined : tokens[at - before];
  const isStart = before !== undefined && (start === undefined || start.kind === 'break');
  return isStart && behind !== undefined && isSign(tokens[at + behind], ':', '.', '–', '—', '-');
}

/** What may stand between a measure and its thing. */
function isOfAmount(tokens: readonly Token[], at: number, words: Vocabulary): boolean {
  if (says(tokens[at], 'beforeThing')) return true;
  // "1 T oil"
  if (isWord(tokens[at], /^[tc]$/) && isNumber(tokens[at - 1])) return true;
  const { roles } = words;
  return [
    roles.of,
    roles.and,
    roles.or,
    roles.some,
    roles.about,
    roles.same,
    words.multiples,
    words.articles,
    words.units,
    words.numbers,
    words.fractions,
  ].some((table) => table.endsAt(tokens, at + 1, 3));
}
