import type { Deed } from '../../records/shapes';
import type { Element, Separator } from './elements';
import type { TokenRange } from './item';
import { says } from './marks';
import type { Duration } from './times';
import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** A step before its text is cut out. */
export interface StepAt extends TokenRange {
  readonly deeds: readonly Deed[];
  readonly minutes: number | null;
  readonly overnight: boolean;
  readonly celsius: number | null;
}

/** Deeds that take their time by themselves: a time said after them is theirs. */
const WAITS: ReadonlySet<Deed> = new Set<Deed>(['soak', 'boil', 'heat', 'cool', 'keep', 'apply']);
/** What goes on through a night. */
const RESTS: ReadonlySet<Deed> = new Set<Deed>(['apply', 'soak', 'keep', 'cool']);
/** What ends the time on the hair. */
const ENDS: ReadonlySet<Deed> = new Set<Deed>(['rinse', 'follow']);
/** A wait that belongs to these is none on the hair. */
export const NOT_ON_HAIR: ReadonlySet<Deed> = new Set<Deed>(['soak', 'keep', 'boil']);
/** What is over a bowl while these are done is no cap. */
const COVERED: ReadonlySet<Deed> = new Set<Deed>(['soak', 'strain']);
/** Nothing that is done in the bowl is told so far behind it, minutes. */
const LONGEST_BEHIND = 180;
/** What is warmed is warm after this, minutes. */
const LONGEST_WARMED = 20;
/** Tokens between days and the fridge. */
const KEPT_WITHIN = 3;
const PARTS = new Set(['comma', 'and', 'dash', 'colon', 'slash']);
export const DAY_MINUTES = 1440;
/** Nothing is made to last so short, minutes. */
const LONGEST_KEPT_ON = 180;
/** What is said of more days than this, and of nothing that is done, tells how long it keeps. */
const LONGEST_WORN_MINUTES = 2 * DAY_MINUTES;

interface Draft {
  from: number;
  to: number;
  deeds: Deed[];
  minutes: number | null;
  overnight: boolean;
  celsius: number | null;
}

/**
 * The steps of one sentence. A chunk between commas that does something else begins a new one; times, temperatures and
 * what is put over the hair belong to the step they stand in.
 * @param before what the last sentence of a method did: a time alone goes on with it
 */
export function stepsOf(
  elements: readonly Element[],
  tokens: readonly Token[],
  words: Vocabulary,
  before: Deed | null,
): StepAt[] {
  return new Steps(elements, tokens, words).read(before);
}

class Steps {
  private readonly steps: Draft[] = [];
  private current: Draft | null = null;
  private chunkFrom: number;
  private lastDeedAt = -1;
  /** Something was measured behind the last deed, in a chunk of its own. */
  private isPast = false;
  private lastTime: (TokenRange & { readonly minutes: number }) | null = null;
  /** How many steps were told before what stands in brackets behind a name. */
  private stepsOutside: number | null = null;
  /** A night that was told there: of the thing, where a later time is told. */
  private readonly inBrackets: Draft[] = [];

  constructor(
    private readonly elements: readonly Element[],
    private readonly tokens: readonly Token[],
    private readonly words: Vocabulary,
  ) {
    this.chunkFrom = elements[0]?.from ?? 0;
  }

  read(before: Deed | null): StepAt[] {
    for (const [index, element] of this.elements.entries()) {
      if (element.kind === 'amount' && this.chunkFrom > this.lastDeedAt) this.isPast = true;
      if (element.kind === 'separator' && PARTS.has(element.separator)) {
        this.chunkFrom = element.to;
        continue;
      }
      if (element.kind === 'separator') this.takeBracket(element.separator, index);
      const isCover =
        element.kind === 'deed' &&
        element.deed === 'heat' &&
        this.words.roles.warm.at(this.tokens, element.from) !== undefined;
      if (element.kind === 'deed' && element.deed !== 'take' && !isCover && !this.isDenied(index))
        this.takeDeed(element.deed, element);
      else this.takeTime(element);
      if (this.current) this.current.to = Math.max(this.current.to, element.to);
    }
    for (const step of this.inBrackets)
      if (this.steps.slice(this.steps.indexOf(step) + 1).some(({ minutes }) => minutes !== null))
        step.deeds = ['soak'];
    // "a handful of rosemary in oil, two weeks on the sill": it is in the bowl.
    const isMeasured = this.elements.some(({ kind }) => kind === 'amount');
    const unsaid = (step: Draft): Deed => {
      if (before !== null && NOT_ON_HAIR.has(before)) return before;
      // "Spray bottle. Two weeks.": nothing stays on hair so long.
      // … "bottle it, shake, two weeks max"
      const isAtMost = [step.to - 1, step.to].some((at) => says(this.tokens[at], 'atMost'));
      return (step.minutes ?? 0) > LONGEST_WORN_MINUTES && (isAtMost || !isMeasured) ? 'keep' : 'apply';
    };
    return this.steps.map((step) =>
      step.deeds.length > 0 ? this.settled(step) : { ...step, deeds: [atDegrees(step) ?? unsaid(step)] },
    );
  }

  /** "rice water (left overnight), … 15 minutes": a night in brackets behind a name is that of the thing. */
  private takeBracket(separator: Separator, index: number): void {
    if (separator === 'open')
      this.stepsOutside = this.elements[index - 1]?.kind === 'name' ? this.steps.length : null;
    if (separator !== 'close') return;
    const step = this.stepsOutside === this.steps.length - 1 ? this.current : null;
    if (!step?.overnight || step.deeds.some((deed) => deed !== 'apply')) return;
    this.inBrackets.push(step);
    this.current = null;
  }

  /** "In the fridge for five days" is kept, "keep it in for thirty minutes" is on the hair. */
  private settled(step: Draft): Draft {
    const { deeds, minutes, from, to } = step;
    const only = deeds.join();
    if (minutes === null) return step;
    if (only === 'cool' && minutes >= DAY_MINUTES) return { ...step, deeds: ['keep'] };
    const isCold = this.tokens.slice(from, to).some((token) => says(token, 'coldPlace'));
    const isOn = (only === 'keep' || only === 'keep,apply') && minutes <= LONGEST_KEPT_ON && !isCold;
    return isOn ? { ...step, deeds: ['apply'] } : step;
  }

  private begin(from: number, to: number): Draft {
    const draft: Draft = { from, to, deeds: [], minutes: null, overnight: false, celsius: null };
    this.steps.push(draft);
    this.current = draft;
    return draft;
  }

  /** "no heat", "don't boil", "after the shampoo" */
  private isDenied(index: number): boolean {
    const { from } = this.elements[index] ?? { from: 0 };
    // "while I cook"
    if (
      [2, 3].some(
        (back) =>
          says(this.tokens[from - back], 'meanwhile') && says(this.tokens[from - back + 1], 'somebody'),
      )
    )
      return true;
    // "cold water or it'll cook"
    const isElse = [2, 3].some(
      (back) =>
        this.words.roles.or.at(this.tokens, from - back) !== undefined &&
        says(this.tokens[from - back + 1], 'elseThen'),
    );
    if (isElse) return true;
    const [last, before] = [this.elements[index - 1], this.elements[index - 2]];
    const isEach = last?.kind === 'role' && last.role === 'each';
    const earlier = isEach ? before : last;
    // "I don't keep it more than 2 days"
    const { to } = this.elements[index] ?? { to: 0 };
    if ([to, to + 1].some((at) => says(this.tokens[at], 'moreThan'))) return false;
    // "after the shampoo, for 20 minutes": when, and no deed.
    return earlier?.kind === 'role' && (earlier.role === 'not' || earlier.role === 'beside');
  }

  private takeDeed(deed: Deed, element: TokenRange): void {
    this.lastDeedAt = element.from;
    this.isPast = false;
    const { current } = this;
    const goesOn = current !== null && !this.isPutOnNow(current, element) && this.goesOn(current, deed);
    if (current && !goesOn) {
      const end = Math.max(current.from + 1, Math.min(this.chunkFrom, element.from));
      current.to = Math.max(current.to, Math.min(end, element.from));
    }
    const step =
      current && goesOn
        ? current
        : this.begin(Math.max(this.chunkFrom, current ? current.to : 0), element.to);
    if (!step.deeds.includes(deed)) step.deeds.push(deed);
    if (deed === 'apply' && current && current !== step) {
      this.handOver(current, step, element);
      handNight(current, step);
    }
    if (deed === 'keep' && current && current !== step) this.handDays(current, step, element);
  }

  /** "mix, 30 minutes on the hair": a time right before what is done on the hair is not that of what takes none. */
  private handOver(earlier: Draft, step: Draft, { from }: TokenRange): void {
    const { lastTime } = this;
    const isOfChunk = lastTime !== null && lastTime.from >= this.chunkFrom && step.from >= this.chunkFrom;
    const takesNone = isOfChunk || !earlier.deeds.some((deed) => WAITS.has(deed));
    if (!lastTime || !takesNone || from - lastTime.to > 1 || earlier.minutes !== lastTime.minutes) return;
    step.minutes = lastTime.minutes;
    earlier.minutes = null;
  }

  /** "Mist daily, 2 days in the fridge": so long it keeps. */
  private handDays(earlier: Draft, step: Draft, { from }: TokenRange): void {
    const { lastTime } = this;
    const isDays = lastTime !== null && lastTime.minutes >= DAY_MINUTES;
    if (!isDays || from - lastTime.to > KEPT_WITHIN || earlier.minutes !== lastTime.minutes) return;
    step.minutes = lastTime.minutes;
    earlier.minutes = null;
  }

  /** "sit it for 4 hours, then apply": what rested before did so in the bowl. */
  private isPutOnNow({ from, minutes }: Draft, element: TokenRange): boolean {
    return minutes !== null && this.chunkFrom > from && says(this.tokens[element.from], 'putsOn');
  }

  private goesOn({ deeds, from, minutes }: Draft, deed: Deed): boolean {
    const isSameChunk = this.chunkFrom <= from;
    // "10 minutes after the shampoo": a time of its own, and then another deed.
    if (deeds.length === 0 && minutes !== null && (deed === 'rinse' || deed === 'follow')) return false;
    return deeds.includes(deed) || (isSameChunk && (deeds.length === 0 || deed !== 'apply'));
  }

  private takeTime(element: Element): void {
    const night = this.words.roles.overnight.at(this.tokens, element.from) !== undefined;
    const cover =
      (this.words.roles.cap.at(this.tokens, element.from) ??
        this.words.roles.warm.at(this.tokens, element.from)) !== undefined;
    const isTime = element.kind === 'duration' || element.kind === 'temperature';
    if (!isTime && !night && !cover) return;
    const step = this.stepOfTime(element, { cover, night });
    if (element.kind === 'duration') this.takeDuration(step, element.duration);
    if (element.kind === 'temperature') step.celsius = element.celsius;
    if (night) step.overnight = true;
    const isSlept = night && this.isSlept(element.from);
    const isCap = cover && !step.deeds.some((deed) => COVERED.has(deed));
    if ((isSlept || isCap) && !step.deeds.includes('apply')) step.deeds.push('apply');
  }

  private takeDuration(step: Draft, { from, to, minutes }: Duration): void {
    if (this.isAfter(from) && isEnding(step)) step.deeds.unshift('apply');
    this.lastTime = { from, to, minutes };
    // "fridge 1 week / freezer 3 months": the shorter is sure.
    const isKept = step.deeds.includes('keep') && Math.min(step.minutes ?? 0, minutes) >= DAY_MINUTES;
    step.minutes = (isKept ? Math.min : Math.max)(step.minutes ?? minutes, minutes);
  }

  /** "rinse after ten minutes", "lavo depois de 10 minutos" */
  private isAfter(at: number): boolean {
    const [near, earlier] = [this.tokens[at - 1], this.tokens[at - 2]];
    return says(near, 'after') || (says(near, 'of') && says(earlier, 'after'));
  }

  /** "before bed": on the hair, whatever was done before. */
  private isSlept(at: number): boolean {
    return this.tokens.slice(at, at + 3).some((token) => says(token, 'sleeps'));
  }

  /** Nothing is warmed so long; "cool, 1 tbsp honey, 30 minutes" is behind what was measured: on the hair by then. */
  private isOfHair(minutes: number, { deeds }: Draft): boolean {
    const isLong = minutes >= LONGEST_WARMED && deeds.every((deed) => deed === 'heat');
    return isLong || (this.isPast && minutes <= LONGEST_BEHIND);
  }

  /** A time of its own, behind what takes none or has its time already, is that of the hair. */
  private stepOfTime(element: Element, { cover, night }: { cover: boolean; night: boolean }): Draft {
    const { current } = this;
    if (!current) return this.begin(this.chunkFrom, element.to);
    const isLater = this.chunkFrom > this.lastDeedAt && this.chunkFrom > current.from;
    const takesNone = current.deeds.length > 0 && !current.deeds.some((deed) => WAITS.has(deed));
    const hasTime = (current.minutes !== null || current.overnight) && !current.deeds.includes('apply');
    const isNight = night && !current.deeds.some((deed) => RESTS.has(deed));
    const isOwn =
      element.kind === 'duration'
        ? takesNone || hasTime || this.isOfHair(element.duration.minutes, current)
        : isNight || (cover && takesNone);
    return isLater && isOwn ? this.begin(this.chunkFrom, element.to) : current;
  }
}

/** "At night I mix … and massage": what takes no time goes on through no night, what is on the hair does. */
function handNight(earlier: Draft, step: Draft): void {
  if (!earlier.overnight || earlier.deeds.some((deed) => WAITS.has(deed))) return;
  step.overnight = true;
  earlier.overnight = false;
}

const isEnding = ({ deeds }: Draft): boolean => deeds.length > 0 && deeds.every((deed) => ENDS.has(deed));

/** Above this a number of degrees alone says to heat, below it that something is stirred in there, °C. */
const HEATED_FROM = 45;

function atDegrees({ celsius }: Draft): Deed | null {
  if (celsius === null) return null;
  return celsius > HEATED_FROM ? 'heat' : 'mix';
}
