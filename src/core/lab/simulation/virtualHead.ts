import { randomLcg, randomNormal, randomPoisson, randomUniform } from 'd3-random';
import { clamp, rounded } from '../../base/measures';
import { FEEL, POROSITY_TESTS, snapsAt, STRETCH, strandShape } from '../../hair/checks';
import {
  amountFactor,
  EVENT_EFFECTS,
  EVENT_STAYS,
  priorEffect,
  SIGNALS,
  startingLevel,
} from '../../hair/state';
import { doseOf, type SchoolVerdict, type Warmth } from '../../recipe/classification';
import {
  NOTHING_MEASURED,
  SIGNAL_IDS,
  type EventKind,
  type Head,
  type Measured,
  type PorosityGuess,
  type SignalId,
  type Strand,
} from '../../records/shapes';

/** How the truth of a virtual head is drawn. */
export interface VirtualHeadOptions {
  readonly seed: number;
  /** A stream of its own for what the days bring: two lives of one head then differ only by what is done to it. */
  readonly daySeed?: number;
  /** Days until half of a departure from rest is gone. */
  readonly halfLifeDays: number;
  /** Where the head rests, added to what its start questions suggest. */
  readonly restShift: Readonly<Record<SignalId, number>>;
  /** Where its truth is not as the model of core/hair supposes. */
  readonly world?: WorldTruth;
  /** Where it is on the first day, in place of what its start questions suggest. */
  readonly level?: Partial<Readonly<Record<SignalId, number>>>;
}

type Push = SchoolVerdict['push'];

/** A truth that is not the model's; what is absent is as the model supposes. */
export interface WorldTruth {
  /** Doses of a contact. */
  readonly doseOf?: typeof doseOf;
  /** Share of an event's effect that stays for good. */
  readonly stays?: Partial<Readonly<Record<EventKind, number>>>;
  /** Where firmness rests goes up and down with the year: by so much, in so many days, from a phase drawn for each head. */
  readonly season?: { readonly amplitude: number; readonly days: number };
  /** All strands of a head are read too firm or too soft by what is drawn once, 1 sd. */
  readonly strandBiasSd?: number;
  /** What a head does with protein, moisture and oil is its own, and recipes hardly differ beside that: 1 sd of its factor, and of a recipe. */
  readonly shared?: { readonly factorSd: number; readonly recipeShare: number };
}

/** Of the softness of a virtual strand: how much of it shows in the stretch. */
const SOFTNESS_IN_STRETCH = 0.5;

/** Shed hairs a day of an ordinary head (50 to 100; American Academy of Dermatology). */
const SHED_PER_DAY = 62;

/** How the truth scatters: as the model supposed when it was loaded, whatever a study makes of the model since. */
const TRUE_SPREAD = Object.fromEntries(
  SIGNAL_IDS.map((id) => [id, { dailySd: SIGNALS[id].dailySd, effectSd: SIGNALS[id].effectSd }]),
) as Record<SignalId, { readonly dailySd: number; readonly effectSd: number }>;

/**
 * A head whose truth is known: three levels that follow the model of core/hair day by day with their own hidden
 * effects, and that answer a reading with raw measurements. The same seed lives the same life.
 */
export class VirtualHead {
  private readonly random: () => number;
  private readonly normal: () => number;
  private readonly dayNoise: () => number;
  private readonly levels: Record<SignalId, number>;
  private readonly rest: Record<SignalId, number>;
  private readonly effects = new Map<string, Record<SignalId, number>>();
  private readonly retention: number;
  private readonly porosity: PorosityGuess;
  private readonly world: WorldTruth;
  private readonly phase: number;
  private readonly strandBias: number;
  private readonly factors: Push;
  private days = 0;

  constructor(head: Pick<Head, 'complaints' | 'porosityGuess'>, options: VirtualHeadOptions) {
    this.random = randomLcg(options.seed);
    this.normal = randomNormal.source(this.random)(0, 1);
    const { daySeed } = options;
    this.dayNoise = daySeed === undefined ? this.normal : randomNormal.source(randomLcg(daySeed))(0, 1);
    this.porosity = head.porosityGuess;
    this.retention = 2 ** (-1 / options.halfLifeDays);
    const told = startingLevel(head);
    this.levels = { ...told, ...options.level };
    this.rest = this.bySignal((signal) => told[signal] + options.restShift[signal]);
    this.world = options.world ?? {};
    // A stream of its own: a head is the same in every world but for what the world changes.
    const drawn = randomNormal.source(randomLcg(options.seed + 0.5))(0, 1);
    this.phase = drawn();
    this.strandBias = (this.world.strandBiasSd ?? 0) * drawn();
    const factor = () => Math.exp((this.world.shared?.factorSd ?? 0) * drawn());
    this.factors = { firm: factor(), soft: factor(), oil: factor() };
  }

  private bySignal(valueOf: (signal: SignalId) => number): Record<SignalId, number> {
    return Object.fromEntries(SIGNAL_IDS.map((signal) => [signal, valueOf(signal)])) as Record<
      SignalId,
      number
    >;
  }

  /** The truth, for tests and for comparing planners; a real head never tells. */
  level(signal: SignalId): number {
    return this.levels[signal];
  }

  /** Where it rests today. */
  restOf(signal: SignalId): number {
    const { season } = this.world;
    if (!season || signal !== 'firmness') return this.rest[signal];
    return (
      this.rest[signal] +
      season.amplitude * Math.sin((2 * Math.PI * this.days) / season.days + 3 * this.phase)
    );
  }

  get retentionPerDay(): number {
    return this.retention;
  }

  /** The hidden effect of a recipe that was asked for or used before. */
  knownEffect(key: string): Readonly<Record<SignalId, number>> | undefined {
    return this.effects.get(key);
  }

  passDay(): void {
    this.days += 1;
    for (const signal of SIGNAL_IDS) {
      const rest = this.restOf(signal);
      const noise = TRUE_SPREAD[signal].dailySd * this.dayNoise();
      this.levels[signal] = rest + this.retention * (this.levels[signal] - rest) + noise;
    }
  }

  /**
   * @param key names the recipe; its hidden effect is drawn once around the prior
   * @param amount share of what is usual for this head
   */
  treat(key: string, push: Push, contactMinutes: number, warmth: Warmth, amount = 1): void {
    const known = this.effectOf(key, push);
    const dose = amountFactor(amount) * (this.world.doseOf ?? doseOf)(contactMinutes, warmth, this.porosity);
    for (const signal of SIGNAL_IDS) this.levels[signal] += dose * known[signal];
  }

  /** The hidden effect of a recipe; asked for before any use, it does not depend on what is used when. */
  effectOf(key: string, push: Push): Readonly<Record<SignalId, number>> {
    const { firm, soft, oil } = this.factors;
    const prior = priorEffect({ firm: firm * push.firm, soft: soft * push.soft, oil: oil * push.oil });
    const share = this.world.shared?.recipeShare ?? 1;
    const known =
      this.effects.get(key) ??
      this.bySignal((signal) => prior[signal] + share * TRUE_SPREAD[signal].effectSd * this.normal());
    this.effects.set(key, known);
    return known;
  }

  suffer(event: EventKind): void {
    for (const signal of SIGNAL_IDS) {
      this.levels[signal] += EVENT_EFFECTS[event][signal];
      const stays = this.world.stays?.[event] ?? EVENT_STAYS[event] ?? 0;
      this.rest[signal] += stays * EVENT_EFFECTS[event][signal];
    }
  }

  /** Raw measurements of today, with the errors that hands, ruler and strands bring. */
  read(strandCount: number, daysSinceDetangle: number | null): Measured {
    const { firmness, breakage, porosity } = this.levels;
    const poisson = (mean: number) => randomPoisson.source(this.random)(Math.max(0.01, mean))();
    const { middleSeconds, sd: mistSd } = POROSITY_TESTS.mist;
    return {
      ...NOTHING_MEASURED,
      strands: Array.from({ length: strandCount }, () =>
        this.strand(firmness + this.strandBias + STRETCH.strandSpread * this.normal()),
      ),
      tally:
        daysSinceDetangle === null
          ? null
          : {
              sections: [
                {
                  broken: poisson(Math.exp(breakage) * daysSinceDetangle),
                  shed: poisson(SHED_PER_DAY * daysSinceDetangle),
                },
              ],
              days: daysSinceDetangle,
            },
      porosity: {
        mistSoakSeconds: clamp(
          Math.round(middleSeconds * Math.exp(-porosity + mistSd * this.normal())),
          2,
          900,
        ),
        dryMinutes: null,
        slide: null,
        sink: null,
      },
      feel: clamp(rounded((firmness + FEEL.sd * this.normal()) / FEEL.firmnessPerStep), -3, 3),
    };
  }

  /** Lengths that a strand of this firmness would show, each read with the ruler's error. */
  private strand(firmness: number): Strand {
    const restMm = randomUniform.source(this.random)(60, 110)();
    const { stretch, stays } = strandShape(firmness, SOFTNESS_IN_STRETCH);
    const read = (mm: number) => Math.round(mm + STRETCH.lengthErrorMm * this.normal());
    const rest = read(restMm);
    const stretched = Math.max(rest, read(restMm * (1 + stretch)));
    if (this.random() < snapsAt(firmness))
      return { outcome: 'snapped', region: null, restMm: rest, snappedMm: stretched };
    // The sheet takes nothing shorter than nine tenths of the length at rest, nor longer than the stretched one.
    const released = clamp(read(restMm * (1 + stays)), Math.ceil(0.9 * rest), stretched);
    return { outcome: 'returned', region: null, restMm: rest, stretchedMm: stretched, releasedMm: released };
  }
}
