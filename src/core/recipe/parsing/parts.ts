import { UNITS } from '../../base/measures';
import { NO_MEASURE } from './amounts';
import type { Item, Nameless } from './item';
import { BOTTLE_SIZES, isShareOfWhole, makeWhole } from './lineAmount';
import { says } from './marks';
import type { Context, ReadSentence } from './told';

function countAsParts(items: readonly Item[]): void {
  for (const item of items) item.amount = { ...item.amount!, unit: 'part' };
}

const areWhole = (shares: readonly Item[]): boolean =>
  shares.length > 1 && makeWhole(shares.map(({ amount }) => amount?.quantity ?? 0));

/** An amount beside no name that says how much all parts are. */
const withTotal = (sentence: ReadSentence, whole: Nameless): ReadSentence => ({
  ...sentence,
  nameless: sentence.nameless.filter((each) => each !== whole),
  batches: [
    ...sentence.batches,
    { what: 'total', amount: whole.amount, from: whole.range.from, to: whole.range.to },
  ],
});

/** "a third aloe, a third rosewater, a third conditioner": parts, where they make a whole and none comes in pieces. */
export function takeAsParts(items: readonly Item[]): void {
  const shares = items.filter(
    ({ amount, name: { match } }) =>
      amount && isShareOfWhole(amount) && match.item.ingredient?.measures.pieceGrams === undefined,
  );
  if (!areWhole(shares)) return;
  countAsParts(shares);
}

/** "honey 1, conditioner 3": numbers of what is not counted are parts, where nothing at all has a measure. */
export function takeBareAsParts(sentences: readonly ReadSentence[]): void {
  const items = sentences.flatMap((sentence) => sentence.items);
  const measured = items.filter(({ amount }) => amount !== null && !amount.weak);
  const isBare = ({ amount, more, name: { match } }: Item): boolean =>
    amount?.unit === null &&
    amount.packSize === null &&
    amount.quantity <= MOST_PARTS &&
    more.length === 0 &&
    match.item.ingredient?.measures.pieceGrams === undefined;
  const isMeasuredElse = sentences.some(({ nameless, batches }) => nameless.length + batches.length > 0);
  if (measured.length < 2 || isMeasuredElse || !measured.every(isBare)) return;
  countAsParts(measured);
}
/** More is no part of anything that is mixed in a bowl or a bottle. */
const MOST_PARTS = 60;

/** "half banana half avocado, about 6 spoons": how much both are. */
export function giveWhole(sentences: ReadSentence[]): void {
  for (const [index, sentence] of sentences.entries()) {
    const { items, nameless, batches } = sentence;
    const shares = items.filter(({ amount }) => amount && isShareOfWhole(amount));
    const last = shares.at(-1)?.name.to ?? 0;
    const whole = nameless.find(
      ({ amount: { from, unit }, isBare }) =>
        isBare && from >= last && unit !== null && UNITS[unit].kind === 'volume',
    );
    if (!whole || !areWhole(shares) || batches.length > 0) continue;
    countAsParts(shares);
    sentences[index] = withTotal(sentence, whole);
  }
}

/** "Vinegar rinse! 1:4 with water.": the first part is of the one thing before. */
export function giveRatio(sentences: ReadSentence[]): void {
  for (const [index, sentence] of sentences.entries()) {
    const before = sentences[index - 1];
    const [first, ...more] = before?.items ?? [];
    const [second, ...others] = sentence.items;
    const ratio = sentence.elements.find(({ kind }) => kind === 'ratio');
    const isOpen = first?.amount === null && second?.amount === null && more.length + others.length === 0;
    if (!before || !isOpen || ratio?.kind !== 'ratio' || ratio.parts.length !== 2) continue;
    const { from, to } = ratio;
    if (second.name.from < to) continue;
    const [one, other] = [first, second].map((item, nth): Item => ({
      ...item,
      amount: { ...NO_MEASURE, from, to, quantity: ratio.parts[nth]!, unit: 'part' },
      shared: true,
      equalPart: true,
    }));
    sentences[index - 1] = { ...before, items: [one!] };
    sentences[index] = { ...sentence, items: [other!] };
  }
}

/** "A third aloe, two thirds water. 250 ml bottle.": how much all parts are. */
export function fillBottle(sentences: ReadSentence[], { tokens }: Context): void {
  const hasParts = sentences.some(({ items }) => items.some(({ amount }) => amount?.unit === 'part'));
  const isTold = sentences.some(({ batches }) => batches.length > 0);
  if (!hasParts || isTold) return;
  for (const [index, sentence] of sentences.entries()) {
    const bottle = sentence.nameless.find(
      ({ amount: { unit }, range }) =>
        unit !== null &&
        BOTTLE_SIZES.has(unit) &&
        tokens.slice(range.from, range.to).some((token) => says(token, 'vessel')),
    );
    if (!bottle) continue;
    sentences[index] = withTotal(sentence, bottle);
    return;
  }
}
