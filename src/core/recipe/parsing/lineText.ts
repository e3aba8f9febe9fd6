import { rounded, sum, UNITS, unitWord, type UnitId } from '../../base/measures';
import type { Ingredient, Preparation } from '../../records/shapes';
import { wordsOfStates } from './states';

/** "2 tbsp", "1 1/2", "30%": an amount as a line begins with it. */
export function amountText(quantity: number, unit: UnitId | null): string {
  const number = String(rounded(quantity, 3));
  if (unit === null || unit === 'piece') return number;
  if (unit === '%') return `${number}%`;
  return `${number} ${unitWord(unit, quantity)}`;
}

interface LineWording {
  readonly quantity: number;
  readonly unit: UnitId | null;
  readonly size?: 'small' | 'medium' | 'large' | null;
  readonly name: string;
  readonly preparation?: { readonly of: Ingredient; readonly way: Preparation } | null;
}

/** A line that is read as exactly this. */
export function lineText({ quantity, unit, size, name, preparation }: LineWording): string {
  const counted = unit === null || UNITS[unit].kind === 'count';
  const word = preparation && tellingWord(preparation.of, preparation.way);
  return [amountText(quantity, unit), counted ? size : null, word ? `${name}, ${word}` : name]
    .filter(Boolean)
    .join(' ');
}

/** A word that means this way of preparing and no other one of the ingredient. */
export function tellingWord(ingredient: Ingredient, way: Preparation): string | undefined {
  if (way.fromMl !== undefined) return undefined;
  const others = ingredient.preparations.filter(({ id }) => id !== way.id);
  return (
    way.words.find((word) => others.every(({ words }) => !words.includes(word))) ??
    (way.usual ? way.words[0] : undefined)
  );
}

/**
 * The way of preparing that the words of a line name, or undefined when they name none.
 * @param millilitres of the amount, 0 where it is not a volume
 */
export function preparationNamed(
  plain: string,
  ingredient: Ingredient,
  millilitres: number,
): Preparation | undefined {
  const words = ` ${wordsOfStates(plain).join(' ')} `;
  const named = ingredient.preparations
    .filter(({ fromMl }) => fromMl === undefined || millilitres >= fromMl)
    .map((preparation) => ({
      preparation,
      // A phrase tells more than a word, and what needs a volume more than what does not.
      hits:
        sum(
          preparation.words.map((word) => (words.includes(` ${word} `) ? 2 * word.split(' ').length - 1 : 0)),
        ) * (preparation.fromMl === undefined ? 1 : 2),
    }))
    .filter(({ hits }) => hits > 0)
    .sort((a, b) => b.hits - a.hits);
  // The usual way wins a tie: "soaked" alone does not tell whether the pulp stays in.
  const best = named.filter(({ hits }) => hits === named[0]?.hits);
  return (best.find(({ preparation }) => preparation.usual) ?? best[0])?.preparation;
}
