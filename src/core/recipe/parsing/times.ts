import { says } from './marks';
import { Quantities, type Quantity } from './quantities';
import { beginsBehind, isNumber, isSign, isWord, touches, type Token } from './tokens';
import type { TimeUnit, Vocabulary } from './vocabulary';

/** So many minutes, hours … */
export interface Duration {
  readonly from: number;
  readonly to: number;
  readonly minutes: number;
}

const MINUTES: Readonly<Record<TimeUnit, number>> = {
  s: 1 / 60,
  min: 1,
  h: 60,
  day: 1440,
  week: 10_080,
  month: 43_200,
};

/** Minutes that nobody called so are at least and at most this many. */
const LEAST_BARE_MINUTES = 5;
const MOST_BARE_MINUTES = 180;

/** Nobody says a time so many times as long as a range. */
const WIDEST_RANGE = 6;

/** Tokens behind minutes that say what is over the hair: "under the cling film". */
const CAP_WITHIN = 4;

/** Tokens between a time and another one that says no unit. */
const OTHER_WITHIN = 12;

/** Below this a number before a bare C is no temperature, degrees. */
const LEAST_DEGREES = 20;
/** "both to seventy, pour", "at forty 3 g preservative": degrees that need no word. */
const BARE_DEGREES = { least: 35, most: 100 } as const;

/** Reads durations and temperatures out of tokens with the words of the text's languages. */
export class Times {
  private readonly quantities: Quantities;

  constructor(
    private readonly tokens: readonly Token[],
    private readonly words: Vocabulary,
  ) {
    this.quantities = new Quantities(tokens, words);
  }

  durationAt(at: number): Duration | undefined {
    const { tokens, words } = this;
    // "not a minute longer": no time of its own.
    // "once a month", "every 8 weeks", "three times a week": how often.
    if (says(tokens[at - 1], 'notTime') || says(tokens[at - 1], 'everySo')) return undefined;
    const hour = this.hourAt(at) ?? this.clockAt(at);
    if (hour) return hour;
    const fixed = words.durations.at(tokens, at);
    const said = fixed ? { from: at, to: fixed.to, minutes: fixed.value } : this.countedAt(at);
    return said && this.upTo(this.withMinutes(said));
  }

  /** "1:30 h" */
  private clockAt(at: number): Duration | undefined {
    const { tokens, words } = this;
    const [hours, colon, minutes] = [tokens[at], tokens[at + 1], tokens[at + 2]];
    if (!isNumber(hours) || !isSign(colon, ':') || !isNumber(minutes) || !/^[0-5]\d$/.test(minutes.raw))
      return undefined;
    const unit = words.time.at(tokens, at + 3);
    return unit?.value === 'h'
      ? { from: at, to: unit.to, minutes: hours.value * MINUTES.h + minutes.value }
      : undefined;
  }

  /** "an hour and 15 mins", "1 h 30", "1hr 30 min" */
  private withMinutes(said: Duration): Duration {
    const { tokens, words } = this;
    const { minutes, to } = said;
    const joined = words.roles.and.at(tokens, to)?.to ?? to;
    const number = tokens[joined];
    const isMore = isNumber(number) && number.value >= 1 && number.value < MINUTES.h;
    if (!isHours(minutes) || !isMore) return said;
    const unit = words.time.at(tokens, joined + 1);
    if (unit?.value === 'min') return { ...said, to: unit.to, minutes: minutes + number.value };
    const isTwoDigits = joined === to && /^\d\d$/.test(number.raw);
    const isBare = isTwoDigits && (touches(tokens[to - 1], number) || endsTime(tokens[to + 1]));
    return isBare ? { ...said, to: joined + 1, minutes: minutes + number.value } : said;
  }

  /** "20 mins - 30 mins", "45 min to 1 hr": the middle. */
  private upTo(said: Duration): Duration {
    const { tokens, words } = this;
    const isRange = isSign(tokens[said.to], '-', '–', '—', '‑') || says(tokens[said.to], 'range');
    const next = isRange ? this.quantities.at(said.to + 1) : undefined;
    const unit = next && words.time.at(tokens, next.to);
    const most = next && unit ? next.value * MINUTES[unit.value] : 0;
    return unit && most > said.minutes && most <= said.minutes * WIDEST_RANGE
      ? { ...said, to: unit.to, minutes: (said.minutes + most) / 2 }
      : said;
  }

  /** "Hour under a heat cap.": one, where a sentence begins with it. */
  private hourAt(at: number): Duration | undefined {
    const { tokens, words } = this;
    const isStart = beginsBehind(tokens[at - 1], '.', '!');
    const unit = isStart && isWord(tokens[at]) ? words.time.at(tokens, at) : undefined;
    return unit?.value === 'h' && isWord(tokens[unit.to])
      ? { from: at, to: unit.to, minutes: MINUTES.h }
      : undefined;
  }

  /** "30 minutes", "1 hour and a half" */
  private countedAt(at: number): Duration | undefined {
    const { tokens, words } = this;
    const quantity = this.quantities.at(words.roles.about.at(tokens, at)?.to ?? at);
    const unit = quantity && words.time.at(tokens, quantity.to);
    if (quantity && !unit) return this.primeMinutes(at, quantity) ?? this.bareMinutes(at, quantity);
    if (!quantity || !unit) return undefined;
    const half = words.more.at(tokens, unit.to);
    const count = (quantity.value + (quantity.upper ?? quantity.value)) / 2 + (half ? half.value : 0);
    const to = half ? half.to : unit.to;
    const isShortened = isSign(tokens[to], '.') && (tokens[to - 1]?.word.length ?? 9) <= 4;
    return { from: at, to: isShortened ? to + 1 : to, minutes: count * MINUTES[unit.value] };
  }

  /** "15'" */
  private primeMinutes(at: number, { value, to }: Quantity): Duration | undefined {
    const { tokens } = this;
    const isPrime =
      isNumber(tokens[to - 1]) && isSign(tokens[to], "'", '’', '′') && touches(tokens[to - 1], tokens[to]);
    const isLikely = value >= LEAST_BARE_MINUTES && value <= MOST_BARE_MINUTES;
    return isPrime && isLikely && endsTime(tokens[to + 1])
      ? { from: at, to: to + 1, minutes: value }
      : undefined;
  }

  /** "on for 45", "give it twenty": minutes that need no word. */
  private bareMinutes(at: number, { value, upper, to }: Quantity): Duration | undefined {
    const { tokens, words } = this;
    // "Cap, 30.", "hot towel 20"
    const behind = isSign(tokens[at - 1], ',') ? at - 1 : at;
    const isCapped = words.roles.cap.endsAt(tokens, behind, 3) || words.roles.warm.endsAt(tokens, behind, 3);
    if (this.isOther(at, to)) return { from: at, to, minutes: value };
    const isAsked =
      isCapped ||
      this.isUnderCap(at, to) ||
      words.roles.bareMinutes.endsAt(tokens, at, 4) ||
      this.isAlone(at, to) ||
      this.isBeforeRinse(at, to);
    const count = (value + (upper ?? value)) / 2;
    // "rest 8 hrs, on for 3"
    const isHours = count < LEAST_BARE_MINUTES && this.saysHours(at);
    const minutes = isHours ? count * MINUTES.h : count;
    const isLikely = minutes >= LEAST_BARE_MINUTES && minutes <= MOST_BARE_MINUTES;
    return isAsked && isLikely && endsTime(tokens[to]) ? { from: at, to, minutes } : undefined;
  }

  /** "20 min if it's mushy, 10 if it's just tired", "five minutes for everyday and thirty for when it's tired" */
  private isOther(at: number, to: number): boolean {
    const { tokens, words } = this;
    const isAnd = words.roles.and.endsAt(tokens, at, 1) && says(tokens[to], 'purpose');
    const isNext = isAnd || says(tokens[to], 'if');
    return isNext && words.time.isWithin(tokens, Math.max(0, at - OTHER_WITHIN), at);
  }

  /** "30 under cling film" */
  private isUnderCap(at: number, to: number): boolean {
    const { tokens, words } = this;
    const isStart = beginsBehind(tokens[at - 1], '.', ',', ';', '!', '–');
    const cap = words.roles.cap.isWithin(tokens, to, to + CAP_WITHIN);
    return isStart && says(tokens[to], 'behindMinutes') && cap;
  }

  /** Hours were said before. */
  private saysHours(at: number): boolean {
    const before = Array.from({ length: OTHER_WITHIN }, (_, back) => at - 1 - back);
    return before.some((from) => this.words.time.at(this.tokens, from)?.value === 'h');
  }

  /** "scalp, 20, shampoo twice": a clause of its own, before what washes it out. */
  private isBeforeRinse(at: number, to: number): boolean {
    const { tokens, words } = this;
    const isParted = isSign(tokens[at - 1], ',') && isSign(tokens[to], ',') && isWord(tokens[at - 2]);
    return isParted && words.deeds.at(tokens, to + 1)?.value === 'rinse';
  }

  /** "… splash of milk to loosen. 20. Don't …": a number that is a sentence, behind others. */
  private isAlone(at: number, to: number): boolean {
    const { tokens } = this;
    const isOver = (token: Token | undefined) => isSign(token, '.', '!', ';');
    const isLast = tokens[to] === undefined;
    const isEnd = isOver(tokens[to]) && !touches(tokens[to], tokens[to + 1]);
    return isOver(tokens[at - 1]) && isWord(tokens[at - 2]) && (isLast || isEnd);
  }

  /** @returns how many degrees Celsius, for "70 °C", "at 40 degrees", "160 F" */
  temperatureAt(at: number): { readonly to: number; readonly celsius: number } | undefined {
    const { tokens } = this;
    const bare = this.bareDegrees(at);
    if (bare) return bare;
    const quantity = isNumber(tokens[at]) ? this.quantities.at(at) : undefined;
    if (!quantity) return undefined;
    const next = tokens[quantity.to];
    const hasSign = isSign(next, '°', 'º') || says(next, 'degrees');
    const letterAt = hasSign ? quantity.to + 1 : quantity.to;
    const letter = tokens[letterAt];
    const hasLetter =
      letter !== undefined && (hasSign ? /^(?:c|f|celsius|fahrenheit)$/i : /^[CF]$/).test(letter.raw);
    if (!hasSign && !(hasLetter && quantity.value >= LEAST_DEGREES)) return undefined;
    const isFahrenheit = hasLetter && /^f/i.test(letter.raw);
    return {
      to: hasLetter ? letterAt + 1 : letterAt,
      celsius: isFahrenheit ? ((quantity.value - 32) * 5) / 9 : quantity.value,
    };
  }

  private bareDegrees(at: number): { readonly to: number; readonly celsius: number } | undefined {
    const { tokens } = this;
    if (!says(tokens[at - 1], 'toDegrees')) return undefined;
    // “At forty 3 g preservative”: a word before another number is no quantity, and here it is none.
    const quantity = this.quantities.at(at) ?? this.words.numbers.at(tokens, at);
    if (!quantity || quantity.value < BARE_DEGREES.least || quantity.value > BARE_DEGREES.most)
      return undefined;
    const next = tokens[quantity.to];
    // "cool to 40 before panthenol"
    const goesOn =
      this.words.roles.beside.at(tokens, quantity.to) ?? this.words.roles.and.at(tokens, quantity.to);
    const ends =
      next === undefined ||
      isNumber(next) ||
      isSign(next, ',', ';', '.', '!', ')') ||
      says(next, 'i') ||
      goesOn !== undefined;
    return ends ? { to: quantity.to, celsius: quantity.value } : undefined;
  }
}

/** Whole hours, fewer than a day. */
const isHours = (minutes: number): boolean =>
  minutes >= MINUTES.h && minutes < MINUTES.day && minutes % MINUTES.h === 0;

/** What may stand behind minutes that nobody called so. */
const endsTime = (next: Token | undefined): boolean =>
  next === undefined ||
  next.kind === 'break' ||
  (next.kind === 'sign' && !isSign(next, '%', '/', '°', 'º', '-')) ||
  says(next, 'behindMinutes');
