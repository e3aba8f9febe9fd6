import type { Larder } from '../larder';
import type { Element } from './elements';
import { isWord, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** Nouns that a list may say once: "coconut and castor oil". */
const SHARED_NOUNS: ReadonlySet<string> = new Set([
  'oil',
  'oils',
  'butter',
  'milk',
  'powder',
  'seeds',
  'seed',
  'water',
  'gel',
  'protein',
  'tea',
  'juice',
  'flour',
]);
/** How far ahead the name may stand whose noun is shared, elements. */
const SHARED_NOUN_WITHIN = 8;
/** "coconut and castor oil": a word that names nothing alone takes the noun of the next name. */
export function withSharedNouns(
  elements: readonly Element[],
  tokens: readonly Token[],
  larder: Pick<Larder, 'inWords'>,
  { describing }: Pick<Vocabulary, 'describing'>,
): Element[] {
  return elements.map((element, index): Element => {
    const word = tokens[element.from]?.word ?? '';
    const isLoose =
      element.kind === 'word' &&
      isWord(tokens[element.from]) &&
      word.length > 2 &&
      !describing.has(word) &&
      elements[index + 1]?.kind === 'separator';
    const next = isLoose
      ? elements.slice(index + 1, index + SHARED_NOUN_WITHIN).find(({ kind }) => kind === 'name')
      : undefined;
    const noun = next ? (tokens[next.to - 1]?.word ?? '') : '';
    const matches = SHARED_NOUNS.has(noun) ? larder.inWords([word, noun]) : [];
    const [match] = matches;
    return match && matches.length === 1 && match.words === 2
      ? { kind: 'name', from: element.from, to: element.to, match: { item: match.item, words: 1 } }
      : element;
  });
}
