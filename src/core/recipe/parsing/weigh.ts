import { t } from '@lingui/core/macro';
import { listed } from '../../base/language';
import { rounded, UNITS } from '../../base/measures';
import type { Ingredient, Preparation } from '../../records/shapes';
import { plainWords, usualPreparation, type PhraseMatch } from '../ingredients';
import { MADE_GRAMS_PER_ML, type Assumption, type Larder, type ReadLine, type UnreadLine } from '../larder';
import { gramsOf, problemOfGrams, type KitchenMeasures, type Measures } from './grams';
import type { LarderItem, NameLexicon } from './lexicon';
import { NO_AMOUNT, type LineAmount } from './lineAmount';
import { amountText, lineText, preparationNamed, tellingWord } from './lineText';
import { usualUse } from './usualUse';
import { describes } from './vocabulary';

export interface ReadingOptions {
  readonly larder: Larder;
  /** What its things are called. */
  readonly lexicon: NameLexicon;
  readonly kitchen: KitchenMeasures;
  /** Mass of the hair that it is for, g; of middling hair where nothing is known. */
  readonly hairGrams: number;
  /** Words that describe and do not name, in the languages of the text. */
  readonly describing: ReadonlySet<string>;
}

export type UnreadPart = Omit<UnreadLine, 'text' | 'row' | 'at'>;
export type ReadPart = Omit<ReadLine, 'text' | 'row' | 'at' | 'phase'> | UnreadPart;

/** What is said of one thing, and what it names. */
export interface Said {
  readonly match: PhraseMatch<LarderItem>;
  /** Names beside it that nothing is said of. */
  readonly others: readonly PhraseMatch<LarderItem>[];
  /** May be taken in its place. */
  readonly instead: readonly LarderItem[];
  readonly amount: LineAmount;
  /** All words that say something of its state. */
  readonly plain: string;
  readonly equalPart: boolean;
  readonly optional: boolean;
  /** As it was written, where that is not its name. */
  readonly spelling: { readonly written: string; readonly near: readonly LarderItem[] } | null;
}

/** So much of one thing, of which nothing else is said. */
export const onlySaid = (item: LarderItem, amount: LineAmount): Said => ({
  match: { item, words: 1, start: 0 },
  others: [],
  instead: [],
  amount: { ...amount, words: item.name },
  plain: '',
  equalPart: false,
  optional: false,
  spelling: null,
});

/** Gives one thing its weight, with all that had to be assumed. Never throws. */
export function weigh(said: Said, options: ReadingOptions): ReadPart {
  const { match, others, instead, amount, plain } = said;
  const { name } = match.item;
  const assumptions: Assumption[] = said.equalPart ? [partsTaken(amount)] : [];
  if (said.spelling) {
    const { written, near: candidates } = said.spelling;
    assumptions.push({
      code: 'spelling',
      text: t`“${written}” was read as ${{ itemName: name }}.`,
      alternatives: candidates.map((other) => ({
        label: other.name,
        line: `${measureOf(amount)} ${other.name}`,
      })),
    });
  }
  if (instead.length > 0)
    assumptions.push({
      code: 'instead',
      text: t`Taken as ${name}; or ${{ instead: listed(instead.map((item) => item.name)) }}.`,
      alternatives: instead.map((item) => ({ label: item.name, line: `${measureOf(amount)} ${item.name}` })),
    });
  if (said.optional)
    assumptions.push({ code: 'optional', text: t`Said to be optional; counted.`, alternatives: [] });
  return weighed(match, others, amount, plain, options, assumptions);
}

/** How much more or less a guess may be. */
const GUESS_SPREAD = { least: 0.25, little: 0.5, much: 2, most: 4 } as const;

/** "a glug" or nothing at all: the usual amount, with less and more beside it. */
function guessed(item: LarderItem, options: ReadingOptions, assumptions: Assumption[]): LineAmount {
  const { quantity, unit } = usualUse(item, options.hairGrams);
  const said = (share: number) => amountText(rounded(quantity * share, 2), unit);
  assumptions.push({
    code: 'guess',
    text: t`No amount said: taken as ${{ amount: said(1) }}, as is usual for one use.`,
    alternatives: [
      {
        label: t`a little, ${{ amount: said(GUESS_SPREAD.little) }}`,
        line: `${said(GUESS_SPREAD.little)} ${item.name}`,
      },
      {
        label: t`much, ${{ amount: said(GUESS_SPREAD.much) }}`,
        line: `${said(GUESS_SPREAD.much)} ${item.name}`,
      },
    ],
    between: {
      least: quantity * GUESS_SPREAD.least,
      usual: quantity,
      most: quantity * GUESS_SPREAD.most,
      unit,
    },
  });
  return { ...NO_AMOUNT, quantity, unit, words: item.name };
}

function partsTaken(amount: LineAmount): Assumption {
  return {
    code: 'equal-parts',
    text: t`A part was taken as ${{ size: UNITS.part.size }} ml; the verdict is the same for any size.`,
    alternatives: [{ label: t`1 cup each`, line: `1 cup ${amount.words}` }],
  };
}

/** As it was said, for another name; a spoon where nothing was. */
export function measureOf(amount: LineAmount): string {
  return amount.quantity === null ? '1 tbsp' : amountText(amount.quantity, amount.unit);
}

export function unreadPart(
  code: string,
  message: string,
  { suggestions = [], grams = null }: Partial<Pick<UnreadPart, 'suggestions' | 'grams'>> = {},
): UnreadPart {
  return { status: 'unread', problem: { code, message, path: '' }, suggestions, grams };
}

function weighed(
  match: PhraseMatch<LarderItem>,
  others: readonly PhraseMatch<LarderItem>[],
  given: LineAmount,
  plain: string,
  options: ReadingOptions,
  assumptions: Assumption[],
): ReadPart {
  const { ingredient, name } = match.item;
  const measures: Measures = ingredient?.measures ?? { gramsPerMl: MADE_GRAMS_PER_ML };
  const amount =
    given.quantity === null && !measures.pieceGrams ? guessed(match.item, options, assumptions) : given;
  const strange = unknownUnit(amount, match, measures, ingredient, options);
  if (strange) return unreadPart('no-weight', strange, { suggestions: [`10 g ${name}`] });

  assumptions.push(...namesLeftOver(match, others, given, name, options));
  const quantity = quantityTaken(amount, name, assumptions);
  const preparation = ingredient
    ? preparationTaken(ingredient, amount, quantity, plain, assumptions)
    : undefined;
  const spooned = { ...measures, gramsPerMl: preparation?.gramsPerMl ?? measures.gramsPerMl };
  const grams = gramsOf(quantity, amount, spooned, name, options.kitchen, assumptions);
  if (typeof grams === 'string') return unreadPart('no-weight', grams, { suggestions: [`10 g ${name}`] });
  const problem = problemOfGrams(grams, name);
  if (problem) return unreadPart(problem.code, problem.message);
  return {
    status: 'read',
    ...namedIn(match.item),
    preparationId: preparation ? preparation.id : null,
    quantity,
    unit: amount.unit ?? 'piece',
    grams,
    assumptions,
  };
}

function namedIn({ name, ingredient, recipe }: LarderItem): Pick<ReadLine, 'name' | 'ingredientId' | 'made'> {
  const made = recipe ? { recipeId: recipe.recipeId, version: recipe.version, recordId: recipe.id } : null;
  return { name, ingredientId: ingredient ? ingredient.id : null, made };
}

/** Other names in the line, and words that nobody knows: said, because they may have been meant. */
function namesLeftOver(
  match: PhraseMatch<LarderItem>,
  others: readonly PhraseMatch<LarderItem>[],
  amount: LineAmount,
  name: string,
  options: ReadingOptions,
): Assumption[] {
  const found: Assumption[] = [];
  const ways = match.item.ingredient?.preparations ?? [];
  const also = [...new Set(others.map(({ item }) => item.name))].filter(
    (other) => other !== name && !ways.some(({ words }) => words.includes(other)),
  );
  if (also.length > 0) {
    const measure = measureOf(amount);
    found.push({
      code: 'also-names',
      text: t`Read as ${name}; ${{ also: listed(also) }} not counted.`,
      alternatives: [
        ...also.map((other) => ({ label: other, line: `${measure} ${other}` })),
        {
          label: t`both, ${measure} each`,
          line: [name, ...also].map((each) => `${measure} ${each}`).join('\n'),
        },
      ],
    });
  }
  const taken = new Set(
    [match, ...others].flatMap(({ start, words }) =>
      Array.from({ length: words }, (_, index) => start + index),
    ),
  );
  const unknown = plainWords(amount.words)
    .map((word, index) => ({ word, index }))
    .filter(
      ({ word, index }) =>
        index < match.start &&
        !taken.has(index) &&
        !/^\d+$/.test(word) &&
        !describes(options, word) &&
        !ways.some(({ words }) => words.includes(word)),
    );
  if (unknown.length > 0) {
    const words = unknown.map(({ word }) => word).join(' ');
    found.push({
      code: 'unknown-words',
      text: t`Taken as ${name}; “${words}” is not known here.`,
      alternatives: [{ label: t`plain ${name}`, line: `${measureOf(amount)} ${name}` }],
    });
  }
  return found;
}

function quantityTaken(amount: LineAmount, name: string, assumptions: Assumption[]): number {
  const wording = (quantity: number) => lineText({ ...amount, quantity, name });
  if (amount.quantity === null) {
    assumptions.push({
      code: 'one-piece',
      text: t`No amount written: taken as one ${name}.`,
      alternatives: [0.5, 2].map((quantity) => ({ label: String(quantity), line: wording(quantity) })),
    });
    return 1;
  }
  if (amount.quantityTo === null) return amount.quantity;
  const middle = (amount.quantity + amount.quantityTo) / 2;
  assumptions.push({
    code: 'range',
    text: t`A range: the middle was taken, ${{ amount: amountText(middle, amount.unit) }}.`,
    alternatives: [amount.quantity, amount.quantityTo].map((quantity) => ({
      label: amountText(quantity, amount.unit),
      line: wording(quantity),
    })),
  });
  return middle;
}

/** The message for a word that stands where a unit should: "5 florps honey". */
function unknownUnit(
  amount: LineAmount,
  { start }: PhraseMatch<LarderItem>,
  measures: Measures,
  ingredient: Ingredient | undefined,
  options: ReadingOptions,
): string | undefined {
  if (amount.unit !== null || amount.quantity === null || start === 0 || measures.pieceGrams)
    return undefined;
  const word = plainWords(amount.words)[0] ?? '';
  const isState =
    describes(options, word) || ingredient?.preparations.some(({ words }) => words.includes(word));
  return isState || amount.packSize
    ? undefined
    : t`“${word}” is not a unit known here: write spoons, cups, millilitres or grams.`;
}

/** The preparation that the words name, or the usual one, which is said with the others to choose from. */
function preparationTaken(
  ingredient: Ingredient,
  amount: LineAmount,
  quantity: number,
  plain: string,
  assumptions: Assumption[],
): Preparation | undefined {
  const unit = amount.unit && UNITS[amount.unit];
  const said = preparationNamed(plain, ingredient, unit?.kind === 'volume' ? quantity * unit.size : 0);
  const usual = said ?? usualPreparation(ingredient);
  if (said || !usual) return said;
  const others = ingredient.preparations.filter((way) => way.id !== usual.id && tellingWord(ingredient, way));
  assumptions.push({
    code: 'usual-preparation',
    text: t`Taken as ${{ usual: usual.label }}.`,
    alternatives: others.map((way) => ({
      label: way.label,
      line: lineText({
        quantity,
        unit: amount.unit,
        size: amount.size,
        name: ingredient.name,
        preparation: { of: ingredient, way },
      }),
    })),
  });
  return usual;
}
