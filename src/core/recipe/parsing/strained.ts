import { isMark, says } from './marks';
import { isSign, isWord, type Token } from './tokens';

/** Words between "through" and the cloth: "through one of my old socks". */
const CLOTH_WITHIN = 6;
/** German joins them: "Nylonstrumpf". The shortest that is joined, letters. */
const SHORTEST_JOINED = 4;

/** "through one of my old socks", "squeezed in a sock", "durch ein Geschirrtuch": what is pressed through a cloth or a sieve is strained. */
export function strainedThroughAt(
  tokens: readonly Token[],
  index: number,
): { readonly to: number } | undefined {
  const isSqueezed = [1, 2].some((back) => says(tokens[index - back], 'squeezes'));
  const isInCloth = isSqueezed && says(tokens[index], 'inPlace');
  if (!says(tokens[index], 'through') && !isInCloth) return undefined;
  const ahead = tokens.slice(index + 1, index + 1 + CLOTH_WITHIN);
  const end = ahead.findIndex((token) => token.kind === 'break' || isSign(token, ',', '.', ';', '(', ')'));
  const cloth = (end < 0 ? ahead : ahead.slice(0, end)).findIndex(
    (token) => isWord(token) && isCloth(token.word),
  );
  return cloth < 0 ? undefined : { to: index + cloth + 2 };
}

const isCloth = (word: string): boolean =>
  isMark(word, 'strainers') ||
  Array.from({ length: Math.max(0, word.length - SHORTEST_JOINED) }, (_, at) => word.slice(at + 1)).some(
    (ending) => ending.length >= SHORTEST_JOINED && isMark(ending, 'strainers'),
  );
