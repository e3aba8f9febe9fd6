import { UNITS } from '../../base/measures';
import type { Amount } from './amounts';
import type { Item } from './item';
import type { ReadSentence } from './told';

interface Said {
  readonly item: Item;
  readonly sentence: ReadSentence;
}

/** "A teaspoon of tea tree … drops! five drops" */
function isInDrops({ name, amount }: Item, later: Item): boolean {
  const isEssential = name.match.item.ingredient?.roles.includes('essential-oil') ?? false;
  return isEssential && isSpoonOrCup(amount?.unit) && later.amount?.unit === 'drop';
}
const isSpoonOrCup = (unit: Amount['unit'] | undefined): boolean =>
  !!unit && UNITS[unit].kind === 'volume' && unit !== 'drop' && unit !== 'ml';

/** "3 parts yogurt …; that's 90 ml yogurt" */
const isMeasuredNow = ({ amount }: Item, later: Item): boolean =>
  amount?.unit === 'part' && later.amount?.unit !== 'part';

const isSameAmount = ({ amount }: Item, later: Item): boolean =>
  later.amount?.unit === amount?.unit && later.amount?.quantity === amount?.quantity;

/** "No, sugar: half a teaspoon. Half a teaspoon of sugar." */
const isRepeated = ({ item, sentence }: Said, later: Said): boolean =>
  isSameAmount(item, later.item) &&
  later.sentence.row === sentence.row &&
  [sentence, later.sentence].every(({ items }) => items.length === 1);

/** "Put a spoon of milk powder in it. So half a cup of mayo, one egg, a spoon of milk powder" */
function isListed({ item, sentence }: Said, later: Said): boolean {
  return (
    isSameAmount(item, later.item) &&
    sentence.items.length === 1 &&
    later.sentence.items.length > 2 &&
    later.sentence.row === sentence.row
  );
}

/** "A teaspoon of tea tree … drops! five drops", "3 parts yogurt …; that's 90 ml yogurt": what is said anew counts so. */
export function dropToldAnew(sentences: ReadSentence[]): void {
  const said = sentences.flatMap((sentence) => sentence.items.map((item): Said => ({ item, sentence })));
  for (const [index, sentence] of sentences.entries()) {
    const older = sentence.items.filter((item) => {
      const { match, from } = item.name;
      return said.some(
        (later) =>
          later.item.name.match.item.id === match.item.id &&
          later.item.name.from > from &&
          later.item.amount?.unit &&
          (isInDrops(item, later.item) ||
            isMeasuredNow(item, later.item) ||
            isListed({ item, sentence }, later) ||
            (later.sentence === sentences[index + 1] && isRepeated({ item, sentence }, later))),
      );
    });
    if (older.length === 0) continue;
    sentences[index] = {
      ...sentence,
      items: sentence.items.filter((item) => !older.includes(item)),
      mentions: [...sentence.mentions, ...older.map(({ name }) => name)],
    };
  }
}
