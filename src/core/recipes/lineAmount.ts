import {
  parseIngredient,
  type Ingredient as ParserLine,
  type UnitOfMeasureDefinitions,
} from 'parse-ingredient';
import { UNITS, type UnitId } from '../measures';

/** An amount as it stands in a line, and the words that are left when it is taken out. */
export interface LineAmount {
  readonly quantity: number | null;
  /** The upper end of a range such as "2-3 tbsp". */
  readonly quantityTo: number | null;
  readonly unit: UnitId | null;
  readonly size: 'small' | 'medium' | 'large' | null;
  readonly heaped: boolean;
  /** A mass or volume beside a counted pack: "1 packet gelatin (7 g)". */
  readonly packSize: { readonly quantity: number; readonly unit: UnitId } | null;
  readonly words: string;
  readonly isHeading: boolean;
}

/** Units the parser does not bring along. */
const MORE_UNITS: UnitOfMeasureDefinitions = {
  handful: { short: 'handful', plural: 'handfuls', type: 'count' },
  packet: { short: 'packet', plural: 'packets', alternates: ['sachet', 'sachets', 'pkt'], type: 'count' },
  percent: { short: '%', plural: 'percent', alternates: ['percent', 'pct'], type: 'other' },
  leaf: { short: 'leaf', plural: 'leaves', type: 'count' },
  pod: { short: 'pod', plural: 'pods', type: 'count' },
  sheet: { short: 'sheet', plural: 'sheets', type: 'count' },
  centiliter: { short: 'cl', plural: 'centiliters', type: 'volume', conversionFactor: 10 },
};

const UNIT_OF_PARSER: Record<string, UnitId> = {
  gram: 'g',
  milligram: 'mg',
  kilogram: 'kg',
  ounce: 'oz',
  pound: 'lb',
  milliliter: 'ml',
  centiliter: 'cl',
  deciliter: 'dl',
  liter: 'l',
  'fluid ounce': 'fl oz',
  fluidounce: 'fl oz',
  teaspoon: 'tsp',
  tablespoon: 'tbsp',
  cup: 'cup',
  pint: 'pint',
  drop: 'drop',
  pinch: 'pinch',
  dash: 'dash',
  handful: 'handful',
  percent: '%',
  leaf: 'leaf',
  packet: 'packet',
  pack: 'packet',
  package: 'packet',
  bag: 'piece',
  piece: 'piece',
  pod: 'piece',
  sheet: 'piece',
  can: 'piece',
  clove: 'piece',
  sprig: 'piece',
  stick: 'piece',
};

/** Ways of writing that the parser would misread, in the order in which they are rewritten. */
const REWRITES: readonly (readonly [RegExp, string])[] = [
  [/[\u2012-\u2015]/g, '-'],
  [/[\u00a0\t]+/g, ' '],
  [/^[\s•*·▪–>]+/u, ''],
  [/^-\s+/, ''],
  [/^\d{1,2}[.)]\s+/, ''],
  [/\p{Extended_Pictographic}\uFE0F?/gu, ' '],
  // A comma between thousands of grams, then every other comma between digits as a decimal comma.
  [/(\d),(\d{3})(?=\s*(?:g|gr|grams?|ml)\b)/gi, '$1$2'],
  [/(\d),(\d)/g, '$1.$2'],
  [/(\d)\s*%/g, '$1 percent'],
  [/\bcolher(?:es)? de sopa\b/gi, 'tbsp'],
  [/\bcolher(?:es)? de ch[áa]\b/gi, 'tsp'],
  [/\bx[íi]caras?\b/gi, 'cup'],
  [/\bcucharadas?\b/gi, 'tbsp'],
  [/\bcucharaditas?\b/gi, 'tsp'],
  [/\bc\. ?à soupe\b/gi, 'tbsp'],
  [/\bc\. ?à (?:caf[ée]|th[ée])\b/gi, 'tsp'],
  [/(\d)\s*EL\b/g, '$1 tbsp'],
  [/(\d)\s*TL\b/g, '$1 tsp'],
  [/^(?:about|approx(?:imately|\.)?|around|ca\.?|roughly)\s+/i, ''],
  [/^(?:the )?juice of\b(.*)$/i, '$1 juice'],
  [/\bone and a half\b/gi, '1 1/2'],
  [/^(\d+) and a half\b/i, '$1 1/2'],
  [/^(?:a |one )?half (?:an? |of an? )?/i, '1/2 '],
  [/^(?:a |one )?third (?:of an? )?/i, '1/3 '],
  [/^(?:a |one )?quarter (?:of an? |an? )?/i, '1/4 '],
  [/^three quarters (?:of an? )?/i, '3/4 '],
  [/^(?:a )?couple (?:of )?/i, '2 '],
  [/^(?:a )?few (?:of )?/i, '3 '],
  [/^(?:an?|one)\s+/i, '1 '],
  [/^two\s+/i, '2 '],
  [/^three\s+/i, '3 '],
  [/^four\s+/i, '4 '],
  [/^five\s+/i, '5 '],
  [/^six\s+/i, '6 '],
  [/^handful/i, '1 handful'],
  [/^pinch/i, '1 pinch'],
];

export function rewritten(line: string): string {
  return REWRITES.reduce((text, [pattern, by]) => text.replace(pattern, by), line)
    .replace(/\s+/g, ' ')
    .trim();
}

const HEAPED = /\b(?:heaped|heaping|rounded)\s+/i;
const SIZE = /^(small|medium|large|big)\b/i;

/**
 * Reads the amount out of one line. Never throws.
 * @param line as rewritten by {@link rewritten}
 */
export function lineAmount(line: string): LineAmount {
  const heaped = HEAPED.test(line);
  const [parsed] = parseIngredient(line.replace(HEAPED, ''), {
    additionalUOMs: MORE_UNITS,
    round: false,
    descriptionMeasurements: true,
    measurementUnits: 'convertible',
  });
  if (!parsed) {
    return {
      quantity: null,
      quantityTo: null,
      unit: null,
      size: null,
      heaped,
      packSize: null,
      words: line,
      isHeading: false,
    };
  }
  return {
    quantity: parsed.quantity,
    quantityTo: parsed.quantity2,
    unit: unitNamed(parsed.unitOfMeasureID),
    size: sizeIn(parsed),
    heaped,
    packSize: packSizeIn(parsed),
    // "5 cloves": the word that was taken for a unit is the ingredient itself.
    words: parsed.description || (parsed.unitOfMeasure ?? ''),
    isHeading: parsed.isGroupHeader || /:$/.test(line),
  };
}

function unitNamed(name: string | null): UnitId | null {
  return (name !== null && UNIT_OF_PARSER[name]) || null;
}

/** "2 small carrots" and "a large, ripe banana": the parser takes the word for a unit or leaves it before the name. */
function sizeIn({ unitOfMeasureID, description }: ParserLine): LineAmount['size'] {
  const word = (SIZE.exec(unitOfMeasureID ?? '') ?? SIZE.exec(description))?.[1]?.toLowerCase();
  return word === 'big' ? 'large' : ((word as LineAmount['size'] | undefined) ?? null);
}

function packSizeIn({ descriptionMeasurements }: ParserLine): LineAmount['packSize'] {
  for (const { unitOfMeasureID, quantity } of descriptionMeasurements ?? []) {
    const unit = unitNamed(unitOfMeasureID);
    if (unit && (UNITS[unit].kind === 'mass' || UNITS[unit].kind === 'volume')) return { quantity, unit };
  }
  return null;
}
