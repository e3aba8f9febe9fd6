import type { Found } from './item';
import { isOfOil, oilCalled, type NameLexicon } from './lexicon';
import { says } from './marks';
import { isNumber, isSign, isWord, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

type Lexicon = Pick<NameLexicon, 'inWords'>;

/** "óleo de coco e de rícino", "huile de coco, ricin et argan": where the noun stands first it is said once. */
export function nameOfSameNoun(
  found: Found,
  tokens: readonly Token[],
  lexicon: Lexicon,
  words: Vocabulary,
): void {
  for (const [at, { to, item }] of [...found]) {
    if (to - at < 3 || !isOfOil(item) || !says(tokens[at + 1], 'ofSameNoun')) continue;
    let end: number | undefined = to;
    while (end !== undefined) end = takeNext(found, { tokens, lexicon, words }, at, end);
  }
}

interface Place {
  /** Where the name may begin with its "de". */
  readonly from: number;
  /** Where the plant stands. */
  readonly start: number;
  readonly saysOf: boolean;
}

/** Where the next plant stands: over "and", a comma, and how much of it: "…, 1 di ricino". */
function placeBehind(tokens: readonly Token[], end: number, words: Vocabulary): Place | undefined {
  const { roles, numbers, articles, units } = words;
  const link = isSign(tokens[end], ',', '+')
    ? end + 1
    : (roles.and.at(tokens, end) ?? roles.or.at(tokens, end))?.to;
  if (link === undefined) return undefined;
  const counted = isNumber(tokens[link])
    ? link + 1
    : (numbers.at(tokens, link) ?? articles.at(tokens, link))?.to;
  const measured = counted === undefined ? link : (units.at(tokens, counted)?.to ?? counted);
  const saysOf = says(tokens[measured], 'ofSameNoun');
  const start = saysOf ? measured + 1 : link;
  // Its "de" belongs to the amount where there is one.
  return { from: counted === undefined ? link : start, start, saysOf };
}

/** @returns where the name that was found ends */
function takeNext(
  found: Found,
  {
    tokens,
    lexicon,
    words,
  }: { readonly tokens: readonly Token[]; readonly lexicon: Lexicon; readonly words: Vocabulary },
  nounAt: number,
  end: number,
): number | undefined {
  const place = placeBehind(tokens, end, words);
  if (!place || (!place.saysOf && found.has(place.start))) return undefined;
  const { from, start, saysOf } = place;
  const of = tokens[saysOf ? start - 1 : nounAt + 1]?.word ?? '';
  // "d'olio": as it is written out.
  const noun = [tokens[nounAt]?.word ?? '', of === 'd' ? 'de' : of];
  for (const count of [2, 1]) {
    const own = tokens.slice(start, start + count);
    const item =
      own.length === count && own.every((token) => isWord(token))
        ? oilCalled([...noun, ...own.map(({ word }) => word)], lexicon)
        : undefined;
    if (!item) continue;
    found.delete(start);
    found.set(from, { item, words: count, to: start + count });
    return start + count;
  }
  return undefined;
}
