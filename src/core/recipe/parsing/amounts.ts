import { UNITS, type UnitId } from '../../base/measures';
import { isMeasure, isPack, type PackSize, type PieceSize } from './lineAmount';
import { says } from './marks';
import { Quantities, type Quantity } from './quantities';
import { Times } from './times';
import { beginsBehind, isNumber, isSign, isWord, touches, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

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
  /** A mass or volume of each: "a 400 ml tin", "1 packet (12 g)". */
  readonly packSize: PackSize | null;
  /** Only an article or a bare word such as "splash": weak where no name follows. */
  readonly weak: boolean;
  /** A number whose sign may part thousands or decimals. */
  readonly unclearNumber: string | null;
}

export const NO_MEASURE = {
  quantityTo: null,
  unit: null,
  size: null,
  heaped: false,
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
  'l',
  'drop',
  'pint',
  'mug',
  'glass',
  'shot',
  'sprig',
  'dessertspoon',
  'my cup',
  'my spoon',
]);

const LETTERS: ReadonlyMap<string, UnitId> = new Map<string, UnitId>([
  ['T', 'tbsp'],
  ['t', 'tsp'],
  ['c', 'cup'],
  ['C', 'cup'],
]);

interface UnitAt {
  readonly unit: UnitId;
  readonly to: number;
}

interface Qualities {
  readonly to: number;
  readonly heaped: boolean;
  readonly size: PieceSize | null;
}

/** A glass or a cup that is said in millilitres, too, may be so much larger or smaller than usual. */
const SAME_WITHIN = 0.4;

/** Where the name ends that a token belongs to; 0 where it is in none. */
export type NameEnd = (index: number) => number;

/** Reads amounts out of tokens with the words of the text's languages. */
export class Amounts {
  private readonly quantities: Quantities;
  private readonly times: Times;

  constructor(
    private readonly tokens: readonly Token[],
    private readonly words: Vocabulary,
  ) {
    this.quantities = new Quantities(tokens, words);
    this.times = new Times(tokens, words);
  }

  /** The amount that begins at a token. */
  amountAt(at: number, nameEnd: NameEnd): Amount | undefined {
    const { tokens, words } = this;
    if (this.isHairType(at)) return undefined;
    const start = this.afterAbout(at);
    const times = /^x(\d{1,2})$/.exec(tokens[start]?.word ?? '');
    if (times) {
      // "honey x2 tbsp"
      const unit = this.unitAt(start + 1, true);
      const to = unit ? unit.to : start + 1;
      return { ...NO_MEASURE, from: at, to, quantity: Number(times[1]), unit: unit ? unit.unit : null };
    }
    const lead = this.qualities(start, nameEnd);
    const quantity = this.quantities.at(start) ?? (lead.to > start ? this.quantities.at(lead.to) : undefined);
    if (!quantity) return this.bareAt(at, lead, nameEnd);
    if (words.time.at(tokens, quantity.to) || this.times.temperatureAt(start)) return undefined;
    return this.withUnit(at, this.numbered(quantity, nameEnd), lead, nameEnd);
  }

  /** "my 4c hair", "I have 3c/4a": how it curls. */
  private isHairType(at: number): boolean {
    const [number, letter, noun] = [this.tokens[at], this.tokens[at + 1], this.tokens[at + 2]];
    const isType =
      isNumber(number) && number.value <= 4 && isWord(letter, /^[abc]$/) && touches(number, letter);
    // "2c flour" are cups; "4b" is nothing else.
    if (isType && !isWord(letter, /^c$/)) return true;
    const isBehindType = isSign(this.tokens[at - 1], '/') && isWord(this.tokens[at - 2], /^[abc]$/);
    const isBeforeType = isSign(noun, '/') && isNumber(this.tokens[at + 3]);
    if (isType && (isBehindType || isBeforeType)) return true;
    return isType && (says(noun, 'ofHairType') || (!isWord(noun) && says(this.tokens[at - 1], 'ofCurl')));
  }

  /** Over "about", "just under", "~". */
  private afterAbout(at: number): number {
    if (isSign(this.tokens[at], '~', '≈')) return this.afterAbout(at + 1);
    const about = this.words.roles.about.at(this.tokens, at);
    // "umas gotas" are a few, "umas 3 colheres" about three.
    const isFew = about !== undefined && this.words.numbers.at(this.tokens, at)?.to === about.to;
    if (isFew && !this.quantities.at(about.to)) return at;
    return about ? this.afterAbout(about.to) : at;
  }

  /** "splash of milk", "heaped spoon of honey", "good glug": one of it. */
  private bareAt(at: number, lead: Qualities, nameEnd: NameEnd): Amount | undefined {
    const whole = this.wholePackAt(at);
    if (whole) return { ...NO_MEASURE, from: at, to: whole.to, quantity: 1, unit: whole.unit };
    const unit = nameEnd(lead.to) > 0 ? undefined : this.unitAt(lead.to, false);
    // "2 tbsp vinegar/qt of water", "a handful per litre": to one of it.
    const isTo = isSign(this.tokens[at - 1], '/') || says(this.tokens[at - 1], 'per');
    const isPer = isTo && unit !== undefined && isMeasure(unit.unit);
    if (!unit || !(isPer || BARE_UNITS.has(unit.unit) || this.isPackOf(at, unit))) return undefined;
    const { heaped } = lead;
    // "taza y media de leche"
    const more = this.moreAt(unit.to);
    return {
      ...NO_MEASURE,
      from: at,
      to: this.afterOf(more?.to ?? unit.to),
      quantity: 1 + (more?.value ?? 0),
      unit: unit.unit,
      heaped,
      weak: !isPer,
    };
  }

  /** "Tin of coconut milk": one, where it begins what is said. */
  private isPackOf(at: number, { unit, to }: UnitAt): boolean {
    const isStart = beginsBehind(this.tokens[at - 1], '.', ',', ';', '+', ':');
    return isStart && isPack(unit) && this.words.roles.of.at(this.tokens, to) !== undefined;
  }

  /** "the whole can", "a lata inteira" */
  private wholePackAt(at: number): UnitAt | undefined {
    const { tokens } = this;
    if (!says(tokens[at], 'theMade')) return undefined;
    const isBefore = says(tokens[at + 1], 'whole');
    const unit = this.unitAt(at + (isBefore ? 2 : 1), false);
    const isWhole = unit !== undefined && isPack(unit.unit) && (isBefore || says(tokens[unit.to], 'whole'));
    return isWhole ? { ...unit, to: isBefore ? unit.to : unit.to + 1 } : undefined;
  }

  /** "a 400 ml tin", "a good 2 tbsp": the number counts, not the article. */
  private numbered(quantity: Quantity, nameEnd: NameEnd): Quantity {
    const counted = quantity.isArticle
      ? this.quantities.at(this.qualities(quantity.to, nameEnd).to)
      : undefined;
    const isDigits =
      counted !== undefined &&
      !this.isHairType(counted.to - 1) &&
      !counted.isArticle &&
      isNumber(this.tokens[counted.to - 1]);
    return isDigits ? counted : quantity;
  }

  private withUnit(at: number, quantity: Quantity, lead: Qualities, nameEnd: NameEnd): Amount {
    const base = { ...NO_MEASURE, from: at, quantity: quantity.value, quantityTo: quantity.upper };
    const product = this.productAt(quantity);
    if (product) return { ...base, ...product };
    const start = this.afterNumber(quantity);
    // "1 (400 ml) can": how large each is.
    const bracket = this.packAt(start);
    const sized = this.qualities(bracket ? bracket.to : start, nameEnd);
    // "2 large (60 g each) eggs"
    const ofEach = !bracket && sized.to > start ? this.packAt(sized.to) : undefined;
    const qualities = ofEach ? { ...sized, to: ofEach.to } : sized;
    const said = {
      ...base,
      size: qualities.size ?? lead.size,
      heaped: qualities.heaped || lead.heaped,
      packSize: (bracket ?? ofEach)?.packSize ?? null,
    };
    const found = this.unitAt(qualities.to, true);
    // "garlic cloves" is a name, "cloves of garlic" a unit before one.
    const isName =
      found !== undefined &&
      (nameEnd(qualities.to) > found.to ||
        (nameEnd(qualities.to) === found.to && !this.words.unitsBeforeName.at(this.tokens, qualities.to)));
    return !found || isName
      ? { ...said, to: qualities.to, weak: quantity.isArticle }
      : this.measuredBy(found, said, quantity, nameEnd);
  }

  /** Its unit, with what is said behind it of how much more, how full and how large. */
  private measuredBy(
    found: UnitAt,
    said: Omit<Amount, 'to'>,
    { value: count, raw }: Quantity,
    nameEnd: NameEnd,
  ): Amount {
    const weighed = this.weighedAt(found, said.from, count);
    if (weighed) return { ...said, ...weighed, packSize: null, heaped: false };
    // "duas colheres bem cheias de mel"
    const full = this.words.roles.heaped.at(this.tokens, found.to);
    const more = this.moreAt(found.to) ?? this.lessAt(found);
    const end = more?.to ?? full?.to ?? found.to;
    const behind = this.behindUnit({ unit: found.unit, to: end }, nameEnd);
    const value = count + (more?.value ?? 0);
    return {
      ...said,
      quantity: isThousands(raw, found.unit) ? value * 1000 : value,
      to: this.afterOf(behind.to),
      unit: found.unit,
      heaped: said.heaped || full !== undefined,
      packSize: said.packSize ?? behind.packSize,
      unclearNumber: this.isUnclear(raw, found.unit) ? raw : null,
    };
  }

  /** "a cup and a half of water"; "uma xícara e meia xícara" is half of another. */
  private moreAt(at: number): { readonly value: number; readonly to: number } | undefined {
    const more = this.words.more.at(this.tokens, at) ?? this.quantities.shareOfSame(at);
    return more && this.words.units.at(this.tokens, more.to) === undefined ? more : undefined;
  }

  /** "1 cup minus 2 tbsp milk": how much of the first measure is taken off. */
  private lessAt({ unit, to }: UnitAt): { readonly value: number; readonly to: number } | undefined {
    const off = says(this.tokens[to], 'minus') ? this.quantities.at(to + 1) : undefined;
    const own = off && this.unitAt(off.to, true);
    if (!off || !own) return undefined;
    const [whole, part] = [UNITS[unit], UNITS[own.unit]];
    const isSame = part.kind === whole.kind && (part.kind === 'volume' || part.kind === 'mass');
    return isSame ? { value: (-off.value * part.size) / whole.size, to: own.to } : undefined;
  }

  /** Where the unit begins: over "x", and the hyphen of "une demi-tasse". */
  private afterNumber({ to }: Quantity): number {
    const { tokens } = this;
    if (isWord(tokens[to], /^x$/)) return to + 1;
    const isHyphen = isSign(tokens[to], '-', '‑') && touches(tokens[to - 1], tokens[to]);
    return isHyphen && this.unitAt(to + 1, true) ? to + 1 : to;
  }

  /** "2 x 15 ml", "2 × 200 g" */
  private productAt({ value, to }: Quantity): Pick<Amount, 'to' | 'quantity' | 'unit'> | undefined {
    const { tokens } = this;
    const isTimes = isSign(tokens[to], '×', '*') || isWord(tokens[to], /^x$/);
    const each = isTimes && isNumber(tokens[to + 1]) ? this.quantities.at(to + 1) : undefined;
    const unit = each && this.unitAt(each.to, true);
    return each && unit
      ? { to: this.afterOf(unit.to), quantity: value * each.value, unit: unit.unit }
      : undefined;
  }

  /** What may follow a unit: the pack it is the size of, a size in brackets, the same said once more. */
  private behindUnit(
    { unit, to }: UnitAt,
    nameEnd: NameEnd,
  ): { readonly to: number; readonly packSize: PackSize | null } {
    const pack = isMeasure(unit) ? this.unitAt(this.afterHyphen(to), false) : undefined;
    if (pack && isPack(pack.unit) && nameEnd(to) === 0) return { to: pack.to, packSize: null };
    const isCounted = isPack(unit) || UNITS[unit].kind === 'count';
    const bracket = this.packAt(to);
    if (isCounted && bracket)
      return {
        ...bracket,
        packSize: {
          ...bracket.packSize,
          mayBeOfAll: !this.words.roles.each.isWithin(this.tokens, to, bracket.to),
        },
      };
    return { to: this.afterRestated(to), packSize: null };
  }

  /** "1.000 g" is a thousand where thousands are written so. */
  private isUnclear(raw: string, unit: UnitId): boolean {
    const isOther = this.words.languages.some((language) => language !== 'en' && language !== 'hi');
    return isOther && /^\d{1,3}\.\d{3}$/.test(raw) && isMeasure(unit);
  }

  /** The words for a size, a heap, or how good a measure: "big", "heaped", "generous". */
  private qualities(at: number, nameEnd: NameEnd): Qualities {
    const { tokens, words } = this;
    let found: Qualities = { to: at, heaped: false, size: null };
    for (;;) {
      const heaped = words.roles.heaped.at(tokens, found.to);
      const size = words.sizes.at(tokens, found.to);
      const other = words.roles.level.at(tokens, found.to) ?? words.sized.at(tokens, found.to);
      const next = heaped ?? size ?? other;
      // "2 whole eggs": the word begins the name; "ek chhota chammach": or the measure.
      const isOfUnit = next !== undefined && (words.units.at(tokens, found.to)?.to ?? 0) > next.to;
      if (!next || isOfUnit || nameEnd(found.to) > next.to) return found;
      found = {
        to: next.to,
        heaped: found.heaped || heaped !== undefined,
        size: found.size ?? (size ? size.value : null),
      };
    }
  }

  private unitAt(at: number, afterNumber: boolean): UnitAt | undefined {
    const token = this.tokens[at];
    if (isSign(token, '%')) return { unit: '%', to: at + 1 };
    if (!isWord(token) || /['’]$/.test(token.raw)) return undefined;
    const letter = afterNumber ? this.letterAt(at, token) : undefined;
    if (letter) return letter;
    // Two-letter words of other languages are units only as they are written there: EL, TL.
    const isGerman = this.words.languages.includes('de') && !this.words.languages.includes('es');
    if (/^(?:el|tl)$/.test(token.word) && !isGerman && token.raw !== token.raw.toUpperCase())
      return undefined;
    const before = this.words.unitsBeforeName.at(this.tokens, at);
    if (before && says(this.tokens[before.to], 'inCloves')) return { unit: 'piece', to: before.to };
    const unit = this.words.units.at(this.tokens, at);
    return unit && { unit: unit.value, to: this.afterShort(at, unit.to) };
  }

  /** The case of a single letter matters: "1 T" is a tablespoon, "1 t" a teaspoon, "1 c" a cup. */
  private letterAt(at: number, { raw }: Token): UnitAt | undefined {
    const spoon = this.shortSpoonAt(at);
    if (spoon) return spoon;
    const unit = LETTERS.get(raw);
    if (!unit || (raw === 'c' && this.words.units.at(this.tokens, at))) return undefined;
    return { unit, to: isSign(this.tokens[at + 1], '.') ? at + 2 : at + 1 };
  }

  /** "2 c.s. azeite", "1 c. c. miel": a spoon of soup or of coffee, but cubic centimetres in English. */
  private shortSpoonAt(at: number): UnitAt | undefined {
    const { tokens, words } = this;
    const isShort =
      isWord(tokens[at], /^c$/) && isSign(tokens[at + 1], '.') && isWord(tokens[at + 2], /^[sc]$/);
    if (!isShort || !isSign(tokens[at + 3], '.')) return undefined;
    const isCubic = words.languages.every((language) => language === 'en' || language === 'hi');
    const spoon = isWord(tokens[at + 2], /^s$/) ? 'tbsp' : 'tsp';
    return { unit: isCubic ? 'ml' : spoon, to: at + 4 };
  }

  /** Over the full stop of "tbsp." and "c. à soupe."; that of a sentence stays. */
  private afterShort(at: number, to: number): number {
    const { tokens } = this;
    const token = tokens[at];
    if (!token || token.word.length > 5 || !isSign(tokens[to], '.') || !touches(tokens[to - 1], tokens[to]))
      return to;
    const next = tokens[to + 1];
    const endsSentence = isWord(next) && /^\p{Lu}/u.test(next.raw) && to - at === 1 && token.word.length > 4;
    return endsSentence ? to : to + 1;
  }

  /** "(400 ml)", "(7 g each)": a mass or volume in brackets. */
  private packAt(at: number): { readonly to: number; readonly packSize: PackSize } | undefined {
    const { tokens } = this;
    const quantity = isSign(tokens[at], '(') ? this.quantities.at(this.afterAbout(at + 1)) : undefined;
    const unit = quantity && this.unitAt(this.afterHyphen(quantity.to), true);
    if (!quantity || !unit || !isMeasure(unit.unit)) return undefined;
    const row = tokens[at]?.row;
    const close = tokens.findIndex(
      (token, index) => index >= unit.to && (isSign(token, ')') || token.row !== row),
    );
    return isSign(tokens[close], ')')
      ? { to: close + 1, packSize: { quantity: quantity.value, unit: unit.unit } }
      : undefined;
  }

  /** "2 tbsp (28 g)", "1 glass (200 ml)": what was weighed or measured counts; so it does of half a packet. */
  private weighedAt(
    { unit, to }: UnitAt,
    from: number,
    count: number,
  ): Pick<Amount, 'to' | 'quantity' | 'unit'> | undefined {
    const { tokens, words } = this;
    const { kind, size } = UNITS[unit];
    const isHalfPack = isPack(unit) && count < 1;
    // "a third of a tub (500 g)": so much the whole holds.
    if (isHalfPack && words.roles.of.isWithin(tokens, from, to - 1)) return undefined;
    const bracket = kind === 'volume' || isHalfPack ? this.packAt(to) : undefined;
    if (!bracket) return undefined;
    const said = UNITS[bracket.packSize.unit];
    const isSame =
      kind === 'volume' &&
      Math.abs((bracket.packSize.quantity * said.size) / (count * size) - 1) <= SAME_WITHIN;
    if (said.kind !== 'mass' && !isHalfPack && !isSame) return undefined;
    return { to: this.afterOf(bracket.to), ...bracket.packSize };
  }

  /** Over "/ 1 cup" and "(240 ml)" after the same in another measure. */
  private afterRestated(at: number): number {
    const bracket = this.packAt(at);
    if (bracket) return bracket.to;
    const again = isSign(this.tokens[at], '/') ? this.quantities.at(at + 1) : undefined;
    const unit = again && this.unitAt(again.to, true);
    return unit ? unit.to : at;
  }

  private afterHyphen(at: number): number {
    return isSign(this.tokens[at], '-', '‑') ? at + 1 : at;
  }

  /** Over "of", "of the", "de": what follows is the name. */
  private afterOf(at: number): number {
    const { of, each } = this.words.roles;
    const to = of.at(this.tokens, at)?.to ?? at;
    // "una cucharada de cada"
    return (each.at(this.tokens, at)?.to ?? to) > to ? at : to;
  }
}

/** A comma before three digits of grams or millilitres parts thousands. */
const isThousands = (raw: string, unit: UnitId): boolean =>
  /^\d{1,3},\d{3}$/.test(raw) && (UNITS[unit].kind === 'mass' || unit === 'ml');
