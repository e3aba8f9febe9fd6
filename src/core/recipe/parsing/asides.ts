import type { Element } from './elements';
import type { Item, SentenceItems, TokenRange } from './item';
import { says } from './marks';
import { saysOwn } from './rows';
import { isSign, type Token } from './tokens';
import type { Context } from './told';
import type { Vocabulary } from './vocabulary';

/** A question asks, it does not tell; and what others do, told behind her own, is not in the bowl. */
export function isAside(
  range: TokenRange,
  elements: readonly Element[],
  { items }: SentenceItems,
  context: Context,
  place: Place,
): boolean {
  const isUnmeasured = items.every(({ amount }) => amount === null);
  return (
    isAsked(range, elements, items, context) ||
    (isUnmeasured && isOfThen(range, elements, context, place)) ||
    (place.hasOwn && isOfOtherTimes(range, context)) ||
    isOfEarlier(range, context) ||
    isSaidOnly(range, items, context) ||
    isOfSomebody(range, items, context, place)
  );
}

interface Place {
  readonly isFirst: boolean;
  /** Something was measured before. */
  readonly hasOwn: boolean;
}

/** "If it dries crunchy I do the oat one", "the lengths get plain conditioner meanwhile": another time, another place. */
function isOfThen(
  { from, to }: TokenRange,
  elements: readonly Element[],
  { tokens }: Context,
  { hasOwn }: Place,
): boolean {
  const isElse = says(tokens[from], 'ifElse') && says(tokens[from + 1], 'itsState');
  // "Fica liso de escorrer.": what comes of it.
  const isResult =
    says(tokens[from], 'becomes') && elements.every(({ kind }) => kind !== 'duration' && kind !== 'name');
  return isElse || isResult || (hasOwn && tokens.slice(from, to).some((token) => says(token, 'besideIt')));
}

/** "Swap the water for tea if you like.", "Bentonite, rhassoul, you name it." */
function isSaidOnly({ from, to }: TokenRange, items: readonly Item[], { tokens, words }: Context): boolean {
  const isSwap = says(tokens[from], 'swaps') && items.every(({ amount }) => amount === null || amount.weak);
  const isHearsay =
    words.roles.hearsay.isWithin(tokens, from, to) &&
    items.every(({ amount }) => amount === null || (amount.weak && amount.unit === null));
  return isSwap || isHearsay;
}

/** What somebody else takes; it is hers where she tells none of her own. */
function isOfSomebody(
  range: TokenRange,
  items: readonly Item[],
  { tokens, words }: Context,
  { isFirst, hasOwn }: Place,
): boolean {
  if (!isOfOthers(range, tokens, words)) return false;
  const isOwnLater = saysOwnLater(tokens, range.to);
  // "Grandma's version is … Mine is …"
  const isBeside = !isFirst || saysOwn(tokens, range.to) || isOwnLater;
  const isToldApart = hasOwn || !isMeasured({ items }) || isOwnLater;
  return isBeside && isToldApart;
}

export const isMeasured = ({ items }: Pick<SentenceItems, 'items'>): boolean =>
  items.some(({ amount }) => amount !== null && (amount.unit !== null || !amount.weak));

/** "The rest of the time just aloe": another treatment. */
const isOfOtherTimes = ({ from }: TokenRange, { tokens, words }: Context): boolean =>
  [from, from + 1].some((at) => words.roles.otherTimes.at(tokens, at) !== undefined);

/** "Before: 3 tbsp castor oil. Now: 1 tbsp …": what it was. */
const isOfEarlier = ({ from, to }: TokenRange, { tokens, words: { roles } }: Context): boolean =>
  says(tokens[from], 'earlier') &&
  isSign(tokens[from + 1], ':') &&
  tokens.some((token, at) => at >= to && isSign(token, ':') && roles.now.endsAt(tokens, at, NOW_WORDS));
/** The longest "now". */
const NOW_WORDS = 2;

/** "My sister uses beer. I take 2 eggs …" */
const saysOwnLater = (tokens: readonly Token[], from: number): boolean =>
  tokens.slice(from).some(
    (token, at, later) =>
      says(token, 'ownAgain') ||
      (says(token, 'i') &&
        says(later[at + 1], 'does') &&
        // "Yo hago lo mismo"
        !later.slice(at + 2, at + SAME_WITHIN).some((next) => says(next, 'alike'))),
  );

/** What is asked is not told. */
function isAsked(
  range: TokenRange,
  elements: readonly Element[],
  items: readonly Item[],
  context: Context,
): boolean {
  const { tokens, words } = context;
  // "¼ cup flour, ¼ cup yogurt, 1 tsp turmeric?" is unsure of the last and tells the others.
  const isList = items.filter(({ amount }) => amount !== null).length > 1;
  // "Equal parts baking soda and water? No.": all of it.
  const isAnsweredNo =
    items.every(({ equalPart }) => equalPart) && words.roles.answerNo.at(tokens, range.to) !== undefined;
  const own = tokens.slice(range.from, range.to);
  // "… shed less (i think??)"
  const opens = own.findLastIndex((token) => isSign(token, '('));
  const isInBrackets = opens > 0 && own.slice(opens).every((token) => !isSign(token, ')'));
  return (
    isSign(tokens[range.to - 1], '?') &&
    !isInBrackets &&
    (!isList || isAnsweredNo || says(tokens[range.from], 'asks')) &&
    !isTopic(range, items, context) &&
    !isUnsure(range, elements, context)
  );
}

/** "so what, 15 minutes?", "Okra. Ten of them?": about so long, about so many. */
const isUnsure = ({ from }: TokenRange, elements: readonly Element[], { tokens }: Context): boolean =>
  elements.some(
    (each) =>
      each.kind === 'duration' ||
      (each.kind === 'amount' && !each.amount.weak && says(tokens[each.to + 1], 'pronoun')),
  ) &&
  elements.every(({ kind }) => kind !== 'name') &&
  !says(tokens[from], 'asks');

/** "Cider vinegar? A capful.": only its name, and no answer that denies it. */
function isTopic({ from, to }: TokenRange, items: readonly Item[], { tokens, words }: Context): boolean {
  const [only] = items;
  const isBare =
    only !== undefined &&
    items.length === 1 &&
    only.name.from === from &&
    tokens.slice(only.name.to, to).every(({ kind }) => kind === 'sign');
  const denies = words.roles.not.at(tokens, to) ?? words.roles.answerNo.at(tokens, to);
  return isBare && denies === undefined;
}

/** "Minha avó lavava com água de arroz e eu faço igual: …" */
export const doesSame = (said: readonly Token[]): boolean =>
  said.some(
    (token, at) =>
      says(token, 'i') && said.slice(at + 1, at + SAME_WITHIN).some((next) => says(next, 'alike')),
  );

/** "my sister uses two": somebody, and at once what she does. */
function isOfOthers(range: TokenRange, tokens: readonly Token[], { roles, deeds }: Vocabulary): boolean {
  let start = range.from;
  // "ma" is "but" in Italian, and begins "ma mère".
  const isOpening = (at: number) => says(tokens[at], 'filler') || says(tokens[at], 'but');
  while (start < range.to && !roles.persons.at(tokens, start) && isOpening(start)) start++;
  const person = roles.persons.at(tokens, start);
  // "My cousin says: …" passes it on; "Grandma's version: …" does not.
  const isToldOn =
    person !== undefined &&
    !isSign(tokens[person.to], ':') &&
    tokens.slice(person.to, person.to + DOES_WITHIN).some((token) => isSign(token, ':'));
  return (
    person !== undefined &&
    !doesSame(tokens.slice(range.from, range.to + SAME_WITHIN)) &&
    !isToldOn &&
    // "mi hermana le echa …"; "some" and "others" may be of things.
    (person.to - start > 1 ||
      deeds.at(tokens, person.to) !== undefined ||
      tokens.slice(person.to, person.to + DOES_WITHIN).some((token) => says(token, 'does')))
  );
}

/** Words behind "I" that may say that she does the same. */
const SAME_WITHIN = 5;

/** "quem tem cabelo fino usa …" */
const DOES_WITHIN = 4;
