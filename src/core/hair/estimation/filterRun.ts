import type { Measurement } from '../checks';
import { judgedCount, judgedLikelihood, judgedValue, OFF, type Judged } from './judged';
import {
  levelOf,
  loosen,
  meanOf,
  observe,
  passDay,
  loosenRest,
  push,
  startState,
  type KalmanState,
  type Moments,
  type Prior,
} from './kalman';
import { markOf, type TapeEntry } from './smoother';

type Observed = Pick<Measurement, 'value' | 'sd' | 'count' | 'likelihood' | 'isOfMany'>;

/** What happens to a level, in order. Days are counted from the first. */
export type LevelStep =
  | {
      readonly day: number;
      readonly what: 'push';
      readonly effect: number;
      readonly dose: number;
      /** Nobody knows whether it was on this day: the level may or may not have moved by then. */
      readonly isUnsure?: boolean;
    }
  | {
      readonly day: number;
      readonly what: 'measure';
      readonly measurement: Observed;
    };

/** What is taken to be true while a filter runs. */
export interface Hypothesis {
  readonly halfLifeDays: number;
  /** Errors of this head's measurements, as a multiple of the usual ones. */
  readonly errorFactor: number;
  /** What a day adds by itself, as a multiple of what is usual. */
  readonly dailyFactor: number;
}

/** What of an effect stays in the hair. */
export interface Lasting {
  readonly effect: number;
  /** How many doses of it the resting level of each day has in it: hair that had them grows out and is cut off. */
  readonly doses: Float64Array;
}

/** How a level moves and what is believed of it before any reading. */
export interface LevelModel {
  readonly level: Prior;
  readonly rest: Prior;
  readonly effects: readonly Prior[];
  readonly dailySd: number;
  /** 1 sd of what a day moves the resting level by itself: seasons, water, food. */
  readonly restDailySd: number;
  /** Effects that do not fade: so much of each moves the resting level, too, from the day on which it happened. */
  readonly lasting: readonly Lasting[];
  /** Half-lives of a departure from the resting level over which the estimate is averaged, days. */
  readonly halfLifeGridDays: readonly number[];
  /** Of counts; see countLogLikelihood. */
  readonly overdispersion: number;
}

/** Keeps what a filter does, for the smoother. */
export interface Recorder {
  readonly tape: TapeEntry[];
  readonly isMarked: (day: number) => boolean;
}

/** Two measurements off to the same side: something happened that nobody wrote down. It may have moved the level by this, 1 sd. */
const UNSEEN_MOVE_SD = 1;

/**
 * Several measurements of one moment that all lie off to one side are rather the hair than as many slips: so improbable is it that it
 * moved unseen by this much, 1 sd, between two moments (working assumptions).
 */
const UNSEEN_AT_ONCE = { share: 0.01, sd: 1.5 } as const;
/** Log-likelihood of a moment below which that is asked. */
const SURPRISING = -5;

/** One filter under one hypothesis, run day by day. */
export class FilterRun {
  readonly state: KalmanState;
  readonly retention: number;
  logLikelihood = 0;
  /** Indices of steps whose measurement was probably off. */
  readonly off: number[] = [];
  private day = 0;
  private next = 0;
  private readonly scratch: Float64Array;
  private readonly waiting = { precision: 0, weighed: 0 };
  /** Where the measurements that wait began. */
  private moment = { first: 0, logLikelihood: 0, off: 0 };
  private lastOff: { readonly side: number; readonly day: number } | null = null;

  constructor(
    readonly hypothesis: Hypothesis,
    private readonly model: LevelModel,
    private readonly steps: readonly LevelStep[],
    /** What is needed to look back; most hypotheses are given up and need none. */
    private readonly recorder: Recorder | null = null,
  ) {
    this.retention = 2 ** (-1 / hypothesis.halfLifeDays);
    this.state = startState(model.level, model.rest, model.effects);
    this.scratch = new Float64Array(this.state.size);
  }

  /** Runs to the end of a day, that day included, with a mark at the end of each that is to be looked back on. */
  runTo(lastDay: number): void {
    const dailySd = this.model.dailySd * this.hypothesis.dailyFactor;
    for (; this.day <= lastDay; this.day++) {
      if (this.day > 0) {
        passDay(this.state, this.retention, dailySd);
        loosenRest(this.state, this.model.restDailySd);
        this.recorder?.tape.push({ what: 'day', retention: this.retention });
        this.drawToDamage();
      }
      for (
        let step = this.steps[this.next];
        step !== undefined && step.day <= this.day;
        step = this.steps[++this.next]
      )
        this.take(step);
      this.settle();
      if (this.recorder?.isMarked(this.day)) this.recorder.tape.push(markOf(this.state));
    }
  }

  /** Back to where the hair rests is back to where it rests with what was done to it. */
  private drawToDamage(): void {
    for (const { effect, doses } of this.model.lasting) {
      const dose = (1 - this.retention) * (doses[this.day] ?? 0);
      if (dose === 0) continue;
      push(this.state, effect, dose);
      this.recorder?.tape.push({ what: 'push', effect, dose });
    }
  }

  private take(step: LevelStep): void {
    if (step.what === 'push') {
      this.settle();
      if (step.isUnsure) loosen(this.state, step.dose * meanOf(this.state, step.effect));
      push(this.state, step.effect, step.dose);
      this.recorder?.tape.push({ what: 'push', effect: step.effect, dose: step.dose });
      return;
    }
    if (this.waiting.precision === 0)
      this.moment = { first: this.next, logLikelihood: this.logLikelihood, off: this.off.length };
    let judged = this.judge(step.measurement);
    const side = Math.sign(judged.value - this.level().mean);
    const isOff = judged.off > 0.5;
    if (isOff && this.lastOff?.side === side && this.lastOff.day < this.day) {
      // Once is a slip of the hand; twice on different days, the same way, is the hair.
      this.settle();
      loosen(this.state, UNSEEN_MOVE_SD);
      judged = this.judge(step.measurement);
      this.logLikelihood += Math.log(OFF.share);
      this.lastOff = null;
    } else {
      this.lastOff = isOff ? { side, day: this.day } : this.lastOff?.day === this.day ? this.lastOff : null;
      if (isOff) this.off.push(this.next);
    }
    this.wait(judged);
    if (this.next > this.moment.first) this.reconsider();
  }

  private wait(judged: Judged): void {
    this.logLikelihood += judged.logLikelihood;
    const precision = 1 / judged.errorVariance;
    this.waiting.precision += precision;
    this.waiting.weighed += precision * judged.value;
  }

  /** Takes the measurements that wait as of hair that moved unseen, where that explains them better than as many slips do. */
  private reconsider(): void {
    const { first, logLikelihood, off } = this.moment;
    const asSlips = this.logLikelihood - logLikelihood;
    if (asSlips > SURPRISING) return;
    const known = { ...this.waiting, logLikelihood: this.logLikelihood };
    const variance = levelOf(this.state).variance;
    Object.assign(this.waiting, { precision: 0, weighed: 0 });
    this.logLikelihood = logLikelihood + Math.log(UNSEEN_AT_ONCE.share);
    loosen(this.state, UNSEEN_AT_ONCE.sd);
    for (const step of this.steps.slice(first, this.next + 1))
      if (step.what === 'measure') this.wait(this.judge(step.measurement));
    if (this.logLikelihood - logLikelihood > asSlips) {
      this.off.length = off;
      this.lastOff = null;
      return;
    }
    this.state.covariance[0] = variance;
    this.logLikelihood = known.logLikelihood;
    Object.assign(this.waiting, { precision: known.precision, weighed: known.weighed });
  }

  /** The level with the measurements that wait. */
  private level(): Moments {
    const { mean, variance } = levelOf(this.state);
    const { precision, weighed } = this.waiting;
    const together = 1 / variance + precision;
    return { mean: (mean / variance + weighed) / together, variance: 1 / together };
  }

  /** Measurements of one moment enter as one: the same answer, and the covariance is gone through once. */
  private settle(): void {
    const { precision, weighed } = this.waiting;
    if (precision === 0) return;
    const gain = this.recorder ? new Float64Array(this.state.used) : this.scratch;
    const observation = observe(this.state, weighed / precision, 1 / precision, gain);
    this.recorder?.tape.push({ what: 'observe', ...observation });
    this.waiting.precision = 0;
    this.waiting.weighed = 0;
  }

  private judge({ value, sd, count, likelihood, isOfMany = false }: Observed): Judged {
    if (likelihood)
      return judgedLikelihood(this.level(), likelihood, sd, this.hypothesis.errorFactor, isOfMany);
    const factor = this.hypothesis.errorFactor ** 2;
    return count
      ? judgedCount(this.level(), count, this.model.overdispersion * factor)
      : judgedValue(this.level(), value, sd ** 2 * factor);
  }
}
