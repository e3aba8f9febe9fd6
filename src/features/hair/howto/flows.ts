import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { TestId } from '@/core/hair/checks';
import type { Reading } from '@/core/records/shapes';
import type { Underway } from '@/store';
import type { DRAWINGS } from './drawings';

export type FlowId = 'stretch' | 'tally' | 'porosity' | 'feel' | 'length' | 'photo';

interface HowTo {
  readonly why: string;
  readonly steps: readonly { readonly drawing: keyof typeof DRAWINGS; readonly text: string }[];
}

/** How each reading is taken, and what it is good for. */
export const howTos = perLanguage((): Record<FlowId, HowTo> => ({
  stretch: {
    why: t`How far a wet strand gives, and whether it comes back, tells soft from firm better than any touch.`,
    steps: [
      {
        drawing: 'strandAtRest',
        text: t`A wet, shed strand, never a plucked one. Lay it along the ruler and move the line to its end.`,
      },
      {
        drawing: 'strandStretched',
        text: t`Hold both ends and pull slowly until it begins to resist. Thirty per cent is plenty.`,
      },
      {
        drawing: 'strandReleased',
        text: t`Let go of one end and see how long it stays. Or say that it snapped.`,
      },
    ],
  },
  tally: {
    why: t`Pieces a day, counted the same way each time, show breakage weeks before the ends do. Shed hairs are the ordinary ones.`,
    steps: [
      { drawing: 'brokenPiece', text: t`Broken: short, both ends bare.` },
      { drawing: 'shedHair', text: t`Shed: long, with a small pale bulb at one end.` },
      {
        drawing: 'endsFirst',
        text: t`Detangle from the ends upward, section by section, and tap for each hair.`,
      },
    ],
  },
  porosity: {
    why: t`How fast hair takes water up and lets it go. No single test is good; several together are.`,
    steps: [
      { drawing: 'mistOn', text: t`Mist one clean, dry section once. Stop when no drop is left to see.` },
      { drawing: 'drying', text: t`Blot, start, and go about your day. Stop when it is dry to the touch.` },
      { drawing: 'fingerUp', text: t`Slide a fingertip up a dry strand, from its end to its root.` },
      {
        drawing: 'strandInGlass',
        text: t`A clean shed strand in a glass of water, looked at after four minutes. A trace of oil decides it as much as the hair does, so it counts little.`,
      },
    ],
  },
  feel: {
    why: t`Fingers are quick and always there. They are less exact than a ruler, so they count half as much.`,
    steps: [
      {
        drawing: 'softToFirm',
        text: t`Gummy and limp at the left, springy in the middle, straw at the right. Judge the lengths, not the ends.`,
      },
    ],
  },
  length: {
    why: t`Length that is kept is what less breakage adds up to. It says nothing about growth.`,
    steps: [
      {
        drawing: 'places',
        text: t`The same four places each time: front, crown, side, nape. Pull the lock straight along a tape.`,
      },
    ],
  },
  photo: {
    why: t`A pair of pictures shows what numbers do not. They stay on this device and in the backups you make.`,
    steps: [
      {
        drawing: 'sameLight',
        text: t`Same place, same window, same distance, dry hair. The last picture is shown beside for lining up.`,
      },
    ],
  },
}));

export interface Flow {
  readonly href:
    | '/hair/stretch'
    | '/hair/tally'
    | '/hair/porosity'
    | '/hair/feel'
    | '/hair/length'
    | '/hair/photo'
    | '/hair/event'
    | '/hair/check';
  readonly title: string;
  readonly text: string;
  /** What of the state it would sharpen; null for what tells nothing of it. */
  readonly test: TestId | null;
  readonly isUnderway?: (underway: Underway) => boolean;
}

/** The ways to measure, in the order in which they are offered where nothing is known. */
export const takingFlows = perLanguage((): readonly Flow[] => [
  {
    href: '/hair/stretch',
    title: t`Stretch test`,
    text: t`wet hair · 2 min`,
    test: 'stretch',
    isUnderway: ({ strands }) => strands.length > 0,
  },
  { href: '/hair/feel', title: t`Feel and look`, text: t`20 s`, test: 'feel' },
  {
    href: '/hair/tally',
    title: t`Count while detangling`,
    text: t`no extra time`,
    test: 'tally',
    isUnderway: ({ taps }) => taps.length > 0,
  },
  {
    href: '/hair/porosity',
    title: t`Porosity`,
    text: t`1 min`,
    test: 'porosity',
    isUnderway: ({ dryingSince }) => dryingSince !== null,
  },
  { href: '/hair/photo', title: t`Picture`, text: t`same light`, test: null },
  { href: '/hair/length', title: t`Length`, text: t`once a month`, test: null },
  {
    href: '/hair/event',
    title: t`Something happened`,
    text: t`heat, swim, dye …`,
    test: null,
  },
  {
    href: '/hair/check',
    title: t`Write figures`,
    text: t`all on one sheet`,
    test: null,
  },
]);

/** Whether a reading holds this flow's test. */
export const HOLDS: Record<Exclude<FlowId, 'photo'>, (reading: Reading) => boolean> = {
  stretch: ({ strands }) => strands.length > 0,
  tally: ({ tally }) => tally !== null,
  porosity: ({ porosity }) => porosity !== null,
  feel: ({ feel, marks, scalp }) =>
    feel !== null || scalp.length > 0 || Object.values(marks).some((mark) => mark !== null),
  length: ({ lengths }) => lengths.length > 0,
};
