import { t } from '@lingui/core/macro';
import {
  CUPS,
  rounded,
  UNITS,
  unitWord,
  VAGUE_UNITS,
  type CupKind,
  type Problem,
  type UnitId,
} from '../../base/measures';
import { RECIPE_LIMITS, type Ingredient } from '../../records/shapes';
import { plainWords } from '../ingredients';
import type { Assumption } from '../larder';
import { isPack, type LineAmount } from './lineAmount';
import { lineText } from './lineText';
import { isMark } from './marks';

/** Heaped spoons hold about a third more (working assumption). */
const HEAPED_FACTOR = 1.3;
/** A sprig of a herb, g (working assumption). */
const SPRIG_GRAMS = 1.5;
/** A leaf of a herb whose leaves nobody has weighed, g (working assumption). */
const LEAF_GRAMS = 1;
/** A bunch of fresh herbs, g (working assumption). */
const BUNCH_GRAMS = 30;

/** What an item weighs by, whether it is an ingredient or a recipe. */
export type Measures = Ingredient['measures'];

/** Grams, or the message why the amount cannot be weighed. A share of the batch is left as it is for the whole recipe. */
export function gramsOf(
  quantity: number,
  amount: LineAmount,
  measures: Measures,
  name: string,
  kitchen: KitchenMeasures,
  assumptions: Assumption[],
): number | string {
  const unit = UNITS[amount.unit ?? 'piece'];
  if (unit.kind === 'mass' || unit.kind === 'share') return quantity * unit.size;
  if (amount.packSize && (unit.kind === 'count' || VAGUE_UNITS.has(unit.id))) {
    return gramsOfPacks(quantity, unit.id, amount.packSize, measures, assumptions);
  }
  if (unit.kind === 'volume') {
    const millilitres = millilitresOf(unit.id, kitchen);
    if (isOwn(unit.id) && kitchen.own?.[unit.id] === undefined) assumptions.push(ownUnknown(unit.id));
    return (
      quantity * millilitres * measures.gramsPerMl * roundings(quantity, amount, name, unit.id, assumptions)
    );
  }
  return gramsOfCount(quantity, unit.id, amount, measures, name, assumptions);
}

/** What her cup and her spoon hold, ml; she fills them once. */
export type OwnMeasures = Partial<Record<OwnUnit, number>>;
export type OwnUnit = 'my cup' | 'my spoon';

export interface KitchenMeasures {
  readonly cup: CupKind;
  readonly own?: OwnMeasures | undefined;
}

const isOwn = (unit: UnitId): unit is OwnUnit => unit === 'my cup' || unit === 'my spoon';

function millilitresOf(unit: UnitId, { cup, own }: KitchenMeasures): number {
  if (unit === 'cup') return CUPS[cup].millilitres;
  return (isOwn(unit) ? own?.[unit] : undefined) ?? UNITS[unit].size;
}

/** What a measure holds of a thing that nobody knows, as heavy as water; null where it tells no weight by itself. */
export function gramsOfUnknown(
  { quantity, quantityTo, unit, packSize }: LineAmount,
  kitchen: KitchenMeasures,
): number | null {
  if (quantity === null) return null;
  const middle = quantityTo === null ? quantity : (quantity + quantityTo) / 2;
  const held = packSize ?? { quantity: 1, unit };
  const { kind, size } = UNITS[held.unit ?? 'piece'];
  if (kind === 'count') return null;
  return middle * held.quantity * (kind === 'volume' ? millilitresOf(held.unit ?? 'ml', kitchen) : size);
}

/** Which is hers is asked where the line is shown. */
function ownUnknown(unit: OwnUnit): Assumption {
  const size = UNITS[unit].size;
  const text =
    unit === 'my cup'
      ? t`Nobody knows how much your cup holds: taken as ${size} ml. Which is yours? Or fill it once with water and say it in Settings.`
      : t`Nobody knows how much your spoon holds: taken as ${size} ml. Which is yours? Or fill it once with water and say it in Settings.`;
  return { code: 'own-measure', text, alternatives: [] };
}

/** So much nearer, in logarithms, a weight must be to that of one to be taken for it. */
const NEARER = 0.2;

/**
 * Whether a weight is that of all of them: of pieces it is, unless it is clearly nearer to what one weighs; of packs only
 * where it is clearly nearer to what all of them weigh.
 */
function isOfAll(
  grams: number,
  quantity: number,
  unit: UnitId,
  { pieceGrams, packetGrams, gramsPerMl }: Measures,
): boolean {
  const far = (from: number) => Math.abs(Math.log(grams / from));
  if (isPack(unit)) {
    const pack = unit === 'can' ? UNITS.can.size * gramsPerMl : packetGrams;
    return pack !== undefined && far(quantity * pack) + NEARER < far(pack);
  }
  const piece = pieceGrams?.medium;
  return piece === undefined || far(quantity * piece) < far(piece) + NEARER;
}

function gramsOfPacks(
  quantity: number,
  unit: UnitId,
  packSize: NonNullable<LineAmount['packSize']>,
  measures: Measures,
  assumptions: Assumption[],
): number {
  const pack = UNITS[packSize.unit];
  const told = packSize.quantity * pack.size * (pack.kind === 'volume' ? measures.gramsPerMl : 1);
  const grams = packSize.mayBeOfAll && isOfAll(told, quantity, unit, measures) ? told / quantity : told;
  assumptions.push({
    code: 'pack-size',
    text: t`The size in the line was taken: ${{ grams: rounded(grams, 1) }} g each.`,
    alternatives: [],
  });
  return quantity * grams;
}

/** What a spoon heaped or a word such as "splash" holds, said beside the line. */
function roundings(
  quantity: number,
  amount: LineAmount,
  name: string,
  unit: UnitId,
  assumptions: Assumption[],
): number {
  if (VAGUE_UNITS.has(unit) && !assumptions.some(({ code }) => code === 'equal-parts')) {
    const size = UNITS[unit].size;
    assumptions.push({
      code: 'vague-unit',
      text: t`A ${{ unit: unitWord(unit, 1) }} was taken as ${size} ml.`,
      alternatives: (unit === 'spoon' ? (['tsp', 'tbsp'] as const) : (['ml'] as const)).map((other) => {
        const line = lineText({ quantity: other === 'ml' ? quantity * size : quantity, unit: other, name });
        return { label: line.replace(` ${name}`, ''), line };
      }),
    });
  }
  if (!amount.heaped) return 1;
  assumptions.push({
    code: 'heaped',
    text: t`Heaped: a third more than level.`,
    alternatives: [{ label: t`level`, line: lineText({ quantity, unit, name }) }],
  });
  return HEAPED_FACTOR;
}

function gramsOfCount(
  quantity: number,
  unit: UnitId,
  amount: LineAmount,
  measures: Measures,
  name: string,
  assumptions: Assumption[],
): number | string {
  if (unit === 'packet') {
    if (measures.packetGrams) return gramsOfPackets(quantity, measures.packetGrams, assumptions);
    // "2 Beutel Kamillentee": a bag of tea is a piece.
    if (measures.pieceGrams && measures.pieceGrams.medium <= TEABAG_GRAMS)
      return gramsOfPieces(quantity, amount, measures, name, assumptions);
    return t`Packets of ${name} differ: write the grams, for example "1 packet ${name} (20 g)".`;
  }
  if (unit === 'leaf' && measures.leafGrams) return quantity * measures.leafGrams;
  if (
    unit === 'piece' &&
    !measures.pieceGrams &&
    plainWords(amount.words).some((word) => isMark(word, 'leafOrFlower'))
  )
    return gramsOfCount(quantity, 'leaf', amount, measures, name, assumptions);
  if (unit === 'sprig' || unit === 'bunch' || (unit === 'leaf' && !measures.pieceGrams)) {
    const grams = { sprig: SPRIG_GRAMS, bunch: BUNCH_GRAMS, leaf: LEAF_GRAMS }[unit];
    assumptions.push({
      code: 'vague-unit',
      text: t`A ${{ unit: unitWord(unit, 1) }} was taken as ${grams} g.`,
      alternatives: [],
    });
    return quantity * grams;
  }
  return gramsOfPieces(quantity, amount, measures, name, assumptions);
}

function gramsOfPackets(quantity: number, packetGrams: number, assumptions: Assumption[]): number {
  const text = t`One was taken as a packet: ${{ packetGrams }} g.`;
  assumptions.push({ code: 'pack-size', text, alternatives: [] });
  return quantity * packetGrams;
}

/** Two packs of this much are more than a head takes, g. */
const BOTTLE_GRAMS = 200;

/** No bag of tea holds more, g (what is sold: 1.5 to 4 g). */
const TEABAG_GRAMS = 5;

/** Pieces of a size; what is not counted but sold in packets is taken as so many packets. */
function gramsOfPieces(
  quantity: number,
  amount: LineAmount,
  { pieceGrams, packetGrams }: Measures,
  name: string,
  assumptions: Assumption[],
): number | string {
  // "conditioner 3": nobody takes three bottles, and says no word of them.
  const isBottles = amount.unit === null && quantity > 1 && (packetGrams ?? 0) >= BOTTLE_GRAMS;
  if (!pieceGrams && (!packetGrams || isBottles))
    return t`${name} is not counted in pieces: write spoons, millilitres or grams.`;
  if (!pieceGrams) return gramsOfPackets(quantity, packetGrams ?? 0, assumptions);
  if (!amount.size) {
    const { small, medium, large } = pieceGrams;
    assumptions.push({
      code: 'medium-size',
      text: t`A medium one: ${medium} g.`,
      alternatives: (['small', 'large'] as const).map((size) => ({
        label: size === 'small' ? t`small, ${small} g` : t`large, ${large} g`,
        line: lineText({ quantity, unit: amount.unit, size, name }),
      })),
    });
  }
  return quantity * pieceGrams[amount.size ?? 'medium'];
}

/** What is wrong with a weight, or undefined where nothing is. */
export function problemOfGrams(grams: number, name: string): Problem | undefined {
  if (grams < RECIPE_LIMITS.leastGrams) {
    return {
      code: 'zero-amount',
      message: t`There is no ${name} in this amount; write more than 0.`,
      path: '',
    };
  }
  if (!(grams <= RECIPE_LIMITS.gramsPerLine)) {
    const most = RECIPE_LIMITS.gramsPerLine / 1000;
    return {
      code: 'absurd-amount',
      message: t`More than ${most} kg in one line cannot be right; check the number.`,
      path: '',
    };
  }
  return undefined;
}
