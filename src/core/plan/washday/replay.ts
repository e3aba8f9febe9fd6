import { instantAt, millisecondsOf, sum, type Instant } from '../../base/measures';
import type {
  DayTreatment,
  Noted,
  RunEvent,
  RunState,
  StepState,
  TimerState,
  WashRun,
} from '../../hair/history';
import { asksForMoisture, type Felt, type WashStep } from '../../records/shapes';

interface Span {
  readonly from: number;
  to: number | null;
}

const MINUTE_MS = 60_000;

/** A run in the making of its state; each event is taken in its order. */
class Replay {
  steps: WashStep[];
  treatments: readonly DayTreatment[];
  readonly outcomes = new Map<string, 'done' | 'skipped'>();
  readonly spans = new Map<string, Span[]>();
  readonly sections = new Map<string, Set<number>>();
  readonly longer = new Map<string, number>();
  readonly timers = new Map<string, TimerState>();
  readonly pauses: Span[] = [];
  readonly changes: string[] = [];
  readonly order: string[] = [];
  felt: Felt | null = null;
  noted: Noted = {};
  endedAt: number | null = null;
  restDone = false;
  /** No event lies before the one that came before it: a clock that was set back takes no time away. */
  time: number;

  constructor(run: WashRun) {
    this.steps = [...run.steps];
    this.treatments = run.treatments;
    this.time = millisecondsOf(run.startedAt);
    this.open();
    for (const event of run.events) this.take(event);
  }

  isLeftOut({ onlyIfFirm }: WashStep): boolean {
    return onlyIfFirm && this.felt !== null && !asksForMoisture(this.felt);
  }

  get current(): WashStep | undefined {
    return this.steps.find((step) => !this.outcomes.has(step.id) && !this.isLeftOut(step));
  }

  get paused(): boolean {
    return this.pauses.at(-1)?.to === null;
  }

  /** Whether the event says anything now; a second tap of a button does not. */
  means<E extends RunEvent>(event: E): boolean {
    const handler = HANDLERS[event.what] as Handler<E>;
    return this.endedAt === null && handler.means(this, event);
  }

  private take<E extends RunEvent>(event: E): void {
    if (!this.means(event)) return;
    this.time = Math.max(this.time, millisecondsOf(event.at));
    const handler = HANDLERS[event.what] as Handler<E>;
    handler.take(this, event);
  }

  /** What changes which step it is closes the clock of the one and opens that of the other. */
  between(change: () => void): void {
    this.close();
    change();
    this.open();
  }

  open(): void {
    const { current } = this;
    if (!current) return;
    this.spans.set(current.id, [...(this.spans.get(current.id) ?? []), { from: this.time, to: null }]);
  }

  close(): void {
    const open = this.current && this.spans.get(this.current.id)?.at(-1);
    if (open) open.to = this.time;
  }

  /** The rest was done unwatched: the step that was open has no minutes, and what waited for the feel was not asked for. */
  finishUnwatched(): void {
    this.restDone = true;
    if (this.current) this.spans.delete(this.current.id);
    for (const step of this.steps)
      if (!this.outcomes.has(step.id) && !step.onlyIfFirm) this.outcomes.set(step.id, 'done');
  }

  resume(): void {
    const pause = this.pauses.at(-1);
    if (pause?.to === null) pause.to = this.time;
  }

  /** Milliseconds of a step up to `now`; a pause stops her hands, and never the clock of what works by itself. */
  spent({ id, waits }: WashStep, now: number): number | null {
    const spans = this.spans.get(id);
    if (!spans) return null;
    const overlap = (span: Span, pause: Span) =>
      Math.max(0, Math.min(span.to ?? now, pause.to ?? now) - Math.max(span.from, pause.from));
    return sum(
      spans.map((span) => {
        const paused = waits ? 0 : sum(this.pauses.map((pause) => overlap(span, pause)));
        return Math.max(0, (span.to ?? now) - span.from - paused);
      }),
    );
  }

  /** The clock of a step that works by itself, from when it first began. */
  stepTimer(step: WashStep): TimerState | null {
    const first = this.spans.get(step.id)?.[0];
    if (!step.waits || !first) return null;
    const length = step.minutes + (this.longer.get(step.id) ?? 0);
    return timerOf(step.id, step.title, true, first.from, length);
  }
}

interface Handler<E extends RunEvent> {
  readonly means: (replay: Replay, event: E) => boolean;
  readonly take: (replay: Replay, event: E) => void;
}
type EventOf<What extends RunEvent['what']> = Extract<RunEvent, { what: What }>;

const always = () => true;
const settles: Handler<EventOf<'done' | 'skipped'>> = {
  means: ({ current }, { step }) => current?.id === step,
  take: (replay, { step, what }) =>
    replay.between(() => {
      replay.outcomes.set(step, what);
      replay.order.push(step);
    }),
};

const HANDLERS: { readonly [What in RunEvent['what']]: Handler<EventOf<What>> } = {
  done: settles,
  skipped: settles,
  back: {
    means: ({ order }) => order.length > 0,
    take: (replay) => replay.between(() => replay.outcomes.delete(replay.order.pop() ?? '')),
  },
  section: {
    means: ({ current }, { step, section }) => current?.id === step && section < (current.sections ?? 0),
    take: ({ sections }, { step, section }) => {
      const done = sections.get(step) ?? new Set();
      if (!done.delete(section)) done.add(section);
      sections.set(step, done);
    },
  },
  paused: {
    means: ({ paused }) => !paused,
    take: ({ pauses, time }) => pauses.push({ from: time, to: null }),
  },
  resumed: { means: ({ paused }) => paused, take: (replay) => replay.resume() },
  longer: {
    means: ({ current }, { step }) => current?.id === step && current.waits,
    take: ({ longer }, { step, minutes: more }) => longer.set(step, (longer.get(step) ?? 0) + more),
  },
  timer: {
    means: ({ timers }, { id }) => !timers.has(id),
    take: ({ timers, time }, { id, label, minutes: length }) =>
      timers.set(id, timerOf(id, label, false, time, length)),
  },
  'timer-off': {
    means: ({ timers }, { id }) => timers.has(id),
    take: ({ timers }, { id }) => timers.delete(id),
  },
  felt: {
    means: always,
    take: (replay, { felt }) => replay.between(() => (replay.felt = felt)),
  },
  noted: {
    means: always,
    take: (replay, { noted }) => {
      replay.noted = { ...replay.noted, ...noted };
    },
  },
  changed: {
    means: always,
    take: (replay, { said, steps, treatments: meant }) =>
      replay.between(() => {
        replay.treatments = meant;
        replay.steps = [...replay.steps.filter(({ id }) => replay.outcomes.has(id)), ...steps];
        replay.changes.push(said);
      }),
  },
  ended: {
    means: always,
    take: (replay, { restDone }) => {
      replay.close();
      replay.resume();
      if (restDone) replay.finishUnwatched();
      replay.endedAt = replay.time;
    },
  },
};

function timerOf(id: string, label: string, isStep: boolean, from: number, length: number): TimerState {
  return {
    id,
    label,
    isStep,
    startedAt: instantAt(from),
    dueAt: instantAt(from + length * MINUTE_MS),
    minutes: length,
  };
}

/** Where a run stands at `now`: the same events give the same state, after a reload, a sleeping phone or in another tab. */
export function runState(run: WashRun, now: Instant): RunState {
  const replay = new Replay(run);
  const time = Math.max(replay.time, millisecondsOf(now));
  const ended = replay.endedAt !== null || replay.current === undefined;
  const { current } = replay;
  const steps = replay.steps.map((step): StepState => {
    const outcome = ((): StepState['outcome'] => {
      const known = replay.outcomes.get(step.id);
      if (known) return known;
      if (replay.isLeftOut(step)) return 'left-out';
      if (ended) return 'not-reached';
      return step === current ? 'now' : 'ahead';
    })();
    const spent = replay.spent(step, time);
    return {
      step,
      outcome,
      realMinutes: spent === null ? null : spent / MINUTE_MS,
      sectionsDone: [...(replay.sections.get(step.id) ?? [])].sort((a, b) => a - b),
    };
  });
  const now_ = ended ? null : (steps.find(({ step }) => step === current) ?? null);
  const stepTimer = now_ && replay.stepTimer(now_.step);
  return {
    steps,
    treatments: replay.treatments,
    current: now_,
    timers: ended ? [] : [...(stepTimer ? [stepTimer] : []), ...replay.timers.values()],
    felt: replay.felt,
    noted: replay.noted,
    paused: replay.paused,
    ended,
    endedEarly: replay.endedAt !== null && current !== undefined && !replay.restDone,
    endedAt: replay.endedAt !== null ? instantAt(replay.endedAt) : ended ? instantAt(replay.time) : null,
    minutesAhead: sum(
      steps.map(({ step, outcome, realMinutes }) =>
        outcome === 'ahead' || outcome === 'now' ? Math.max(0, step.minutes - (realMinutes ?? 0)) : 0,
      ),
    ),
    changes: replay.changes,
  };
}

/** The run with one more event; the same run where the event says nothing now. */
export function withEvent(run: WashRun, event: RunEvent): WashRun {
  return new Replay(run).means(event) ? { ...run, events: [...run.events, event] } : run;
}

/** After so long without a word she has most likely gone on without the phone (working assumption). */
const QUIET_HOURS = 6;

/**
 * Since when nothing happened on a run that most likely is over; null while it may well be under way: what works
 * by itself, overnight too, is waited for.
 */
export function quietSince(run: WashRun, now: Instant): Instant | null {
  const { current, timers, ended } = runState(run, now);
  if (ended || !current) return null;
  const last = Math.max(
    millisecondsOf(run.startedAt),
    ...run.events.map(({ at: time }) => millisecondsOf(time)),
  );
  const waitsUntil = Math.max(last, ...timers.map(({ dueAt }) => millisecondsOf(dueAt)));
  return millisecondsOf(now) - waitsUntil > QUIET_HOURS * 60 * MINUTE_MS ? instantAt(last) : null;
}

/** How many minutes past its end a timer is; negative while it runs. */
export function lateMinutes({ dueAt }: TimerState, now: Instant): number {
  return (millisecondsOf(now) - millisecondsOf(dueAt)) / MINUTE_MS;
}
