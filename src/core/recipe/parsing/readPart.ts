import { t } from '@lingui/core/macro';
import { listed } from '../../base/language';
import { UNITS, type CupKind } from '../../base/measures';
import type { Ingredient, Preparation } from '../../records/shapes';
import { plainWords, singular, usualPreparation, type PhraseMatch } from '../ingredients';
import {
  MADE_GRAMS_PER_ML,
  type Assumption,
  type Larder,
  type LarderItem,
  type ReadLine,
  type UnreadLine,
} from '../larder';
import { gramsOf, problemOfGrams, type Measures } from './grams';
import { lineAmount, type LineAmount } from './lineAmount';
import { amountText, lineText, preparationNamed, tellingWord } from './lineText';
import { near } from './search';

const SUGGESTIONS = 3;

export interface ReadingOptions {
  readonly larder: Larder;
  readonly cup: CupKind;
}

export type ReadPart = Omit<ReadLine, 'text' | 'row' | 'phase'> | Omit<UnreadLine, 'text' | 'row'>;

/** Words that describe and do not name: they change nothing in what is read. */
const DESCRIBING = new Set(
  (
    'a an the of for and or in to with on from my your our very quite fresh freshly dried dry raw ripe overripe unripe pure ' +
    'organic natural plain virgin extra cold pressed unrefined refined raw warm hot cold boiling lukewarm tepid filtered ' +
    'distilled whole half large small medium big peeled chopped sliced diced mashed grated crushed ground powdered melted ' +
    'soft softened strained sieved sifted soaked boiled cooked blended beaten whisked squeezed finely roughly thick thin ' +
    'full fat low unsweetened sweetened unsalted unflavoured unflavored optional needed taste more less about each plus ' +
    'leaf piece pod seed powder flour gel juice milk water oil butter puree cream paste liquid cubed cut up into room temperature ' +
    'brand any your favourite favorite good quality homemade home made shop bought tin can jar bottle bag tea bag de da do ' +
    'das dos del la el le les du des en von der die das em pó puro pura natural fresco fresca sal used left over leftover ' +
    'medium-sized sized washed rinsed drained toasted roasted infused steeped brewed strong weak if you like have it hair ' +
    'length lengths leave rinse style greek strap long short only just enough around percent solution active food grade cosmetic usp q s ad x ml g tsp tbsp ' +
    'oz lb kg huile aceite oleo ol kaltes kaltem warmes heisses tiede tibia morna fria quente caliente froid ' +
    'packet can full bunch sachet black white green red brown yellow'
  )
    .split(' ')
    .map(singular),
);

/** Reads one thing with its amount. Never throws. */
export function readPart(plain: string, options: ReadingOptions, equalPart = false): ReadPart {
  const amount = named(lineAmount(plain));
  const names = options.larder.inText(amount.words).sort((a, b) => b.words - a.words || a.start - b.start);
  const [first, ...others] = names;
  if (first) return weighed(first, others, amount, plain, options, equalPart ? [partsTaken(amount)] : []);
  const misspelt = options.larder.misspeltIn(withoutDescribing(amount.words));
  if (misspelt) {
    const spelling: Assumption = {
      code: 'spelling',
      text: t`“${{ written: misspelt.written }}” was read as ${{ itemName: misspelt.item.name }}.`,
      alternatives: near(options.larder, misspelt.written, SUGGESTIONS + 1)
        .filter(({ id }) => id !== misspelt.item.id)
        .slice(0, 2)
        .map(({ name }) => ({ label: name, line: `${measureOf(amount)} ${name}` })),
    };
    return weighed(misspelt, [], amount, plain, options, [spelling]);
  }
  return unreadPart(
    'unknown-ingredient',
    t`Nothing of this name is in the catalogue, among your ingredients or your recipes.`,
    near(options.larder, amount.words || plain, SUGGESTIONS).map(
      ({ name }) => `${measureOf(amount)} ${name}`,
    ),
  );
}

/** Without the measures in brackets, which name nothing. */
function named(amount: LineAmount): LineAmount {
  const words = amount.words.replace(/\([^)]*\d[^)]*\)/g, ' ').trim();
  return words === '' ? amount : { ...amount, words };
}

/** Without the words that only describe: “fresh” is no misspelt “fresa”. */
function withoutDescribing(words: string): string {
  return plainWords(words)
    .filter((word) => !DESCRIBING.has(word) && !DESCRIBING.has(singular(word)))
    .join(' ');
}

function partsTaken(amount: LineAmount): Assumption {
  return {
    code: 'equal-parts',
    text: t`A part was taken as ${{ size: UNITS.part.size }} ml; the verdict is the same for any size.`,
    alternatives: [{ label: t`1 cup each`, line: `1 cup ${amount.words}` }],
  };
}

function measureOf(amount: LineAmount): string {
  return amount.quantity === null ? '1 tbsp' : amountText(amount.quantity, amount.unit);
}

export function unreadPart(
  code: string,
  message: string,
  suggestions: readonly string[] = [],
): Omit<UnreadLine, 'text' | 'row'> {
  return { status: 'unread', problem: { code, message, path: '' }, suggestions };
}

function weighed(
  match: PhraseMatch<LarderItem>,
  others: readonly PhraseMatch<LarderItem>[],
  amount: LineAmount,
  plain: string,
  options: ReadingOptions,
  assumptions: Assumption[],
): ReadPart {
  const { ingredient, recipe, name } = match.item;
  const measures: Measures = ingredient?.measures ?? { gramsPerMl: MADE_GRAMS_PER_ML };
  const unclear = unclearAmount(amount, match, measures, ingredient);
  if (unclear) return unclear;

  assumptions.push(...namesLeftOver(match, others, amount, name));
  const quantity = quantityTaken(amount, name, assumptions);
  const preparation = ingredient
    ? preparationTaken(ingredient, amount, quantity, plain, assumptions)
    : undefined;
  const spooned = { ...measures, gramsPerMl: preparation?.gramsPerMl ?? measures.gramsPerMl };
  const grams = gramsOf(quantity, amount, spooned, name, options.cup, assumptions);
  if (typeof grams === 'string') return unreadPart('no-weight', grams, [`10 g ${name}`]);
  const problem = problemOfGrams(grams, name);
  if (problem) return { status: 'unread', problem, suggestions: [] };
  return {
    status: 'read',
    name,
    ingredientId: ingredient?.id ?? null,
    made: recipe ? { recipeId: recipe.recipeId, version: recipe.version, recordId: recipe.id } : null,
    preparationId: preparation?.id ?? null,
    quantity,
    unit: amount.unit ?? 'piece',
    grams,
    assumptions,
  };
}

/** Why the amount cannot be taken, before any weight is looked for. */
function unclearAmount(
  amount: LineAmount,
  match: PhraseMatch<LarderItem>,
  measures: Measures,
  ingredient: Ingredient | undefined,
): Omit<UnreadLine, 'text' | 'row'> | undefined {
  const { name } = match.item;
  if (amount.quantity === null && !measures.pieceGrams) {
    const usual = ingredient?.roles.includes('carrier') ? ['50 ml', '100 ml'] : ['1 tbsp', '10 g'];
    return unreadPart(
      'no-amount',
      t`How much ${name}? Write an amount before it.`,
      usual.map((measure) => `${measure} ${name}`),
    );
  }
  const strange = unknownUnit(amount, match, measures, ingredient);
  return strange ? unreadPart('no-weight', strange, [`10 g ${name}`]) : undefined;
}

/** Other names in the line, and words that nobody knows: said, because they may have been meant. */
function namesLeftOver(
  match: PhraseMatch<LarderItem>,
  others: readonly PhraseMatch<LarderItem>[],
  amount: LineAmount,
  name: string,
): Assumption[] {
  const measure = measureOf(amount);
  const found: Assumption[] = [];
  const ways = match.item.ingredient?.preparations ?? [];
  const also = [...new Set(others.map(({ item }) => item.name))].filter(
    (other) => other !== name && !ways.some(({ words }) => words.includes(other)),
  );
  if (also.length > 0) {
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
        !DESCRIBING.has(word) &&
        !DESCRIBING.has(singular(word)) &&
        !ways.some(({ words }) => words.includes(word)),
    );
  if (unknown.length > 0) {
    const words = unknown.map(({ word }) => word).join(' ');
    found.push({
      code: 'unknown-words',
      text: t`Taken as ${name}; “${words}” is not known here.`,
      alternatives: [{ label: t`plain ${name}`, line: `${measure} ${name}` }],
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
): string | undefined {
  if (amount.unit !== null || amount.quantity === null || start === 0 || measures.pieceGrams)
    return undefined;
  const word = plainWords(amount.words)[0] ?? '';
  const describes =
    DESCRIBING.has(singular(word)) || ingredient?.preparations.some(({ words }) => words.includes(word));
  return describes || amount.packSize
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
