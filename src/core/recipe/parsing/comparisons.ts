import { says } from './marks';
import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** Words that may stand in between. */
const REACHED_WITHIN = 5;
const COLOUR_WITHIN = 6;

/** "until it is like yogurt", "to a loose paste": what is reached stands behind, and is no thing that goes in. */
export function isReached(tokens: readonly Token[], from: number, index: number): boolean {
  const before = tokens.slice(Math.max(from, index - REACHED_WITHIN), index);
  return before.some((token) => says(token, 'reaches')) || says(tokens[index], 'like');
}

/** What a name is only like: "until it looks like egg white", "the size of a walnut", "the colour of weak tea". */
export const isCompared = (
  tokens: readonly Token[],
  from: number,
  index: number,
  words: Pick<Vocabulary, 'textures' | 'describing' | 'numbers'>,
): boolean => isLike(tokens, from, index, words) || isOfColour(tokens, from, index);

/** "até dar ponto de clara": what it becomes, where no texture says how thick. */
function isLike(
  tokens: readonly Token[],
  from: number,
  index: number,
  { textures, describing, numbers }: Pick<Vocabulary, 'textures' | 'describing' | 'numbers'>,
): boolean {
  // "até virar creme"
  const before = says(tokens[index - 1], 'ofLook') ? index - 2 : index - 1;
  if (says(tokens[before], 'becomes') && textures.at(tokens, index) === undefined) return true;
  // "like raw egg white"
  const isQuality = (at: number) => describing.has(tokens[at]?.word ?? '') && !says(tokens[at], 'looks');
  // "the size of two walnuts"
  const isCount = (at: number) => tokens[at]?.kind === 'number' || numbers.at(tokens, at) !== undefined;
  const as =
    [1, 2, 3]
      .map((back) => index - back)
      .find((at) => !says(tokens[at], 'ofLook') && !isQuality(at) && !isCount(at)) ?? index;
  if (!says(tokens[as], 'looks') || textures.at(tokens, as) !== undefined) return false;
  return (
    (says(tokens[as], 'large') || isReached(tokens, from, as)) && textures.at(tokens, index) === undefined
  );
}

/** "until it's the colour of weak tea with milk" */
function isOfColour(tokens: readonly Token[], from: number, index: number): boolean {
  const before = tokens.slice(Math.max(from, index - COLOUR_WITHIN), index);
  const colour = before.findLastIndex((token) => says(token, 'colour'));
  return colour >= 0 && before.slice(colour).every(({ kind }) => kind === 'word');
}
