import type { Stretch, ToldStep } from '../larder';
import type { TokenRange } from './item';
import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** How many tokens behind "into the" name what others go into. */
const PLACE_TOKENS = 2;

/** What the words of a step say of what goes into it. */
export function stepMarks(
  { from, to }: TokenRange,
  tokens: readonly Token[],
  { roles }: Vocabulary,
): Pick<ToldStep, 'byHand' | 'takesRest' | 'notIn'> {
  const within = tokens.slice(from, to).map((_, index) => from + index);
  const says = (role: 'byHand' | 'theRest') => within.some((at) => roles[role].at(tokens, at) !== undefined);
  const stretch = (start: number, end: number): Stretch[] => {
    const [first, last] = [tokens[start], tokens[Math.min(end, to) - 1]];
    return first && last && start < to ? [{ start: first.start, end: last.end }] : [];
  };
  const notIn = within.flatMap((at) => {
    const into = roles.goInto.at(tokens, at);
    if (into) return stretch(into.to, into.to + PLACE_TOKENS);
    const except = roles.except.at(tokens, at);
    return except ? stretch(except.to, to) : [];
  });
  return { byHand: says('byHand'), takesRest: says('theRest'), notIn };
}
