import { says } from './marks';
import { isNumber, isSign, isWhole, isWord, touches, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** A number in digits or words, perhaps a range. */
export interface Quantity {
  /** Index of the token after it. */
  readonly to: number;
  readonly value: number;
  /** The upper end of a range. */
  readonly upper: number | null;
  /** "a", "um": one, if it is an amount at all. */
  readonly isArticle: boolean;
  /** The digits, where it is a single number. */
  readonly raw: string;
}

type Single = Omit<Quantity, 'upper'>;

const single = (to: number, value: number, raw = '', isArticle = false): Single => ({
  to,
  value,
  isArticle,
  raw,
});

/** The largest number below the line of a fraction: beyond it "250/100" is two amounts. */
const LARGEST_PART = 16;

/** The longest correction, words. */
const CORRECTION_WITHIN = 4;

/** Numbers of a text in the words of its languages. */
export class Quantities {
  constructor(
    private readonly tokens: readonly Token[],
    private readonly words: Vocabulary,
  ) {}

  at(at: number): Quantity | undefined {
    const first = this.singleAt(at);
    if (!first) return undefined;
    const whole = this.withWord(this.withPlus(this.withMore(first)));
    const upper = this.upperAt(whole.to);
    return upper && upper.value > whole.value
      ? { ...whole, upper: upper.value, to: upper.to }
      : { ...whole, upper: null };
  }

  /** "two and a half", "two-and-a-half", "1-1/2", "1 & ½", "1 and 1/2" */
  private withMore(first: Single): Single {
    const { tokens, words } = this;
    const start = isSign(tokens[first.to], '-') ? first.to + 1 : first.to;
    const more = words.more.at(tokens, start) ?? this.partBehind(first);
    return more ? { ...first, raw: '', value: first.value + more.value, to: more.to } : first;
  }

  /** A share behind a whole number, which no range goes down to. */
  private partBehind({ value, to, isArticle }: Single): Single | undefined {
    const isCount = Number.isInteger(value) && value >= 1 && !isArticle;
    const joined = isSign(this.tokens[to], '-', '–', '‑', '+', '&')
      ? to + 1
      : this.words.roles.and.at(this.tokens, to)?.to;
    const part = isCount && joined === to + 1 ? this.shareAt(joined) : undefined;
    return part && part.value < 1 ? part : undefined;
  }

  /** "a cup and 1/2 of milk", "2 colheres e 1/2 de mel": of what was measured. */
  shareOfSame(at: number): Single | undefined {
    const { and, of } = this.words.roles;
    const joined = and.at(this.tokens, at)?.to;
    if (joined === undefined) return undefined;
    // "a cup and a 1/2 milk"
    const article = this.words.articles.at(this.tokens, joined)?.to;
    const part = this.shareAt(article ?? joined);
    const isOfSame = article !== undefined || (part && of.at(this.tokens, part.to) !== undefined);
    return part && part.value < 1 && isOfSame ? part : undefined;
  }

  /** "1/2", "½" */
  private shareAt(at: number): Single | undefined {
    const token = this.tokens[at];
    const isSigned = isNumber(token) && token.value < 1 && /^[^\d.]/.test(token.raw);
    return this.fractionAt(at) ?? (isSigned ? single(at + 1, token.value) : undefined);
  }

  /** "20 (twenty)" */
  private withWord(whole: Single): Single {
    const { tokens } = this;
    const open = whole.to;
    const said = isSign(tokens[open], '(') ? this.words.numbers.at(tokens, open + 1) : undefined;
    const isSame = said?.value === whole.value && isSign(tokens[said.to], ')');
    return isSame ? { ...whole, to: said.to + 1 } : whole;
  }

  /** "10+ drops" */
  private withPlus(whole: Single): Single {
    const { tokens } = this;
    const { to } = whole;
    const isPlus = isSign(tokens[to], '+') && touches(tokens[to - 1], tokens[to]) && isWord(tokens[to + 1]);
    return isPlus && isNumber(tokens[to - 1]) ? { ...whole, to: to + 1 } : whole;
  }

  private singleAt(at: number): Single | undefined {
    const token = this.tokens[at];
    if (!token) return undefined;
    if (token.kind === 'number') return this.digitsAt(at, token);
    // "à" is no article.
    const isCounted = token.kind === 'word' && !/^à$/i.test(token.raw) && !this.isPronoun(at);
    const found = isCounted ? this.wordsAt(at) : undefined;
    // "twenty-ish minutes"
    const isAbout = found && isSign(this.tokens[found.to], '-') && isWord(this.tokens[found.to + 1], /^ish$/);
    return isAbout ? { ...found, to: found.to + 2 } : found;
  }

  /** "3/4", "1 1/2", "1½", "2" */
  private digitsAt(at: number, token: Token): Single {
    const { tokens } = this;
    const fraction = this.fractionAt(at);
    if (fraction) return { ...fraction, to: this.afterOfA(fraction) };
    const next = tokens[at + 1];
    const part = isWhole(token) && next?.row === token.row ? this.shareAt(at + 1) : undefined;
    if (part && part.value < 1) return single(part.to, token.value + part.value);
    return single(at + 1, token.value, token.raw);
  }

  /** "1/2 a cup", "1/4 of an avocado" */
  private afterOfA({ to, value }: Single): number {
    const { articles, roles } = this.words;
    const behind = roles.of.at(this.tokens, to)?.to ?? to;
    return (value < 1 ? articles.at(this.tokens, behind)?.to : undefined) ?? to;
  }

  private fractionAt(at: number): Single | undefined {
    const [above, line, below] = [this.tokens[at], this.tokens[at + 1], this.tokens[at + 2]];
    if (!isWhole(above) || !isSign(line, '/', '⁄') || !isWhole(below)) return undefined;
    if (below.value > LARGEST_PART) return undefined;
    // "2/3rds"
    const isSaid = isWord(this.tokens[at + 3], /^(?:rds?|ths?|nds?)$/) && touches(below, this.tokens[at + 3]);
    return single(at + (isSaid ? 4 : 3), above.value / below.value);
  }

  private wordsAt(at: number): Single | undefined {
    const { tokens, words } = this;
    const fraction = words.fractions.at(tokens, at);
    const number = words.numbers.at(tokens, at);
    const article = words.articles.at(tokens, at);
    if (fraction && (!number || fraction.to >= number.to))
      return single(words.articles.at(tokens, fraction.to)?.to ?? fraction.to, fraction.value);
    if (number) return this.numberAt(number, article?.to === number.to);
    return article ? single(article.to, 1, '', true) : undefined;
  }

  /** "one half", "forty five", "two hundred" */
  private numberAt(
    number: { readonly value: number; readonly to: number },
    isArticle: boolean,
  ): Single | undefined {
    const { tokens, words } = this;
    const { value, to } = number;
    const half = value === 1 ? words.fractions.at(tokens, to) : undefined;
    if (half && half.value < 1) return single(half.to, half.value);
    // "at forty 3 g": two numbers are two things.
    if (value > 1 && isNumber(tokens[to])) return undefined;
    const next = words.numbers.at(tokens, isSign(tokens[to], '-') ? to + 1 : to);
    if (next && value >= 20 && value < 100 && next.value < 10) return single(next.to, value + next.value);
    if (next && next.value === 100 && value < 10) return single(next.to, value * 100);
    return single(to, value, '', value === 1 && isArticle);
  }

  /** "the green one, …": no number. */
  private isPronoun(at: number): boolean {
    const { tokens, words } = this;
    const [before, token, next] = [tokens[at - 1], tokens[at], tokens[at + 1]];
    if (!says(token, 'pronounOne') || !isWord(before) || before.row !== token.row) return false;
    const endsThere = next === undefined || next.kind === 'sign';
    return (
      endsThere &&
      !words.roles.correction.endsAt(tokens, at, CORRECTION_WITHIN) &&
      !says(tokens[at - 2], 'lessNow')
    );
  }

  /** "-3", "to 3", "or 3", "bis 3": the upper end of a range. */
  private upperAt(at: number): { readonly value: number; readonly to: number } | undefined {
    const { tokens, words } = this;
    const isRange =
      isSign(tokens[at], '-', '–', '—', '‑', '‒', '~') ||
      says(tokens[at], 'range') ||
      words.roles.or.at(tokens, at)?.to === at + 1;
    const next = isRange ? this.singleAt(at + 1) : undefined;
    return next && !next.isArticle ? this.withMore(next) : undefined;
  }
}
