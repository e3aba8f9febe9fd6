import type { Deed } from '../../records/shapes';
import { plainWords } from '../ingredients';
import type { ToldStep, ToldUse } from '../larder';
import type { Element } from './elements';
import type { TokenRange } from './item';
import { isMark, says, type Mark } from './marks';
import type { Duration } from './times';
import { isSign, isWord, touches, type Token } from './tokens';
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
const NOT_ON_HAIR: ReadonlySet<Deed> = new Set<Deed>(['soak', 'keep', 'boil']);
/** What is over a bowl while these are done is no cap. */
const COVERED: ReadonlySet<Deed> = new Set<Deed>(['soak', 'strain']);
/** Nothing that is done in the bowl is told so far behind it, minutes. */
const LONGEST_BEHIND = 180;
/** What is warmed is warm after this, minutes. */
const LONGEST_WARMED = 20;
/** Tokens between days and the fridge. */
const KEPT_WITHIN = 3;
const PARTS = new Set(['comma', 'and', 'dash', 'colon', 'slash']);
/** The longest time on the hair, minutes: twelve hours. */
const LONGEST_CONTACT = 720;
/** From this on it is a night, minutes. */
const NIGHT_FROM = 240;
const NIGHT_MINUTES = 480;
const DAY_MINUTES = 1440;
/** A leave-in that is re-wetted stays a week at most. */
const LONGEST_WORN = 8 * DAY_MINUTES;

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
      const isCover =
        element.kind === 'deed' &&
        element.deed === 'heat' &&
        this.words.roles.warm.at(this.tokens, element.from) !== undefined;
      if (element.kind === 'deed' && element.deed !== 'take' && !isCover && !this.isDenied(index))
        this.takeDeed(element.deed, element);
      else this.takeTime(element);
      if (this.current) this.current.to = Math.max(this.current.to, element.to);
    }
    const unsaid: Deed = before !== null && NOT_ON_HAIR.has(before) ? before : 'apply';
    return this.steps.map((step) =>
      step.deeds.length > 0 ? step : { ...step, deeds: [atDegrees(step) ?? unsaid] },
    );
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
    if (deed === 'apply' && current && current !== step) this.handOver(current, step, element);
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
    step.minutes = Math.max(step.minutes ?? 0, minutes);
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

const isEnding = ({ deeds }: Draft): boolean => deeds.length > 0 && deeds.every((deed) => ENDS.has(deed));

/** Above this a number of degrees alone says to heat, below it that something is stirred in there, °C. */
const HEATED_FROM = 45;

function atDegrees({ celsius }: Draft): Deed | null {
  if (celsius === null) return null;
  return celsius > HEATED_FROM ? 'heat' : 'mix';
}

/** "on for 20": on the hair, though nobody names it. */
const ON_FOR = 'on for';
const saysMark = (text: string, mark: Mark): boolean => plainWords(text).some((word) => isMark(word, mark));
const isOnHair = (text: string): boolean =>
  saysMark(text, 'onHair') || plainWords(text).join(' ').includes(ON_FOR);
/** Told behind, done before: "strain first", "Strain!!". */
const isReminder = (text: string): boolean => saysMark(text, 'reminds') || text.trimEnd().endsWith('!!');
/** What is done in the bowl. */
const IN_BOWL: ReadonlySet<Deed> = new Set<Deed>(['mix', 'blend', 'strain', 'heat', 'boil', 'whip']);

/**
 * "Cover and leave overnight. In the morning stir in an egg": what rests before it is mixed rests in the bowl. So does what
 * is left for days, and what is left before the last thing goes in, where there is a later time on the hair.
 * @param lastAdded where the last measured thing stands in the text
 */
export function restsTold(steps: readonly ToldStep[], lastAdded = 0): ToldStep[] {
  return steps.map((given, index) => {
    const step = withHair(given, steps, index);
    // "Gloss (2 hrs): …": how long it is on.
    const isOfTitle = index === 0 && step.text.startsWith('(');
    const isBare = step.deeds.every((deed) => deed === 'apply') && !isOfTitle && !isOnHair(step.text);
    const isTimed = step.overnight || step.minutes !== null;
    const isLong = (step.minutes ?? 0) > LONGEST_WORN;
    const later = steps.slice(index + 1);
    const rinsed = later.findIndex(({ deeds }) => deeds.includes('rinse'));
    const inTime = later.slice(0, rinsed < 0 ? later.length : rinsed);
    // "15 minutes et eau tiède": nothing is warmed last.
    const isMixedLater = inTime.some(
      ({ deeds, text }, at) =>
        deeds.some((deed) => IN_BOWL.has(deed) && (deed !== 'heat' || at + 1 < inTime.length)) &&
        !isReminder(text) &&
        // "It rinses clean if you sieve it."
        !saysMark(text, 'if'),
    );
    // "sit it for 4 hours, then apply and keep on 3 hours"
    const isPutOnLater =
      !saysMark(step.text, 'putsOn') &&
      inTime.some(
        ({ text, minutes, overnight }) => (minutes !== null || overnight) && saysMark(text, 'putsOn'),
      );
    const isAddedLater =
      step.end <= lastAdded &&
      inTime.some(
        ({ deeds, minutes, overnight, start }) =>
          deeds.includes('apply') && (minutes !== null || overnight) && start >= lastAdded,
      );
    const isOfBowl = isMixedLater || isLong || isPutOnLater || isAddedLater;
    return isBare && isTimed && isOfBowl ? { ...step, deeds: ['soak'] } : step;
  });
}

function withHair(step: ToldStep, steps: readonly ToldStep[], index: number): ToldStep {
  if (isHeatedOn(step, steps[index - 1])) return { ...step, deeds: ['apply', 'heat'] };
  // "Strain, cool, 20 min.": nothing else is said of the hair.
  const isApart = step.deeds.join() === 'cool' && step.text.includes(',');
  const isCooled = isApart && index + 1 === steps.length && (step.minutes ?? 0) >= LEAST_HEATED_ON;
  const isUnsaid = steps.every(({ deeds }) => !deeds.includes('apply') && !deeds.includes('rinse'));
  return isCooled && isUnsaid ? { ...step, deeds: ['cool', 'apply'] } : step;
}

/** "Apply warm. Heat 15 min.": on the hair. */
const isHeatedOn = ({ deeds, minutes }: ToldStep, before: ToldStep | undefined): boolean =>
  deeds.join() === 'heat' && (minutes ?? 0) >= LEAST_HEATED_ON && (before?.deeds.includes('apply') ?? false);
const LEAST_HEATED_ON = 5;

/** What all steps set together. */
export function toldUse(
  steps: readonly ToldStep[],
  tokens: readonly Token[],
  words: Vocabulary,
  title: string | null,
): ToldUse {
  const has = (role: 'cap' | 'warm' | 'beforeWash') =>
    tokens.some(
      (token, index) =>
        isWord(token) &&
        words.roles[role].at(tokens, index) !== undefined &&
        // "no shampoo after"
        !words.roles.not.endsAt(tokens, index, 2) &&
        // "through a tea towel": strained.
        !(role === 'cap' && isStrainedThrough(tokens, index, words)),
    );
  const coolAt = [...tokens.keys()].filter(
    (index) => isWord(tokens[index]) && words.roles.coolRinse.at(tokens, index) !== undefined,
  );
  // "60 ml cold water" goes in.
  // "num copo de água fria"
  const isMeasured = (index: number) =>
    words.roles.of.endsAt(tokens, index, 1) && words.units.endsAt(tokens, index - 1, 3);
  const isCoolRinse = coolAt.some(
    (index) =>
      ([1, 2].every((back) => tokens[index - back]?.kind !== 'number') && !isMeasured(index)) ||
      // "nach 20 Minuten kalt ausspülen"
      words.time.endsAt(tokens, index, 1) ||
      // "leave 15 and cold water"
      words.roles.and.endsAt(tokens, index, 1),
  );
  // "20 minutes, cold water always"
  const isCoolAlone = coolAt.some(
    (index) =>
      tokens[index - 1]?.kind === 'sign' ||
      tokens[index - 1]?.kind === 'break' ||
      // "Then cold water."
      (words.roles.and.endsAt(tokens, index, 1) && tokens[index - 2]?.kind === 'sign') ||
      // "ten minutes and cold water"
      (words.roles.and.endsAt(tokens, index, 1) &&
        (words.time.endsAt(tokens, index - 1, 1) || tokens[index - 2]?.kind === 'number')) ||
      tokens.slice(index + 1, index + AT_END_WITHIN).some((next) => says(next, 'atEnd')),
  );
  const does = (deed: Deed) => steps.some(({ deeds }) => deeds.includes(deed));
  const onHair = steps.filter(
    ({ deeds }) => deeds.includes('apply') && !deeds.some((deed) => NOT_ON_HAIR.has(deed)),
  );
  const times = onHair.flatMap(({ minutes }) =>
    minutes === null || minutes > LONGEST_CONTACT ? [] : [minutes],
  );
  // "Wash in the morning"
  const isMorning = tokens.some(
    (_, at) =>
      words.deeds.at(tokens, at)?.value === 'rinse' && words.roles.overnight.at(tokens, at) !== undefined,
  );
  const overnight =
    isMorning ||
    (times.length === 0 && isOfNight(title, tokens, words)) ||
    onHair.some(
      ({ overnight: isNight, minutes }) =>
        isNight || ((minutes ?? 0) > NIGHT_FROM && (minutes ?? 0) <= DAY_MINUTES),
    );
  const keeps = steps.find(({ deeds, minutes }) => deeds.includes('keep') && (minutes ?? 0) >= DAY_MINUTES);
  const isCap = has('cap');
  const untimed = overnight ? NIGHT_MINUTES : null;
  return {
    minutes: times.length > 0 ? Math.round(Math.max(...times)) : untimed,
    warmth:
      has('warm') || steps.some(({ deeds }) => deeds.join() === 'apply,heat')
        ? 'warm'
        : isCap || times.length > 0
          ? 'room'
          : null,
    overnight,
    cap: isCap,
    strained: does('strain'),
    beforeWash: has('beforeWash'),
    coolRinse: isCoolRinse && (does('rinse') || (isCoolAlone && times.length > 0)),
    keepsDays: keeps ? Math.round((keeps.minutes ?? 0) / DAY_MINUTES) : null,
    claim: claimIn(title, tokens, words),
  };
}

/** "Overnight oil: …", "Óleo pra dormir: …" */
const isOfNight = (title: string | null, tokens: readonly Token[], { roles }: Vocabulary): boolean =>
  title !== null &&
  tokens
    .slice(0, title.split(/\s+/).length)
    .some((token, at) => isWord(token) && roles.overnight.at(tokens, at) !== undefined);

const AT_END_WITHIN = 6;

/** How many tokens before a cloth may tell that something is pressed through it. */
const THROUGH_WITHIN = 3;

const isStrainedThrough = (tokens: readonly Token[], index: number, { deeds }: Vocabulary): boolean => {
  const before = tokens.slice(Math.max(0, index - 2 * THROUGH_WITHIN), index);
  const isThrough = before.slice(-THROUGH_WITHIN).some((token) => says(token, 'through'));
  return (
    isThrough && before.some((_, at) => deeds.at(tokens, index - before.length + at)?.value === 'strain')
  );
};

/** How many words before a claim may tell that it is of the next treatment. */
const NEXT_WITHIN = 5;

/** "… then you do a moisture mask": of another one. */
const isOfNext = (tokens: readonly Token[], index: number, { deeds }: Vocabulary): boolean =>
  tokens
    .slice(Math.max(0, index - NEXT_WITHIN), index)
    .some(
      (token, back, before) =>
        says(token, 'then') || deeds.at(tokens, index - before.length + back)?.value === 'follow',
    );

/** Within so many words of "mask" and the like it says what the mixture is. */
const CLAIM_WITHIN = 3;

/** "protein mask", "máscara de proteína": what she calls it, in the title before anywhere else. */
function claimIn(title: string | null, tokens: readonly Token[], words: Vocabulary): ToldUse['claim'] {
  const claims = tokens.flatMap((token, index) => {
    const found = isWord(token) ? words.claims.at(tokens, index) : undefined;
    return found ? [{ claim: found.value, index, raw: token.raw.toLowerCase() }] : [];
  });
  const inTitle = claims.find(({ raw }) => title !== null && title.toLowerCase().includes(raw));
  const isBeside = (index: number) =>
    Array.from({ length: 2 * CLAIM_WITHIN }, (_, at) => index - CLAIM_WITHIN + at).some(
      (at) =>
        at >= 0 &&
        (words.roles.kinds.at(tokens, at) !== undefined ||
          (at < index && says(tokens[at], 'calls')) ||
          (at > index && says(tokens[at], 'calledSo'))),
    );
  // "protein-ish" is none of it.
  const isDenied = (index: number) =>
    words.roles.not.endsAt(tokens, index, 2) ||
    (isSign(tokens[index + 1], '-') && touches(tokens[index], tokens[index + 1]));
  const beside = claims.find(
    ({ index }) => isBeside(index) && !isDenied(index) && !isOfNext(tokens, index, words),
  );
  return (inTitle ?? beside)?.claim ?? null;
}
