import { msg } from '@lingui/core/macro';
import { worded } from '../language';
/**
 * Kitchen units. Volumes are in millilitres, masses in grams.
 * Spoons and cups follow the US customary kitchen measures rounded as on measuring sets sold in metric
 * countries (5, 15, 240 ml; 21 CFR 101.9(b)(5)(viii) for food labelling uses the same figures).
 */
export type UnitKind = 'mass' | 'volume' | 'count' | 'share';

const LABEL_RULE = '21 CFR 101.9(b)(5)(viii)';
const EXACT = 'definition';
const KITCHEN = 'working assumption';

export const UNITS = {
  g: { id: 'g', kind: 'mass', size: 1, source: EXACT },
  mg: { id: 'mg', kind: 'mass', size: 0.001, source: EXACT },
  kg: { id: 'kg', kind: 'mass', size: 1000, source: EXACT },
  oz: { id: 'oz', kind: 'mass', size: 28.35, source: EXACT },
  lb: { id: 'lb', kind: 'mass', size: 453.6, source: EXACT },
  ml: { id: 'ml', kind: 'volume', size: 1, source: EXACT },
  cl: { id: 'cl', kind: 'volume', size: 10, source: EXACT },
  dl: { id: 'dl', kind: 'volume', size: 100, source: EXACT },
  l: { id: 'l', kind: 'volume', size: 1000, source: EXACT },
  'fl oz': { id: 'fl oz', kind: 'volume', size: 30, source: LABEL_RULE },
  tsp: { id: 'tsp', kind: 'volume', size: 5, source: LABEL_RULE },
  tbsp: { id: 'tbsp', kind: 'volume', size: 15, source: LABEL_RULE },
  cup: { id: 'cup', kind: 'volume', size: 240, source: LABEL_RULE },
  pint: { id: 'pint', kind: 'volume', size: 473, source: 'US liquid pint, rounded' },
  quart: { id: 'quart', kind: 'volume', size: 946, source: 'US liquid quart, rounded' },
  'coffee spoon': { id: 'coffee spoon', kind: 'volume', size: 2.5, source: KITCHEN },
  drop: {
    id: 'drop',
    kind: 'volume',
    size: 0.05,
    source: '20 drops to 1 ml, the usual dropper (working assumption)',
  },
  pinch: { id: 'pinch', kind: 'volume', size: 0.3, source: KITCHEN },
  dash: { id: 'dash', kind: 'volume', size: 0.6, source: KITCHEN },
  handful: { id: 'handful', kind: 'volume', size: 60, source: KITCHEN },
  dessertspoon: { id: 'dessertspoon', kind: 'volume', size: 10, source: KITCHEN },
  sprinkle: { id: 'sprinkle', kind: 'volume', size: 1, source: KITCHEN },
  splash: { id: 'splash', kind: 'volume', size: 10, source: KITCHEN },
  drizzle: { id: 'drizzle', kind: 'volume', size: 5, source: KITCHEN },
  squeeze: { id: 'squeeze', kind: 'volume', size: 5, source: KITCHEN },
  dollop: { id: 'dollop', kind: 'volume', size: 20, source: KITCHEN },
  glug: { id: 'glug', kind: 'volume', size: 30, source: KITCHEN },
  scoop: { id: 'scoop', kind: 'volume', size: 30, source: KITCHEN },
  spoon: { id: 'spoon', kind: 'volume', size: 15, source: 'taken as a tablespoon (working assumption)' },
  pump: { id: 'pump', kind: 'volume', size: 2, source: KITCHEN },
  capful: { id: 'capful', kind: 'volume', size: 5, source: KITCHEN },
  glass: { id: 'glass', kind: 'volume', size: 200, source: KITCHEN },
  shot: { id: 'shot', kind: 'volume', size: 40, source: KITCHEN },
  mug: { id: 'mug', kind: 'volume', size: 300, source: KITCHEN },
  bowl: { id: 'bowl', kind: 'volume', size: 400, source: KITCHEN },
  can: { id: 'can', kind: 'volume', size: 400, source: KITCHEN },
  part: { id: 'part', kind: 'volume', size: 30, source: 'two tablespoons, so that parts can be weighed' },
  'metric cup': { id: 'metric cup', kind: 'volume', size: 250, source: 'metric cup, as sold' },
  'my cup': { id: 'my cup', kind: 'volume', size: 240, source: 'until she says what hers holds' },
  'my spoon': { id: 'my spoon', kind: 'volume', size: 15, source: 'until she says what hers holds' },
  bunch: { id: 'bunch', kind: 'count', size: 1, source: KITCHEN },
  sprig: { id: 'sprig', kind: 'count', size: 1, source: KITCHEN },
  piece: { id: 'piece', kind: 'count', size: 1, source: EXACT },
  leaf: { id: 'leaf', kind: 'count', size: 1, source: EXACT },
  packet: { id: 'packet', kind: 'count', size: 1, source: EXACT },
  '%': { id: '%', kind: 'share', size: 1, source: EXACT },
} as const satisfies Record<string, { id: string; kind: UnitKind; size: number; source: string }>;

export type UnitId = keyof typeof UNITS;

/** Kitchen words that everybody fills differently: taken as UNITS says, and that is said beside the line. */
export const VAGUE_UNITS: ReadonlySet<UnitId> = new Set([
  'pinch',
  'dash',
  'handful',
  'sprinkle',
  'splash',
  'drizzle',
  'squeeze',
  'dollop',
  'glug',
  'scoop',
  'spoon',
  'pump',
  'capful',
  'glass',
  'shot',
  'mug',
  'bowl',
  'can',
  'part',
  'sprig',
  'bunch',
] as const);

/** What "a cup" holds: measuring sets differ by country. */
export const CUPS = {
  us: worded({ label: msg`US cup`, millilitres: UNITS.cup.size }, 'label'),
  metric: worded({ label: msg`metric cup`, millilitres: UNITS['metric cup'].size }, 'label'),
} as const;
export type CupKind = keyof typeof CUPS;

/** How a recipe is read: by weight, by spoon, or by share. */
export const VIEWS = ['grams', 'spoons', 'percent'] as const;
export type View = (typeof VIEWS)[number];
