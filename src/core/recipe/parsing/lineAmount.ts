import {
  parseIngredient,
  type Ingredient as ParserLine,
  type UnitOfMeasureDefinitions,
} from 'parse-ingredient';
import { UNITS, type UnitId } from '../../base/measures';

/** An amount as it stands in a line, and the words that are left when it is taken out. */
export interface LineAmount {
  readonly quantity: number | null;
  /** The upper end of a range such as "2-3 tbsp". */
  readonly quantityTo: number | null;
  readonly unit: UnitId | null;
  readonly size: PieceSize | null;
  readonly heaped: boolean;
  /** A mass or volume beside a counted pack: "1 packet gelatin (7 g)". */
  readonly packSize: { readonly quantity: number; readonly unit: UnitId } | null;
  readonly words: string;
  readonly isHeading: boolean;
}

export type PieceSize = 'small' | 'medium' | 'large';

/** Kitchen words that the parser does not bring along; each is a unit of UNITS or stands for one. */
const OUR_WORDS = {
  handful: { plural: 'handfuls', unit: 'handful' },
  packet: {
    plural: 'packets',
    alternates: ['sachet', 'sachets', 'pkt', 'envelope', 'envelopes'],
    unit: 'packet',
  },
  leaf: { plural: 'leaves', unit: 'leaf' },
  pod: { plural: 'pods', unit: 'piece' },
  sheet: { plural: 'sheets', unit: 'piece' },
  pot: { plural: 'pots', alternates: ['tub', 'tubs', 'becher', 'pote', 'potes'], unit: 'packet' },
  capsule: { plural: 'capsules', alternates: ['softgel', 'softgels'], unit: 'piece' },
  drop: { plural: 'drops', alternates: ['gtt'], unit: 'drop' },
  sprinkle: { plural: 'sprinkles', unit: 'sprinkle' },
  splash: { plural: 'splashes', unit: 'splash' },
  drizzle: { plural: 'drizzles', unit: 'drizzle' },
  squeeze: { plural: 'squeezes', alternates: ['squirt', 'squirts'], unit: 'squeeze' },
  dollop: { plural: 'dollops', alternates: ['blob', 'blobs'], unit: 'dollop' },
  glug: { plural: 'glugs', unit: 'glug' },
  scoop: { plural: 'scoops', unit: 'scoop' },
  spoon: { plural: 'spoons', unit: 'spoon' },
  dessertspoon: { plural: 'dessertspoons', unit: 'dessertspoon' },
  pump: { plural: 'pumps', unit: 'pump' },
  capful: { plural: 'capfuls', alternates: ['cap'], unit: 'capful' },
  glass: { plural: 'glasses', unit: 'glass' },
  mug: { plural: 'mugs', unit: 'mug' },
  bowl: { plural: 'bowls', unit: 'bowl' },
  part: { plural: 'parts', unit: 'part' },
  metriccup: { plural: 'metriccups', unit: 'metric cup' },
  sprig: { plural: 'sprigs', alternates: ['stalk', 'stalks', 'branch'], unit: 'sprig' },
  bunch: { plural: 'bunches', unit: 'bunch' },
  percent: { plural: 'percent', alternates: ['pct'], unit: '%' },
} as const satisfies Record<string, { plural: string; alternates?: readonly string[]; unit: UnitId }>;

const MORE_UNITS: UnitOfMeasureDefinitions = {
  ...Object.fromEntries(
    Object.entries(OUR_WORDS).map(([word, entry]) => [
      word,
      {
        short: word === 'percent' ? '%' : word,
        plural: entry.plural,
        alternates: 'alternates' in entry ? [...entry.alternates] : [],
        type: 'count' as const,
      },
    ]),
  ),
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
  pinch: 'pinch',
  dash: 'dash',
  pack: 'packet',
  package: 'packet',
  bag: 'piece',
  piece: 'piece',
  can: 'can',
  clove: 'piece',
  stick: 'piece',
  ...Object.fromEntries(Object.entries(OUR_WORDS).map(([word, { unit }]) => [word, unit])),
};

const HEAPED = /\b(?:heaped|heaping|rounded|generous|gehäufte[rn]?|chei[ao]s?|colmadas?|bombées?)\s+/i;
const LEVEL = /\b(?:level|scant|packed|raso|rasas?|gestrichene[rn]?)\s+/i;
const SIZE =
  /^(small|medium(?:[- ]sized)?|large|big|whole|tiny|pequen[oa]|grande|petite?|klein[er]?|groß[er]?)\b/i;
const SIZES: Record<string, PieceSize> = {
  small: 'small',
  tiny: 'small',
  pequeno: 'small',
  pequena: 'small',
  petit: 'small',
  petite: 'small',
  kleine: 'small',
  medium: 'medium',
  large: 'large',
  big: 'large',
  grande: 'large',
  große: 'large',
};

/**
 * Reads the amount out of one line. Never throws.
 * @param line as rewritten by {@link rewritten}
 */
export function lineAmount(line: string): LineAmount {
  const heaped = HEAPED.test(line);
  const [parsed] = parseIngredient(line.replace(HEAPED, '').replace(LEVEL, ''), {
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
function sizeIn({ unitOfMeasureID, description }: ParserLine): PieceSize | null {
  const word = (SIZE.exec(unitOfMeasureID ?? '') ?? SIZE.exec(description))?.[1]?.toLowerCase();
  return (word !== undefined && SIZES[word.replace(/[- ]sized$/, '')]) || null;
}

function packSizeIn({ descriptionMeasurements }: ParserLine): LineAmount['packSize'] {
  for (const { unitOfMeasureID, quantity } of descriptionMeasurements ?? []) {
    const unit = unitNamed(unitOfMeasureID);
    if (unit && (UNITS[unit].kind === 'mass' || UNITS[unit].kind === 'volume')) return { quantity, unit };
  }
  return null;
}
