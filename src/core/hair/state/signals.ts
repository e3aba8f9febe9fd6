import { msg } from '@lingui/core/macro';
import { worded } from '../../base/language';
import { clamp, sum } from '../../base/measures';
import type { SchoolVerdict } from '../../recipe/classification';
import type { Complaint, EventKind, Head, SignalId } from '../../records/shapes';

/** The comfortable stretch of a signal's scale; null where it is open. */
export interface ComfortZone {
  readonly low: number | null;
  readonly high: number | null;
}

export interface SignalModel {
  readonly id: SignalId;
  readonly label: string;
  readonly comfortZone: ComfortZone;
  /** Words for below, in and above the comfort zone. */
  readonly words: { readonly below: string; readonly within: string; readonly above: string };
  /** What one reads off the scale, in words. */
  readonly unit: string;
  /** 1 sd of what we believe of a new head before any reading. */
  readonly startSd: number;
  /** 1 sd of where a head rests when nothing is done to it. */
  readonly restSd: number;
  /** 1 sd of what a day adds by itself. */
  readonly dailySd: number;
  /** 1 sd of what a day moves the resting level: seasons, water, food (working assumption). */
  readonly restDailySd: number;
  /** Half-lives of a departure from rest over which the estimate is averaged, days; fewer where readings tell less of them. */
  readonly halfLifeGridDays: readonly number[];
  /** 1 sd of a treatment's or an event's effect around its prior. */
  readonly effectSd: number;
}

/**
 * Scales and noise. Firmness: 0 springy, ±0.5 the edges of the comfortable comfort zone, −2 gummy, +2 straw. Breakage: natural
 * logarithm of broken pieces a day. Porosity: 0 middle, ±1 clearly high or low. Noise figures are those of the trial
 * run on synthetic heads (reading 0.35, day 0.25, effects 0.3); the rest are working assumptions.
 */
export const SIGNALS: Record<SignalId, SignalModel> = {
  firmness: worded(
    {
      id: 'firmness',
      label: msg`Firmness`,
      comfortZone: { low: -0.5, high: 0.5 },
      words: worded(
        { below: msg`too soft`, within: msg`springy`, above: msg`too firm` },
        'below',
        'within',
        'above',
      ),
      unit: 'from gummy (−2) to straw (+2)',
      startSd: 1,
      restSd: 0.5,
      dailySd: 0.25,
      restDailySd: 0.015,
      halfLifeGridDays: [3, 5, 8, 12, 19, 30],
      effectSd: 0.3,
    },
    'label',
  ),
  breakage: worded(
    {
      id: 'breakage',
      label: msg`Breakage`,
      comfortZone: { low: null, high: Math.log(8) },
      words: worded(
        {
          below: msg({ message: 'low', context: 'breakage' }),
          within: msg({ message: 'ordinary', context: 'breakage' }),
          above: msg({ message: 'high', context: 'breakage' }),
        },
        'below',
        'within',
        'above',
      ),
      unit: 'broken pieces a day',
      startSd: 0.8,
      restSd: 0.5,
      dailySd: 0.15,
      restDailySd: 0.01,
      halfLifeGridDays: [4, 10, 25],
      effectSd: 0.2,
    },
    'label',
  ),
  porosity: worded(
    {
      id: 'porosity',
      label: msg`Porosity`,
      comfortZone: { low: -1, high: 1 },
      words: worded(
        {
          below: msg({ message: 'low', context: 'porosity' }),
          within: msg({ message: 'medium', context: 'porosity' }),
          above: msg({ message: 'high', context: 'porosity' }),
        },
        'below',
        'within',
        'above',
      ),
      unit: 'index, −1 low to +1 high',
      startSd: 0.7,
      restSd: 0.5,
      dailySd: 0.05,
      restDailySd: 0.005,
      halfLifeGridDays: [4, 10, 25],
      effectSd: 0.15,
    },
    'label',
  ),
};

/** The comfort zone of a signal for one head: of firmness it may be her own. */
export function comfortZoneOf({ comfort }: Pick<Head, 'comfort'>, signal: SignalId): ComfortZone {
  return (signal === 'firmness' ? comfort : undefined) ?? SIGNALS[signal].comfortZone;
}

const BREAKAGE_MIDDLE = Math.log(6);

/**
 * How porous hair is guessed to be after what was done to it, where its drinking was not looked at: index of porosity, 0
 * middle, +1 clearly high (working assumption; bleach opens the outside of the strand most). The first test corrects it.
 */
const OPENED_BY: Readonly<Record<Head['chemistry'][number], number>> = {
  bleached: 0.6,
  relaxed: 0.5,
  permed: 0.4,
  coloured: 0.2,
  henna: 0,
};

/** Firmness that a complaint suggests before anything is measured, and the most that several suggest (working assumptions). */
const FIRMNESS_TOLD: Partial<Record<Complaint, number>> = {
  limp: -0.8,
  stiff: 0.8,
  dry: 0.4,
  breaks: 0.2,
  frizz: 0.1,
  tangles: 0.1,
};
const FIRMNESS_TOLD_MOST = 0.8;
/** The same for the logarithm of broken pieces a day. */
const BREAKAGE_TOLD: Partial<Record<Complaint, number>> = { breaks: 0.6, length: 0.3, tangles: 0.1 };

/** Where a head probably stands, from the start questions alone. */
export function startingLevel(
  head: Pick<Head, 'complaints' | 'porosityGuess'> & Partial<Pick<Head, 'chemistry' | 'firstComplaints'>>,
): Record<SignalId, number> {
  const told = head.firstComplaints ?? head.complaints;
  const firmness = clamp(
    sum(told.map((each) => FIRMNESS_TOLD[each] ?? 0)),
    -FIRMNESS_TOLD_MOST,
    FIRMNESS_TOLD_MOST,
  );
  const opened = Math.max(0, ...(head.chemistry ?? []).map((each) => OPENED_BY[each]));
  const porosity = { low: -1, medium: 0, high: 1, unknown: opened }[head.porosityGuess];
  const breakage = BREAKAGE_MIDDLE + Math.max(0, ...told.map((each) => BREAKAGE_TOLD[each] ?? 0));
  return { firmness, breakage, porosity };
}

/** Firmness units that one dose moves for a full push toward firm, or back for a full pull toward soft. */
export const FIRMNESS_PER_PUSH = 0.9;

/** What one dose of a treatment is expected to move, before this head has shown anything. */
export function priorEffect({ firm, soft, oil }: SchoolVerdict['push']): Record<SignalId, number> {
  return {
    firmness: FIRMNESS_PER_PUSH * (firm - soft),
    breakage: -0.12 * firm - 0.08 * soft - 0.1 * oil,
    porosity: -0.1 * firm - 0.05 * oil,
  };
}

/** What an event is expected to move on each signal; working assumptions. */
export const EVENT_EFFECTS: Record<EventKind, Record<SignalId, number>> = {
  heat: { firmness: 0.1, breakage: 0.08, porosity: 0.03 },
  swim: { firmness: 0.12, breakage: 0.08, porosity: 0.05 },
  bleach: { firmness: -0.7, breakage: 0.6, porosity: 0.9 },
  dye: { firmness: -0.2, breakage: 0.2, porosity: 0.3 },
  relaxer: { firmness: -0.6, breakage: 0.5, porosity: 0.5 },
  perm: { firmness: -0.4, breakage: 0.4, porosity: 0.4 },
  'heat-damage': { firmness: -0.3, breakage: 0.5, porosity: 0.4 },
  'style-in': { firmness: 0, breakage: 0.1, porosity: 0 },
  'style-out': { firmness: 0.1, breakage: 0.2, porosity: 0 },
  'dry-air': { firmness: 0.12, breakage: 0.05, porosity: 0 },
  'humid-air': { firmness: -0.1, breakage: 0, porosity: 0 },
  'hard-water': { firmness: 0.1, breakage: 0.05, porosity: 0 },
  illness: { firmness: 0, breakage: 0.1, porosity: 0 },
};

/**
 * How much of an event's effect stays in the hair that had it, 0 to 1, until that hair is cut off: broken bonds and a lifted
 * outside do not mend (working assumption: all of it; of ordinary heat a twentieth). The rest fades as a treatment does.
 */
export const EVENT_STAYS: Partial<Record<EventKind, number>> = {
  bleach: 1,
  dye: 1,
  relaxer: 1,
  perm: 1,
  'heat-damage': 1,
  heat: 0.05,
};

/** How much an effect of an event differs between heads, as a share of it (working assumption). */
export const EVENT_SPREAD = 0.4;

/** Centimetres that hair grows a day: half an inch a month (American Academy of Dermatology). */
const GROWTH_CM_PER_DAY = 1.27 / 30.4;

/**
 * Share of the hair that was there some days ago and is there still: what has grown since is not, and what was cut off is gone.
 * @param lengthCm now
 */
export function oldHairShare(lengthCm: number, daysSince: number): number {
  return clamp(1 - (GROWTH_CM_PER_DAY * daysSince) / lengthCm, 0, 1);
}

/** The breakage signal is a logarithm; people read pieces a day. */
export function shownValue(signal: SignalId, value: number): number {
  return signal === 'breakage' ? Math.exp(value) : value;
}
