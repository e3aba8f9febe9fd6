import {
  namesInText,
  nearestIngredients,
  plainWords,
  usualPreparation,
  type Ingredient,
  type PhraseMatch,
} from '../ingredients';
import { failed, ok, rounded, UNITS, type Problem, type Result, type UnitId } from '../measures';
import { RECIPE_LIMITS } from './limits';
import { lineAmount, rewritten, type LineAmount } from './lineAmount';
import type { Assumption, ParsedLine, ParsedRecipe, ReadLine, UnreadLine } from './parsedLine';

/** Heaped spoons hold about a third more (working assumption). */
const HEAPED_FACTOR = 1.3;
const SUGGESTIONS = 3;

/** First words of an instruction line. */
const INSTRUCTION =
  /^(?:add|apply|blend|boil|bring|combine|cook|cool|cover|heat|keep|leave|let|massage|melt|mix|pour|put|rinse|simmer|soak|stir|store|strain|use|wash|whisk|whip)\b/i;

/**
 * Reads a recipe, one ingredient to a line. No line is ever lost: each comes back as read, as a note, or as not
 * understood with the reason. Blank lines are left out.
 * @returns a problem only when the text as a whole cannot be a recipe: empty, or beyond the limits
 */
export function parseRecipe(text: string): Result<ParsedRecipe> {
  const rows = text.split(/\r\n|\r|\n/).filter((row) => row.trim() !== '');
  if (rows.length === 0) {
    return failed(
      'empty',
      'There is no recipe yet: write one ingredient to a line, for example "2 tbsp honey".',
    );
  }
  if (rows.length > RECIPE_LIMITS.lines || text.length > RECIPE_LIMITS.characters) {
    return failed(
      'too-long',
      `This text has ${rows.length.toLocaleString('en')} lines and ${text.length.toLocaleString('en')} characters; ` +
        `one recipe may have ${RECIPE_LIMITS.lines} lines and ${RECIPE_LIMITS.characters.toLocaleString('en')} characters. ` +
        'Paste one recipe at a time.',
    );
  }
  return ok({ lines: withShares(rows.map((row) => parseLine(row.trim()))) });
}

function unread(
  text: string,
  code: string,
  message: string,
  suggestions: readonly string[] = [],
): UnreadLine {
  return { status: 'unread', text, problem: { code, message, path: '' }, suggestions };
}

function parseLine(text: string): ParsedLine {
  if (text.length > RECIPE_LIMITS.lineCharacters) {
    return unread(
      text,
      'line-too-long',
      `One line may have ${RECIPE_LIMITS.lineCharacters} characters; break it up.`,
    );
  }
  const plain = rewritten(text);
  if (plain === '')
    return unread(text, 'no-words', 'There are no words in this line that name an ingredient.');
  const badNumber = problemOfNumber(plain);
  if (badNumber) return { status: 'unread', text, problem: badNumber, suggestions: [] };

  const amount = lineAmount(plain);
  const names = namesInText(amount.words);
  if (isNote(plain, amount, names.length)) return { status: 'note', text };

  const [first, ...others] = [...names].sort((a, b) => b.words - a.words || a.start - b.start);
  if (!first) {
    return unread(
      text,
      'unknown-ingredient',
      'No ingredient of this name is in the catalogue.',
      suggestedLines(amount, plain),
    );
  }
  const also = others.map((match) => match.ingredient.name).filter((name) => name !== first.ingredient.name);
  const assumptions: Assumption[] = also.length
    ? [{ code: 'also-names', text: `Read as ${first.ingredient.name}; ${also.join(' and ')} not counted.` }]
    : [];
  return weighed(text, first, amount, plain, assumptions);
}

/** What is wrong with the number itself, before any word is looked at. */
function problemOfNumber(plain: string): Problem | undefined {
  if (/^[-−]\s*\d/.test(plain)) {
    return {
      code: 'negative-amount',
      message: 'An amount cannot be negative: take the minus sign away.',
      path: '',
    };
  }
  if (/\d\s*[/⁄]\s*0+(?![\d.])/.test(plain)) {
    return { code: 'bad-fraction', message: 'A fraction cannot have 0 below the line.', path: '' };
  }
  return undefined;
}

function isNote(plain: string, amount: LineAmount, names: number): boolean {
  if (amount.isHeading) return true;
  const words = plainWords(plain).length;
  const leadsWithAmount = /^[\d¼½¾⅓⅔⅛.]/.test(plain);
  if (leadsWithAmount || !INSTRUCTION.test(plain)) return false;
  return names === 0 || words > 6 || amount.unit === null;
}

function suggestedLines(amount: LineAmount, plain: string): string[] {
  const measure = amount.quantity === null ? '1 tbsp' : amountText(amount.quantity, amount.unit);
  return nearestIngredients(amount.words || plain, SUGGESTIONS).map(
    (ingredient) => `${measure} ${ingredient.name}`,
  );
}

export function amountText(quantity: number, unit: UnitId | null): string {
  const number = String(rounded(quantity, 2));
  return unit === null || unit === 'piece' ? number : unit === '%' ? `${number}%` : `${number} ${unit}`;
}

function weighed(
  text: string,
  first: PhraseMatch,
  amount: LineAmount,
  plain: string,
  assumptions: Assumption[],
): ParsedLine {
  const { ingredient } = first;
  if (amount.quantity === null && !ingredient.measures.pieceGrams) {
    return unread(text, 'no-amount', `How much ${ingredient.name}? Write an amount before it.`, [
      `1 tbsp ${ingredient.name}`,
      `10 g ${ingredient.name}`,
    ]);
  }
  if (amount.quantity === null) {
    assumptions.push({ code: 'one-piece', text: `No amount written: taken as one ${ingredient.name}.` });
  }
  if (amount.quantityTo !== null) {
    assumptions.push({ code: 'range', text: 'A range: the middle was taken.' });
  }
  const low = amount.quantity ?? 1;
  const quantity = amount.quantityTo === null ? low : (low + amount.quantityTo) / 2;
  const grams = unknownUnit(amount, first) ?? gramsOf(quantity, amount, ingredient, assumptions);
  if (typeof grams === 'string') return unread(text, 'no-weight', grams, [`10 g ${ingredient.name}`]);
  const problem = problemOfGrams(grams, ingredient);
  if (problem) return { status: 'unread', text, problem, suggestions: [] };

  const preparation = preparationIn(plain, ingredient);
  if (preparation?.assumed) {
    assumptions.push({ code: 'usual-preparation', text: `Taken as ${preparation.label}.` });
  }
  return {
    status: 'read',
    text,
    ingredientId: ingredient.id,
    preparationId: preparation?.id ?? null,
    quantity,
    unit: amount.unit ?? 'piece',
    grams,
    assumptions,
  };
}

/** The message for a word that stands where a unit should: "5 florps honey". */
function unknownUnit(amount: LineAmount, { ingredient, start }: PhraseMatch): string | undefined {
  if (amount.unit !== null || amount.quantity === null || start === 0 || ingredient.measures.pieceGrams)
    return undefined;
  const word = plainWords(amount.words)[0];
  const describes = ingredient.preparations.some((preparation) => preparation.words.includes(word ?? ''));
  return describes || amount.packSize
    ? undefined
    : `“${word}” is not a unit known here: write spoons, cups, millilitres or grams.`;
}

/** Grams, or the message why the amount cannot be weighed. A share of the batch is left as it is for withShares. */
function gramsOf(
  quantity: number,
  amount: LineAmount,
  ingredient: Ingredient,
  assumptions: Assumption[],
): number | string {
  const { measures, name } = ingredient;
  const unit = UNITS[amount.unit ?? 'piece'];
  const heaped = amount.heaped ? HEAPED_FACTOR : 1;
  if (amount.heaped) assumptions.push({ code: 'heaped', text: 'Heaped: a third more than level.' });
  if (unit.kind === 'mass' || unit.kind === 'share') return quantity * unit.size;
  if (unit.kind === 'volume') return quantity * unit.size * measures.gramsPerMl * heaped;
  if (amount.packSize) {
    const pack = UNITS[amount.packSize.unit];
    const grams = amount.packSize.quantity * pack.size * (pack.kind === 'volume' ? measures.gramsPerMl : 1);
    assumptions.push({
      code: 'pack-size',
      text: `The size in the line was taken: ${rounded(grams, 1)} g each.`,
    });
    return quantity * grams;
  }
  if (unit.id === 'packet') {
    return measures.packetGrams
      ? quantity * measures.packetGrams
      : `Packets of ${name} differ: write the grams, for example "1 packet ${name} (20 g)".`;
  }
  if (unit.id === 'leaf' && measures.leafGrams) return quantity * measures.leafGrams;
  if (!measures.pieceGrams) return `${name} is not counted in pieces: write spoons, millilitres or grams.`;
  if (!amount.size) {
    assumptions.push({ code: 'medium-size', text: `A medium one: ${measures.pieceGrams.medium} g.` });
  }
  return quantity * measures.pieceGrams[amount.size ?? 'medium'];
}

function problemOfGrams(grams: number, ingredient: Ingredient): Problem | undefined {
  if (grams < RECIPE_LIMITS.leastGrams) {
    return {
      code: 'zero-amount',
      message: `There is no ${ingredient.name} in this amount; write more than 0.`,
      path: '',
    };
  }
  if (!(grams <= RECIPE_LIMITS.gramsPerLine)) {
    const most = RECIPE_LIMITS.gramsPerLine / 1000;
    return {
      code: 'absurd-amount',
      message: `More than ${most} kg in one line cannot be right; check the number.`,
      path: '',
    };
  }
  return undefined;
}

function preparationIn(
  plain: string,
  ingredient: Ingredient,
): { id: string; label: string; assumed: boolean } | undefined {
  const words = new Set(plainWords(plain));
  const named = ingredient.preparations
    .map((preparation) => ({ preparation, hits: preparation.words.filter((word) => words.has(word)).length }))
    .filter(({ hits }) => hits > 0)
    .sort((a, b) => b.hits - a.hits);
  // The usual way wins a tie: "soaked" alone does not tell whether the pulp stays in.
  const best = named.filter(({ hits }) => hits === named[0]?.hits);
  const chosen = (best.find(({ preparation }) => preparation.usual) ?? best[0])?.preparation;
  if (chosen) return { id: chosen.id, label: chosen.label, assumed: false };
  const usual = usualPreparation(ingredient);
  return usual && { id: usual.id, label: usual.label, assumed: true };
}

/** Grams of a batch made of percents alone. */
const PERCENT_BATCH_GRAMS = 100;

/**
 * Turns percent of the batch into grams. With percents alone the batch is 100 g; beside weighed lines, the weighed
 * lines are what the percents leave over.
 */
function withShares(lines: readonly ParsedLine[]): ParsedLine[] {
  const isShare = (line: ParsedLine): line is ReadLine => line.status === 'read' && line.unit === '%';
  const shares = lines.filter(isShare).reduce((total, line) => total + line.quantity, 0);
  if (shares === 0) return [...lines];
  const weighedGrams = lines.reduce(
    (total, line) => total + (line.status === 'read' && line.unit !== '%' ? line.grams : 0),
    0,
  );
  const fits = weighedGrams > 0 ? shares < 100 : shares <= 100.5;
  const batch = weighedGrams > 0 ? weighedGrams / (1 - shares / 100) : PERCENT_BATCH_GRAMS;
  return lines.map((line) => {
    if (!isShare(line)) return line;
    return fits
      ? { ...line, grams: (line.quantity / 100) * batch }
      : unread(
          line.text,
          'over-100-percent',
          `The percents add to ${rounded(shares, 1)}; they must leave room up to 100.`,
        );
  });
}
