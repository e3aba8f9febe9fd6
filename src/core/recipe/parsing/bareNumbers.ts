import { sum, type UnitId } from '../../base/measures';
import { says } from './marks';
import { isSign, type Token } from './tokens';
import type { Context, ReadSentence } from './told';
import type { Vocabulary } from './vocabulary';

/** So few numbers may make a hundred by chance. */
const LEAST_OF_HUNDRED = 4;
/** They may miss it by this much, from rounding on the page. */
const OF_HUNDRED_WITHIN = 1;

/** "water 72, cetyl alcohol 6, …": numbers without a measure that make a hundred are percents. */
export function takeOfHundred(sentences: readonly ReadSentence[]): void {
  const items = sentences.flatMap((sentence) => sentence.items);
  const measured = items.filter(({ amount }) => amount !== null && !amount.weak);
  const isBare = measured.every(({ amount, more }) => amount?.unit === null && more.length === 0);
  const whole = sum(measured.map(({ amount }) => amount?.quantity ?? 0));
  if (!isBare || measured.length < LEAST_OF_HUNDRED || Math.abs(whole - 100) > OF_HUNDRED_WITHIN) return;
  for (const item of measured) {
    item.amount = { ...item.amount!, unit: '%' };
    item.ofHundred = true;
  }
}

/** "250 water, 5 glycerin, … Grams, all of it.", "Mist (in grams): …": the measure of all numbers that have none. */
export function takeSaidUnit(sentences: readonly ReadSentence[], { tokens, words }: Context): void {
  const at = [...tokens.keys()].find((index) => isUnitOfAll(tokens, index, words));
  const unit = at === undefined ? undefined : words.units.at(tokens, at)?.value;
  if (!unit) return;
  for (const item of sentences.flatMap(({ items }) => items)) {
    const isBare = item.amount !== null && item.amount.unit === null && !item.amount.weak;
    // Of what comes in pods or capsules a number alone counts none of these.
    const { pieceGrams, pieceWords } = item.name.match.item.ingredient?.measures ?? {};
    if (isBare && (pieceGrams === undefined || pieceWords !== undefined))
      item.amount = { ...item.amount!, unit };
  }
}

const MEASURES_OF_ALL: ReadonlySet<UnitId> = new Set<UnitId>(['g', 'ml', 'oz', 'tbsp', 'tsp', '%']);

function isUnitOfAll(tokens: readonly Token[], at: number, { units, roles }: Vocabulary): boolean {
  const unit = units.at(tokens, at);
  if (!unit || !MEASURES_OF_ALL.has(unit.value)) return false;
  const before = tokens[at - 1];
  const behind = isSign(tokens[unit.to], ',', ':') ? unit.to + 1 : unit.to;
  const isFirst = before?.kind !== 'word' && before?.kind !== 'number';
  // "all in grams", "all grams"
  return (
    roles.allIn.endsAt(tokens, at, 4) ||
    says(before, 'all') ||
    standsApart(before, tokens[unit.to]) ||
    (isFirst && roles.allOf.at(tokens, behind) !== undefined)
  );
}

/** "(grams)", "shea 50, cocoa butter 20 — grams." */
const standsApart = (before: Token | undefined, next: Token | undefined): boolean =>
  ((isSign(before, '(') || says(before, 'inPlace')) && isSign(next, ')')) ||
  (isSign(before, '–', '—', '-') && (next?.kind ?? 'sign') === 'sign');
