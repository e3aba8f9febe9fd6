import { UNITS, type UnitId } from '../../base/measures';
import type { PieceSize } from './lineAmount';
import type { Token } from './tokens';
import type { TimeUnit, Vocabulary } from './vocabulary';

/** An amount, as it stands between two tokens of the text. */
export interface Amount {
  readonly from: number;
  readonly to: number;
  readonly quantity: number;
  /** The upper end of a range. */
  readonly quantityTo: number | null;
  readonly unit: UnitId | null;
  readonly size: PieceSize | null;
  readonly heaped: boolean;
  /** "about", "just under". */
  readonly about: boolean;
  /** A mass or volume of each: "2 x 15 ml", "a 400 ml tin". */
  readonly packSize: { readonly quantity: number; readonly unit: UnitId } | null;
  /** Only an article or a bare word such as "splash": weak where no name follows. */
  readonly weak: boolean;
  /** A number whose sign may part thousands or decimals. */
  readonly unclearNumber: string | null;
}

/** So many minutes, hours … */
export interface Duration {
  readonly from: number;
  readonly to: number;
  readonly minutes: number;
}

const MINUTES: Readonly<Record<TimeUnit, number>> = { min: 1, h: 60, day: 1440, week: 10_080, month: 43_200 };

const sign = (token: Token | undefined, ...signs: readonly string[]) =>
  token?.kind === 'sign' && signs.includes(token.word);

interface Quantity {
  readonly to: number;
  readonly value: number;
  readonly upper: number | null;
  readonly isArticle: boolean;
  readonly raw: string;
}

/** Reads amounts and durations out of tokens with the words of the text's languages. */
export class Amounts {
  constructor(
    private readonly tokens: readonly Token[],
    private readonly words: Vocabulary,
  ) {}

  /** A number in digits or words, with its fraction, as a range or a product. */
  private quantityAt(at: number): Quantity | undefined {
    const first = this.plainQuantityAt(at);
    if (!first) return undefined;
    const more = this.words.more.at(this.tokens, first.to);
    const value = first.value + (more?.value ?? 0);
    const to = more?.to ?? first.to;
    const upper = this.upperAt(to);
    if (upper && upper.value > value) return { ...first, value, upper: upper.value, to: upper.to };
    return { ...first, value, upper: null, to };
  }

  private plainQuantityAt(at: number): Omit<Quantity, 'upper'> | undefined {
    const { tokens, words } = this;
    const token = tokens[at];
    if (!token) return undefined;
    if (token.kind === 'number') {
      const next = tokens[at + 1];
      const afterNext = tokens[at + 2];
      // 3/4, 1 ⁄ 2
      if (
        sign(next, '/', '⁄') &&
        afterNext?.kind === 'number' &&
        isWhole(token) &&
        isWhole(afterNext) &&
        afterNext.value <= 16
      )
        return { to: at + 3, value: token.value / afterNext.value, isArticle: false, raw: '' };
      if (isWhole(token) && next?.kind === 'number' && next.row === token.row) {
        // 1 1/2
        if (
          isWhole(next) &&
          sign(afterNext, '/', '⁄') &&
          tokens[at + 3]?.kind === 'number' &&
          tokens[at + 3]!.value > next.value
        )
          return {
            to: at + 4,
            value: token.value + next.value / tokens[at + 3]!.value,
            isArticle: false,
            raw: '',
          };
        // 1½
        if (next.value < 1 && /^[^\d]$/.test(next.raw))
          return { to: at + 2, value: token.value + next.value, isArticle: false, raw: '' };
      }
      return { to: at + 1, value: token.value, isArticle: false, raw: token.raw };
    }
    if (token.kind !== 'word') return undefined;
    const fraction = words.fractions.at(tokens, at);
    const number = words.numbers.at(tokens, at);
    const article = words.articles.at(tokens, at);
    if (fraction && (!number || fraction.to >= number.to)) {
      const inner = words.articles.at(tokens, fraction.to);
      return { to: inner?.to ?? fraction.to, value: fraction.value, isArticle: false, raw: '' };
    }
    if (number) {
      // "one half", "forty five", "two hundred", "one and a half"
      let { value, to } = number;
      const fractional = words.fractions.at(tokens, to);
      if (value === 1 && fractional && fractional.value < 1)
        return { to: fractional.to, value: fractional.value, isArticle: false, raw: '' };
      // "at forty 3 g": two numbers are two things.
      if (value > 1 && tokens[to]?.kind === 'number') return undefined;
      const hyphen = sign(tokens[to], '-') ? to + 1 : to;
      const units = words.numbers.at(tokens, hyphen);
      if (value >= 20 && value < 100 && units && units.value < 10)
        [value, to] = [value + units.value, units.to];
      else if (units?.value === 100 && value < 10) [value, to] = [value * 100, units.to];
      const isArticle = value === 1 && article !== undefined && article.to === to;
      return { to, value, isArticle, raw: '' };
    }
    return article ? { to: article.to, value: 1, isArticle: true, raw: '' } : undefined;
  }

  /** "-3", "to 3", "or 3", "bis 3", "a 3": the upper end of a range. */
  private upperAt(at: number): { value: number; to: number } | undefined {
    const { tokens, words } = this;
    const isDash = sign(tokens[at], '-', '–', '—', '‑', '‒', '~');
    const word = tokens[at]?.kind === 'word' ? (tokens[at]?.word ?? '') : '';
    const isTo =
      ['to', 'bis', 'ate', 'hasta', 'a', 'or', 'ou', 'oder', 'o', 'till'].includes(word) ||
      words.roles.or.at(tokens, at)?.to === at + 1;
    if (!isDash && !isTo) return undefined;
    const next = this.plainQuantityAt(at + 1);
    if (!next || next.isArticle) return undefined;
    // "2 or half of it" is no range, nor "1 - 2 tbsp" in which the dash stands before another thing.
    const more = words.more.at(tokens, next.to);
    return { value: next.value + (more?.value ?? 0), to: more?.to ?? next.to };
  }

  /** The words for a size, a heap, or how good a measure: "big", "heaped", "generous". */
  private qualities(at: number): { to: number; heaped: boolean; size: PieceSize | null } {
    const { tokens, words } = this;
    let to = at;
    let heaped = false;
    let size: PieceSize | null = null;
    for (;;) {
      const isHeaped = words.roles.heaped.at(tokens, to);
      const isLevel = words.roles.level.at(tokens, to);
      const isSize = words.sizes.at(tokens, to);
      const isSized = words.sized.at(tokens, to);
      const found = isHeaped ?? isLevel ?? isSize ?? isSized;
      if (!found) return { to, heaped, size };
      heaped ||= isHeaped !== undefined;
      size ??= isSize?.value ?? null;
      to = found.to;
      if (sign(tokens[to], ',') && words.sizes.at(tokens, to - 1)) return { to, heaped, size };
    }
  }

  /** A unit, with the case of its letters where that matters: "1 T" is a tablespoon, "1 t" a teaspoon. */
  private unitAt(at: number, afterNumber: boolean): { unit: UnitId; to: number } | undefined {
    const token = this.tokens[at];
    if (!token) return undefined;
    if (sign(token, '%')) return { unit: '%', to: at + 1 };
    if (token.kind !== 'word') return undefined;
    const dot = (to: number) => (sign(this.tokens[to], '.') ? to + 1 : to);
    if (afterNumber && token.raw === 'T') return { unit: 'tbsp', to: dot(at + 1) };
    if (afterNumber && token.raw === 't') return { unit: 'tsp', to: dot(at + 1) };
    if (afterNumber && token.raw === 'c' && !this.words.units.at(this.tokens, at))
      return { unit: 'cup', to: dot(at + 1) };
    // Two-letter words of other languages are units only as they are written there: EL, TL.
    if (/^(?:el|tl)$/.test(token.word) && token.raw !== token.raw.toUpperCase()) return undefined;
    const before = this.words.unitsBeforeName.at(this.tokens, at);
    if (
      before &&
      this.tokens[before.to]?.kind === 'word' &&
      /^(?:garlic|alho|ajo|ail|knoblauch|aglio|of)$/.test(this.tokens[before.to]!.word)
    )
      return { unit: 'piece', to: before.to };
    const unit = this.words.units.at(this.tokens, at);
    if (!unit) return undefined;
    // "Tassen", "c. à soupe": a full stop that shortens belongs to the unit.
    const shortens =
      token.word.length <= 5 &&
      sign(this.tokens[unit.to], '.') &&
      this.tokens[unit.to]!.start === this.tokens[unit.to - 1]!.end;
    const next = this.tokens[unit.to + 1];
    const endsSentence =
      shortens &&
      next?.kind === 'word' &&
      /^\p{Lu}/u.test(next.raw) &&
      unit.to - at === 1 &&
      token.word.length > 4;
    return { unit: unit.value, to: shortens && !endsSentence ? unit.to + 1 : unit.to };
  }

  durationAt(at: number): Duration | undefined {
    const { tokens, words } = this;
    const fixed = words.durations.at(tokens, at);
    if (fixed) return { from: at, to: fixed.to, minutes: fixed.value };
    const about = words.roles.about.at(tokens, at);
    const from = about?.to ?? at;
    const quantity = this.quantityAt(from);
    if (!quantity) return undefined;
    const unit = words.time.at(tokens, quantity.to);
    if (!unit) return undefined;
    const minutes = ((quantity.value + (quantity.upper ?? quantity.value)) / 2) * MINUTES[unit.value];
    let to = unit.to;
    let total = minutes;
    const half = words.more.at(tokens, to);
    if (half) [total, to] = [total + half.value * MINUTES[unit.value], half.to];
    return {
      from: at,
      to: sign(tokens[to], '.') && tokens[to - 1]!.word.length <= 4 ? to + 1 : to,
      minutes: total,
    };
  }

  /** @returns how many degrees, for "70 °C", "at 40 degrees" */
  temperatureAt(at: number): { to: number; celsius: number } | undefined {
    const { tokens } = this;
    const quantity = this.quantityAt(at);
    if (!quantity || quantity.isArticle) return undefined;
    const next = tokens[quantity.to];
    const isSign = sign(next, '°', 'º');
    if (
      !isSign &&
      !(next?.kind === 'word' && /^(?:degrees?|graus|grados|grad|degres|gradi)$/.test(next.word))
    )
      return undefined;
    const letter = tokens[quantity.to + 1];
    const hasLetter = letter?.kind === 'word' && /^(?:c|f|celsius|fahrenheit)$/.test(letter.word);
    const celsius =
      hasLetter && letter.word.startsWith('f') ? ((quantity.value - 32) * 5) / 9 : quantity.value;
    return { to: quantity.to + (hasLetter ? 2 : 1), celsius };
  }

  /** The amount that begins at a token; `nameEnd` tells where the name ends that a token belongs to, 0 where it is in none. */
  amountAt(at: number, nameEnd: (index: number) => number): Amount | undefined {
    const { tokens, words } = this;
    let start = at;
    let about = false;
    for (;;) {
      const found = sign(tokens[start], '~', '≈') ? { to: start + 1 } : words.roles.about.at(tokens, start);
      if (!found) break;
      about = true;
      start = found.to;
    }
    const lead = this.qualities(start);
    const quantity = this.quantityAt(start) ?? (lead.to > start ? this.quantityAt(lead.to) : undefined);
    if (!quantity) {
      // "splash of milk", "heaped spoon of honey", "good glug": one of it.
      const unit = nameEnd(lead.to) > 0 ? undefined : this.unitAt(lead.to, false);
      if (!unit || !BARE_UNITS.has(unit.unit)) return undefined;
      return {
        ...NONE,
        from: at,
        to: this.after(unit.to),
        quantity: 1,
        unit: unit.unit,
        heaped: lead.heaped,
        about,
        weak: true,
      };
    }
    if (words.time.at(tokens, quantity.to) || this.temperatureAt(start)) return undefined;
    // "a 400 ml tin", "a good 2 tbsp"
    const counted = quantity.isArticle ? this.quantityAt(this.qualities(quantity.to).to) : undefined;
    const number =
      counted && !counted.isArticle && tokens[counted.to - 1]?.kind === 'number' ? counted : quantity;
    return this.withUnit(at, number, about, lead, nameEnd);
  }

  private withUnit(
    at: number,
    quantity: Quantity,
    about: boolean,
    lead: { heaped: boolean; size: PieceSize | null },
    nameEnd: (index: number) => number,
  ): Amount | undefined {
    const { tokens } = this;
    let { to } = quantity;
    const base = { ...NONE, from: at, quantity: quantity.value, quantityTo: quantity.upper, about };
    // "2 x 15 ml", "2 × 200 g"
    if (
      (sign(tokens[to], '×', '*') || (tokens[to]?.kind === 'word' && tokens[to]?.word === 'x')) &&
      tokens[to + 1]?.kind === 'number'
    ) {
      const each = this.quantityAt(to + 1);
      const unit = each && this.unitAt(each.to, true);
      if (each && unit)
        return { ...base, to: this.after(unit.to), quantity: quantity.value * each.value, unit: unit.unit };
    }
    if (tokens[to]?.kind === 'word' && tokens[to]?.word === 'x') to++;
    // "1 (400 ml) can": how large each is.
    const bracket = sign(tokens[to], '(') ? this.packIn(to) : undefined;
    if (bracket) to = bracket.to;
    const qualities = this.qualities(to);
    to = qualities.to;
    const size = qualities.size ?? lead.size;
    const heaped = qualities.heaped || lead.heaped;
    const found = this.unitAt(to, true);
    // "garlic cloves" is a name, "cloves of garlic" a unit before one.
    const unit =
      found && nameEnd(to) >= found.to && !this.words.unitsBeforeName.at(tokens, to) ? undefined : found;
    if (!unit) {
      const packSize = bracket?.packSize ?? null;
      return {
        ...base,
        to: qualities.to,
        size,
        heaped,
        packSize,
        weak: quantity.isArticle,
        unclearNumber: null,
      };
    }
    const grams =
      (/^\d{1,3},\d{3}$/.test(quantity.raw) && UNITS[unit.unit].kind === 'mass') ||
      (/^\d{1,3},\d{3}$/.test(quantity.raw) && unit.unit === 'ml');
    const value = grams ? quantity.value * 1000 : quantity.value;
    const unclear =
      /^\d{1,3}\.\d{3}$/.test(quantity.raw) &&
      this.words.languages.some((language) => language !== 'en' && language !== 'hi') &&
      (UNITS[unit.unit].kind === 'mass' || UNITS[unit.unit].kind === 'volume');
    // "400 g tin", "a 400 ml can of": the mass is that of the pack.
    const pack =
      UNITS[unit.unit].kind === 'mass' || UNITS[unit.unit].kind === 'volume'
        ? this.unitAt(skipHyphen(tokens, unit.to), false)
        : undefined;
    const isPack = pack && (pack.unit === 'can' || pack.unit === 'packet') && nameEnd(unit.to) === 0;
    const behind =
      !isPack &&
      (unit.unit === 'packet' || unit.unit === 'can' || UNITS[unit.unit].kind === 'count') &&
      sign(tokens[unit.to], '(')
        ? this.packIn(unit.to)
        : undefined;
    return {
      ...base,
      quantity: value,
      to: this.after(isPack ? pack.to : (behind?.to ?? this.restated(unit.to))),
      unit: unit.unit,
      size,
      heaped,
      packSize: bracket?.packSize ?? behind?.packSize ?? null,
      unclearNumber: unclear ? quantity.raw : null,
    };
  }

  /** "(400 ml)", "(7 g each)": a mass or volume in brackets. */
  private packIn(at: number): { to: number; packSize: NonNullable<Amount['packSize']> } | undefined {
    const { tokens } = this;
    const about = this.words.roles.about.at(tokens, at + 1);
    const quantity = this.quantityAt(about?.to ?? at + 1);
    const unit = quantity && this.unitAt(skipHyphen(tokens, quantity.to), true);
    if (!quantity || !unit) return undefined;
    const { kind } = UNITS[unit.unit];
    if (kind !== 'mass' && kind !== 'volume') return undefined;
    let to = unit.to;
    while (tokens[to] && !sign(tokens[to], ')') && tokens[to]?.kind !== 'break') to++;
    return sign(tokens[to], ')')
      ? { to: to + 1, packSize: { quantity: quantity.value, unit: unit.unit } }
      : undefined;
  }

  /** "250 ml / 1 cup", "1 cup (240 ml)": the same said once more is passed over. */
  private restated(at: number): number {
    const { tokens } = this;
    if (sign(tokens[at], '/')) {
      const again = this.quantityAt(at + 1);
      const unit = again && this.unitAt(again.to, true);
      return unit ? unit.to : at;
    }
    if (!sign(tokens[at], '(')) return at;
    return this.packIn(at)?.to ?? at;
  }

  /** Over "of", "of the", "de": what follows is the name. */
  private after(at: number): number {
    return this.words.roles.of.at(this.tokens, at)?.to ?? at;
  }
}

const NONE = {
  quantityTo: null,
  unit: null,
  size: null,
  heaped: false,
  about: false,
  packSize: null,
  weak: false,
  unclearNumber: null,
} as const;

/** Measures that stand for one of themselves without a number. */
const BARE_UNITS: ReadonlySet<UnitId> = new Set<UnitId>([
  'handful',
  'pinch',
  'splash',
  'drizzle',
  'dollop',
  'squeeze',
  'glug',
  'dash',
  'spoon',
  'tbsp',
  'tsp',
  'scoop',
  'bunch',
  'sprinkle',
  'capful',
  'cup',
]);

const isWhole = (token: Token) =>
  token.kind === 'number' && Number.isInteger(token.value) && !/[.,]/.test(token.raw);

const skipHyphen = (tokens: readonly Token[], at: number) => (sign(tokens[at], '-', '‑') ? at + 1 : at);
