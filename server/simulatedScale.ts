/**
 * A kitchen scale that is not there: it settles, drifts and trembles as a cheap one does. Loads are told to it, because
 * nobody can put a bowl on it.
 */
export interface ScaleTraits {
  /** Time constant of settling, ms. */
  readonly settleMs: number;
  /** The zero creeps by so much a minute, g. */
  readonly driftGramsPerMinute: number;
  /** The display trembles within so much either way, g. */
  readonly trembleGrams: number;
  /** What it shows is rounded to this, g. */
  readonly stepGrams: number;
  readonly mostGrams: number;
}

/** A five-kilogram scale of the usual kind (working assumption). */
export const KITCHEN_SCALE: ScaleTraits = {
  settleMs: 350,
  driftGramsPerMinute: 0.4,
  trembleGrams: 0.2,
  stepGrams: 0.1,
  mostGrams: 5000,
};

export class SimulatedScale {
  private loadGrams = 0;
  private shownBefore = 0;
  private changedAtMs: number;
  private zeroGrams = 0;
  private readonly startedAtMs: number;
  private random: number;

  constructor(
    nowMs: number,
    seed: number,
    private readonly traits: ScaleTraits = KITCHEN_SCALE,
  ) {
    this.startedAtMs = nowMs;
    this.changedAtMs = nowMs;
    this.random = seed >>> 0;
  }

  /** Puts something on, or takes it off with a negative weight; the plate is never lighter than empty. */
  add(grams: number, nowMs: number): void {
    this.shownBefore = this.settling(nowMs);
    this.loadGrams = Math.min(this.traits.mostGrams, Math.max(0, this.loadGrams + grams));
    this.changedAtMs = nowMs;
  }

  /** What lies on it now counts as nothing. */
  tare(nowMs: number): void {
    this.zeroGrams = this.settling(nowMs) + this.drift(nowMs);
  }

  read(nowMs: number): number {
    const tremble = (2 * this.next() - 1) * this.traits.trembleGrams;
    const raw = this.settling(nowMs) + this.drift(nowMs) - this.zeroGrams + tremble;
    const shown = Math.round(raw / this.traits.stepGrams) * this.traits.stepGrams;
    return Number(shown.toFixed(1)) + 0;
  }

  private settling(nowMs: number): number {
    const left = Math.exp(-Math.max(0, nowMs - this.changedAtMs) / this.traits.settleMs);
    return this.loadGrams + (this.shownBefore - this.loadGrams) * left;
  }

  private drift(nowMs: number): number {
    return (this.traits.driftGramsPerMinute * (nowMs - this.startedAtMs)) / 60_000;
  }

  /** Numerical Recipes' linear congruential generator: the same seed trembles the same way. */
  private next(): number {
    this.random = (Math.imul(1_664_525, this.random) + 1_013_904_223) >>> 0;
    return this.random / 2 ** 32;
  }
}
