import { says } from './marks';
import { isNumber, isSign, isWhole, isWord, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** A number that only tells which one: where it ends. */
export function numberingAt(tokens: readonly Token[], index: number, words: Vocabulary): number | undefined {
  return namedNumber(tokens, index, words) ?? ordinalAt(tokens, index, words) ?? inlineMark(tokens, index);
}

/** "(recipe no. 4)", "step two is the mask", "wash day number two" */
function namedNumber(
  tokens: readonly Token[],
  index: number,
  { numbers, roles }: Vocabulary,
): number | undefined {
  const isOfStep = says(tokens[index], 'stepWord') || isOfPart(tokens, index, numbers);
  const isOfKind = says(tokens[index], 'numbered') || isSign(tokens[index], '#', 'º', '№');
  // "Everyone uses a lot. One: mayonnaise."
  const isListed = isSign(tokens[index - 1], '.', '!', ';') && isWord(tokens[index]);
  const listed = isListed ? numbers.at(tokens, index) : undefined;
  if (listed && isSign(tokens[listed.to], ':')) return listed.to + 1;
  const spoken = isOfStep || isOfKind ? numbers.at(tokens, index + 1) : undefined;
  if (spoken) return spoken.to;
  const number = isSign(tokens[index + 1], '.') ? index + 2 : index + 1;
  return isOfKind && isNumber(tokens[number]) && roles.kinds.endsAt(tokens, index, 2)
    ? number + 1
    : undefined;
}

/** "the third ingredient is honey": no third of it. */
function ordinalAt(tokens: readonly Token[], index: number, { fractions }: Vocabulary): number | undefined {
  const said = says(tokens[index - 1], 'theMade') ? fractions.at(tokens, index) : undefined;
  const next = said && tokens[said.to];
  if (!said || says(next, 'meaning')) return said?.to;
  return says(next, 'countsThings') || says(next, 'pronounOne') ? said.to + 1 : undefined;
}

/** "Part one is the oil": "one part oil" is how much. */
function isOfPart(tokens: readonly Token[], index: number, numbers: Vocabulary['numbers']): boolean {
  const number = says(tokens[index], 'partWord') ? numbers.at(tokens, index + 1) : undefined;
  const next = number && tokens[number.to];
  return next !== undefined && (says(next, 'meaning') || isSign(next, ':', ',', '.'));
}

/** "things I learned: (1) …, (2) …"; "banana (1)" is one of it. */
function inlineMark(tokens: readonly Token[], index: number): number | undefined {
  const number = markAt(tokens, index);
  const isOne =
    number !== undefined &&
    [...tokens.keys()].some((at) => at !== index && Math.abs((markAt(tokens, at) ?? number) - number) === 1);
  return isOne ? index + 3 : undefined;
}

/** The number of "(2)" in front of words. */
function markAt(tokens: readonly Token[], index: number): number | undefined {
  const [before, open, number, close, next] = tokens.slice(Math.max(0, index - 1), index + 4);
  if (index === 0 || isWord(before) || isNumber(before) || !isSign(open, '(')) return undefined;
  return isWhole(number) && isSign(close, ')') && isWord(next) ? number.value : undefined;
}
