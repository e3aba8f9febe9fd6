import type { WorldTruth } from '../simulation';

/** A world of virtual heads: a truth, and what somebody does with what she is told. */
export interface World {
  readonly name: string;
  readonly truth: WorldTruth;
  /** Share of readings that are not taken, though they were asked for. */
  readonly forgotten: number;
  /** Share of what was advised, by whichever habit, that is done. */
  readonly follows: number;
}

const AS_SUPPOSED: World = { name: 'as the model supposes', truth: {}, forgotten: 0, follows: 1 };

/** The model's own world, and those in which it is wrong; see docs/model.md. */
export const WORLDS = {
  own: AS_SUPPOSED,
  damage: {
    ...AS_SUPPOSED,
    name: 'ordinary heat damages for good',
    // Half of what a day of heat does stays, on all three signals; the model thinks a twentieth.
    truth: { stays: { heat: 0.5 } },
  },
  dose: {
    ...AS_SUPPOSED,
    name: 'another dose curve',
    // The square root of time, warmth a third more, porosity nothing: no levelling-off.
    truth: {
      doseOf: (minutes, warmth) => Math.sqrt(Math.max(0, minutes) / 30) * (warmth === 'warm' ? 1.3 : 1),
    },
  },
  seasons: {
    ...AS_SUPPOSED,
    name: 'slow seasons',
    truth: { season: { amplitude: 0.5, days: 180 } },
  },
  biased: {
    ...AS_SUPPOSED,
    name: 'strands that all read too firm or too soft',
    truth: { strandBiasSd: 0.3 },
  },
  shared: {
    ...AS_SUPPOSED,
    name: 'effects shared by composition',
    truth: { shared: { factorSd: 0.35, recipeShare: 0.3 } },
  },
  forgotten: { ...AS_SUPPOSED, name: 'four readings in ten forgotten', forgotten: 0.4 },
  half: { ...AS_SUPPOSED, name: 'half of the advice followed', follows: 0.5 },
} as const satisfies Record<string, World>;

export type WorldId = keyof typeof WORLDS;
export const WORLD_IDS = Object.keys(WORLDS) as WorldId[];
