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
  drop: {
    id: 'drop',
    kind: 'volume',
    size: 0.05,
    source: '20 drops to 1 ml, the usual dropper (working assumption)',
  },
  pinch: { id: 'pinch', kind: 'volume', size: 0.3, source: KITCHEN },
  dash: { id: 'dash', kind: 'volume', size: 0.6, source: KITCHEN },
  handful: { id: 'handful', kind: 'volume', size: 60, source: KITCHEN },
  piece: { id: 'piece', kind: 'count', size: 1, source: EXACT },
  leaf: { id: 'leaf', kind: 'count', size: 1, source: EXACT },
  packet: { id: 'packet', kind: 'count', size: 1, source: EXACT },
  '%': { id: '%', kind: 'share', size: 1, source: EXACT },
} as const satisfies Record<string, { id: string; kind: UnitKind; size: number; source: string }>;

export type UnitId = keyof typeof UNITS;
