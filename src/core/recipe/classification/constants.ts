import { msg } from '@lingui/core/macro';
import { worded } from '../../base/language';
import type { ProteinForm, School } from '../../records/shapes';

/**
 * Constants of the verdict. Unless a source stands beside it, a figure is a working assumption, chosen so that
 * treatments whose effect makers agree on come out as they say; docs/model.md argues them one by one.
 */

/** The share of the protein in the bowl that acts, 0 to 1, by its form and by the school in force. */
export const AVAILABILITY: Record<School, Record<ProteinForm, number>> = {
  'any-protein': { none: 0, 'amino-acids': 1, hydrolysed: 1, gelatin: 1, intact: 0.8 },
  'broken-down': { none: 0, 'amino-acids': 1, hydrolysed: 1, gelatin: 0.95, intact: 0.05 },
  'my-hair': { none: 0, 'amino-acids': 1, hydrolysed: 1, gelatin: 0.95, intact: 0.22 },
};

/** Firming of one gram of plant tannin against one gram of acting protein. */
export const TANNIN_FIRMING = 0.6;

/** Softening of one gram, against one gram of glycerin. */
export const SOFTENING = {
  humectant: 1,
  sugars: 0.6,
  mucilage: 8,
  starch: 0.12,
  cationic: 3,
  emollient: 0.5,
  water: 0.02,
} as const;

/** The load per 100 g of finished mask that gives half of the greatest push. */
export const HALF_LOAD = {
  /** g of acting protein */
  firm: 1.2,
  /** g of glycerin or its like */
  soft: 8,
  /** g of fat */
  oil: 25,
} as const;

/** Where one kind ends and the next begins. */
export const KIND_EDGES = {
  /** Fat, g per 100 g, from which a mixture is an oil treatment where its oil pushes more than all else. */
  oilFat: 35,
  /** From this much fat on it is one too, where its oil pushes `oilLead` times as much as all else. */
  someOilFat: 15,
  oilLead: 2,
  /** A thin liquid has less than this left when its water is gone, g per 100 g. */
  rinseDryMatter: 6,
  /** A push of 0 to 1 under which a thin liquid only rinses. */
  rinsePush: 0.3,
  /** A push under which nothing in the bowl does much. */
  idlePush: 0.18,
  /** The same without what bare water softens: salt water and wet clay are no moisture treatments. */
  wetPush: 0.06,
  /** How many times the greater of firm and soft must outweigh the other to give the kind its name. */
  lead: 1.3,
  /** A push of the other side that is named beside the kind: "with conditioning". */
  named: 0.3,
} as const;

/** Strength steps in words; a strength belongs to the last word whose number it reaches. */
export const STRENGTH_WORDS = [
  worded({ from: 0, word: msg`hardly any` }, 'word'),
  worded({ from: 0.7, word: msg`faint` }, 'word'),
  worded({ from: 1.5, word: msg`light` }, 'word'),
  worded({ from: 2.4, word: msg`fairly strong` }, 'word'),
  worded({ from: 3.3, word: msg`strong` }, 'word'),
  worded({ from: 4.2, word: msg`very strong` }, 'word'),
] as const;

/** From this strength on protein counts as strong, whatever else is in the bowl: it is spaced by weeks and followed by moisture. */
export const STRONG_FROM = 3;
/** The strength of a push of 1. */
export const MOST_STRENGTH = 5;

/** What takes confidence away, as a factor on it. */
export const CONFIDENCE = {
  start: 0.95,
  /** Per share of lines that are not understood. */
  unread: 0.9,
  /** Per share of what decides the verdict that rests on assumed, not measured, composition figures. */
  assumedFigures: 0.35,
  /** Per share of the weight that was measured in pieces, spoons heaped or guessed preparations. */
  assumedAmounts: 0.2,
  /** At a margin of nothing between two kinds. */
  thinMargin: 0.4,
  /** Per share of the other ways to read the science under which it is another kind. */
  otherReadings: 0.5,
} as const;
