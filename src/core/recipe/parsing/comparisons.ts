import { isWord, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** Before what a mixture becomes. */
const REACHES =
  /^(?:until|till|til|to|into|becomes?|get|gets|make|form|reach(?:es)?|ate|virar|vira|formar|ficar|dar|hasta|jusqu|jusqua|pour|bis|zu|fino|finche|per|tak)$/;
/** Before what it looks like then. */
const LOOKS =
  /^(?:like|ponto|consist\w+|textur\w*|aspecto|como|wie|comme|come|size|tamanho|tamano|taille|grosse|grandezza)$/;
/** How large a lump of it is. */
const SIZE = /^(?:size|tamanho|tamano|taille|grosse|grandezza)$/;
const OF_LOOK = /^(?:of|de|da|do|di|d|a|an|uma|um|un|une|una|ein|eine)$/;
/** Words that may stand in between. */
const REACHED_WITHIN = 5;
const COLOUR = /^(?:colou?r|cor|couleur|farbe|colore)$/;
const COLOUR_WITHIN = 6;

/** "until it is like yogurt", "to a loose paste": what is reached stands behind, and is no thing that goes in. */
export function isReached(tokens: readonly Token[], from: number, index: number): boolean {
  const before = tokens.slice(Math.max(from, index - REACHED_WITHIN), index);
  return (
    before.some((token) => isWord(token, REACHES)) ||
    isWord(tokens[index], /^(?:like|como|wie|comme|come|ponto|consist\w+)$/)
  );
}

/** What a name is only like: "until it looks like egg white", "the size of a walnut", "the colour of weak tea". */
export const isCompared = (
  tokens: readonly Token[],
  from: number,
  index: number,
  words: Pick<Vocabulary, 'textures'>,
): boolean => isLike(tokens, from, index, words) || isOfColour(tokens, from, index);

/** "até dar ponto de clara": what it becomes, where no texture says how thick. */
function isLike(
  tokens: readonly Token[],
  from: number,
  index: number,
  { textures }: Pick<Vocabulary, 'textures'>,
): boolean {
  const as = [1, 2, 3].map((back) => index - back).find((at) => !isWord(tokens[at], OF_LOOK)) ?? index;
  if (!isWord(tokens[as], LOOKS) || textures.at(tokens, as) !== undefined) return false;
  return (
    (isWord(tokens[as], SIZE) || isReached(tokens, from, as)) && textures.at(tokens, index) === undefined
  );
}

/** "until it's the colour of weak tea with milk" */
function isOfColour(tokens: readonly Token[], from: number, index: number): boolean {
  const before = tokens.slice(Math.max(from, index - COLOUR_WITHIN), index);
  const colour = before.findLastIndex((token) => isWord(token, COLOUR));
  return colour >= 0 && before.slice(colour).every(({ kind }) => kind === 'word');
}
