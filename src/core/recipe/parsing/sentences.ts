import { t } from '@lingui/core/macro';
import type { Problem } from '../../base/measures';
import { RECIPE_LIMITS, type Deed } from '../../records/shapes';
import type { Stretch } from '../larder';
import { settleAcross } from './across';
import { elementsOf, namesIn, type Element, type Names } from './elements';
import { withGroups } from './groups';
import type { Item, SentenceItems, TokenRange } from './item';
import { itemsOf } from './items';
import { says } from './marks';
import { refinedNames } from './refinedNames';
import { headingOf, rowsOf, saysOwn, sentencesOf, startOfRow, type Heading, type Row } from './rows';
import { withSharedNouns, withUnsaidOil } from './sharedNouns';
import { stepsOf, type StepAt } from './steps';
import { isNumber, isSign, type Token } from './tokens';
import type { Context, ReadRow, ReadSentence, Told } from './told';
import type { Vocabulary } from './vocabulary';
import { unreadPart } from './weigh';

export const stretchOf = (tokens: readonly Token[], { from, to }: TokenRange): Stretch => ({
  start: tokens[from]?.start ?? 0,
  end: tokens[to - 1]?.end ?? 0,
});

/** The words of some tokens, as they were written. */
export function textOf({ text, tokens }: Context, range: TokenRange): string {
  const { start, end } = stretchOf(tokens, range);
  return text.slice(start, end);
}

/** Headings, sentences, and what each names: everything that can be read row by row. */
export function readSentences(context: Context): Told {
  const { tokens, lexicon } = context;
  const names = refinedNames(namesIn(tokens, lexicon), tokens, lexicon, context.words);
  const rows: ReadRow[] = [];
  const sentences: ReadSentence[] = [];
  const place = { phase: null as string | null, isMethod: false };
  const ofOils = isOfOils(context);
  for (const row of rowsOf(tokens)) {
    const heading = headingOf(tokens, row, context.text, context.words, (from, to) =>
      [...names.keys()].some((at) => at >= from && at < to),
    );
    if (heading) moveOn(place, heading);
    const from = heading ? heading.rest : startOfRow(tokens, row);
    const problem = problemOfRow(row, context);
    rows.push({ row, from, problem });
    if (from < row.to && !problem)
      sentences.push(...readRow(row, from, { ...place, names, context, ofOils, told: sentences }));
  }
  settleAcross(sentences, context);
  const byRow = new Map<Row, ReadSentence[]>();
  for (const sentence of sentences) {
    const own = byRow.get(sentence.row);
    if (own) own.push(sentence);
    else byRow.set(sentence.row, [sentence]);
  }
  return { names, rows, sentences, inRow: (row) => byRow.get(row) ?? [] };
}

/** "Hot oil: …", "Sunday oils": what a telling begins with. */
function isOfOils({ tokens, words }: Context): boolean {
  if (tokens.slice(0, OILS_WITHIN).some((token) => says(token, 'oiling'))) return true;
  const end = tokens.findIndex(
    ({ kind, word }) => kind === 'break' || (kind === 'sign' && /^[:.–—]$/.test(word)),
  );
  return (
    end > 1 &&
    end <= OILS_WITHIN &&
    tokens
      .slice(0, end)
      .some((token, at) => words.roles.bareOil.at(tokens, at) !== undefined || says(token, 'oils'))
  );
}
const OILS_WITHIN = 8;

function moveOn(place: { phase: string | null; isMethod: boolean }, { what, phase }: Heading): void {
  if (what === 'phase') place.phase = phase ?? null;
  place.isMethod = what === 'method' || (place.isMethod && what === 'noise');
}

interface RowPlace {
  readonly phase: string | null;
  readonly isMethod: boolean;
  readonly names: Names;
  readonly context: Context;
  /** Under a title of oils. */
  readonly ofOils: boolean;
  /** The sentences before the row. */
  readonly told: readonly ReadSentence[];
}

function readRow(
  row: Row,
  from: number,
  { phase, isMethod, names, context, ofOils, told }: RowPlace,
): ReadSentence[] {
  const { tokens, words, lexicon } = context;
  const before = told.at(-1);
  const isNext = before !== undefined && before.row.index === row.index - 1;
  let hasOwn = told.some(isMeasured);
  let deed: Deed | null = isNext ? lastDeed(before.steps) : null;
  return sentencesOf(tokens, from, row.to, words).map((range) => {
    const shared = withSharedNouns(
      elementsOf(tokens, range.from, range.to, names, words),
      tokens,
      lexicon,
      words,
    );
    const grouped = withGroups(shared, { tokens, lexicon, words });
    const elements = withUnsaidOil(grouped, tokens, lexicon, ofOils);
    const steps = stepsOf(elements, tokens, words, isMethod ? deed : null);
    deed = lastDeed(steps) ?? deed;
    const found = itemsOf(elements, tokens, words);
    const isFirst = before === undefined && range.from === from;
    const own = isAside(range, elements, found, context, { isFirst, hasOwn })
      ? onlyMentioned(found)
      : { ...found, steps };
    hasOwn ||= isMeasured(own);
    return { ...range, row, elements, phase, isMethod, ...own };
  });
}

/** A question asks, it does not tell; and what others do, told behind her own, is not in the bowl. */
function isAside(
  range: TokenRange,
  elements: readonly Element[],
  { items }: SentenceItems,
  context: Context,
  { isFirst, hasOwn }: { readonly isFirst: boolean; readonly hasOwn: boolean },
): boolean {
  const { tokens, words } = context;
  const isQuestion = isAsked(range, elements, items, context);
  // "Grandma's version is … Mine is …"
  const isMineBehind = isFirst && (saysOwn(tokens, range.to) || saysOwnLater(tokens, range.to));
  // "If it dries crunchy I do the oat one": another time.
  const isElse =
    says(tokens[range.from], 'ifElse') &&
    says(tokens[range.from + 1], 'itsState') &&
    items.every(({ amount }) => amount === null);
  // "Swap the water for tea if you like.": what else could be taken.
  const isSwap =
    says(tokens[range.from], 'swaps') && items.every(({ amount }) => amount === null || amount.weak);
  // "Bentonite, rhassoul, you name it."
  const isHearsay =
    words.roles.hearsay.isWithin(tokens, range.from, range.to) &&
    items.every(({ amount }) => amount === null || (amount.weak && amount.unit === null));
  // "The lengths get plain conditioner meanwhile."
  const isBeside =
    hasOwn &&
    items.every(({ amount }) => amount === null) &&
    tokens.slice(range.from, range.to).some((token) => says(token, 'besideIt'));
  return (
    isQuestion ||
    isBeside ||
    (hasOwn && isOfOtherTimes(range, context)) ||
    isElse ||
    isSwap ||
    isHearsay ||
    ((!isFirst || isMineBehind) &&
      // What somebody else takes is hers where she tells none of her own.
      (hasOwn || !isMeasured({ items }) || saysOwnLater(tokens, range.to)) &&
      isOfOthers(range, tokens, words))
  );
}

const isMeasured = ({ items }: Pick<SentenceItems, 'items'>): boolean =>
  items.some(({ amount }) => amount !== null && (amount.unit !== null || !amount.weak));

/** "The rest of the time just aloe": another treatment. */
const isOfOtherTimes = ({ from }: TokenRange, { tokens, words }: Context): boolean =>
  [from, from + 1].some((at) => words.roles.otherTimes.at(tokens, at) !== undefined);

/** "My sister uses beer. I take 2 eggs …" */
const saysOwnLater = (tokens: readonly Token[], from: number): boolean =>
  tokens
    .slice(from)
    .some((token, at, later) => says(token, 'ownAgain') || (says(token, 'i') && says(later[at + 1], 'does')));

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
    !isUnsureTime(range, elements, context)
  );
}

/** "so what, 15 minutes?": about as long. */
const isUnsureTime = ({ from }: TokenRange, elements: readonly Element[], { tokens }: Context): boolean =>
  elements.some(({ kind }) => kind === 'duration') &&
  elements.every(({ kind }) => kind !== 'name') &&
  !says(tokens[from], 'asks');

/** "Cider vinegar? A capful.": only its name, and no answer that denies it. */
function isTopic({ from, to }: TokenRange, items: readonly Item[], { tokens, words }: Context): boolean {
  const [only] = items;
  const isBare =
    items.length === 1 && only !== undefined && only.name.from === from && only.name.to >= to - 1;
  const denies = words.roles.not.at(tokens, to) ?? words.roles.answerNo.at(tokens, to);
  return isBare && denies === undefined;
}

/** "my sister uses two": somebody, and at once what she does. */
function isOfOthers(range: TokenRange, tokens: readonly Token[], { roles, deeds }: Vocabulary): boolean {
  let start = range.from;
  // "ma" is "but" in Italian, and begins "ma mère".
  const isOpening = (at: number) => says(tokens[at], 'filler') || says(tokens[at], 'but');
  while (start < range.to && !roles.persons.at(tokens, start) && isOpening(start)) start++;
  const person = roles.persons.at(tokens, start);
  // "Minha avó lavava com água de arroz e eu faço igual: …"
  const isSame = tokens
    .slice(range.from, range.to)
    .some(
      (token, at, own) =>
        says(token, 'i') && own.slice(at + 1, at + SAME_WITHIN).some((next) => says(next, 'alike')),
    );
  // "My cousin says: …" passes it on; "Grandma's version: …" does not.
  const isToldOn =
    person !== undefined &&
    !isSign(tokens[person.to], ':') &&
    tokens.slice(person.to, person.to + DOES_WITHIN).some((token) => isSign(token, ':'));
  return (
    person !== undefined &&
    !isSame &&
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

const lastDeed = (steps: readonly StepAt[]): Deed | null => steps.at(-1)?.deeds[0] ?? null;

const onlyMentioned = ({ items, mentions }: SentenceItems) => ({
  items: [],
  nameless: [],
  whole: null,
  batches: [],
  denied: [],
  mentions: [...mentions, ...items.map(({ name }) => name)],
  steps: [],
});

/** What is wrong with the numbers of a row, before any word is looked at. */
function problemOfRow(row: Row, context: Context): Problem | null {
  const { tokens } = context;
  const start = startOfRow(tokens, row);
  if (isSign(tokens[start], '-', '−') && isNumber(tokens[start + 1]))
    return {
      code: 'negative-amount',
      message: t`An amount cannot be negative: take the minus sign away.`,
      path: '',
    };
  const own = tokens.slice(start, row.to);
  const hasZero = own.some(
    (token, at) => isNumber(token) && isSign(own[at + 1], '/', '⁄') && own[at + 2]?.value === 0,
  );
  if (hasZero)
    return { code: 'bad-fraction', message: t`A fraction cannot have 0 below the line.`, path: '' };
  const told = textOf(context, row);
  // A row without blanks is no telling.
  if (told.length <= RECIPE_LIMITS.lineCharacters || /\s/.test(told)) return null;
  return unreadPart(
    'line-too-long',
    t`One line may have ${{ lineCharacters: RECIPE_LIMITS.lineCharacters }} characters; break it up.`,
  ).problem;
}

/** Whether a row says one thing and nothing else, as in a list. */
export function isAloneInRow(inRow: readonly ReadSentence[]): boolean {
  const things = inRow.reduce((count, { items, nameless }) => count + items.length + nameless.length, 0);
  return things === 1 && (inRow.length === 1 || inRow.every(({ steps }) => steps.length === 0));
}
