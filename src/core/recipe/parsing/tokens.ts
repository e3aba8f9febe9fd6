import { plainWords } from '../ingredients';
import type { Stretch } from '../larder';

/** A word, a number, a sign, or the end of a row. */
export interface Token extends Stretch {
  readonly kind: 'word' | 'number' | 'sign' | 'break';
  /** As written. */
  readonly raw: string;
  /** Lower case, no accents, no elisions; the digits of a number; a sign as it is. */
  readonly word: string;
  /** Of a number. */
  readonly value: number;
  /** Index of its row among those that are not blank. */
  readonly row: number;
}

const FRACTIONS: ReadonlyMap<string, number> = new Map(
  Object.entries({
    '½': 1 / 2,
    '⅓': 1 / 3,
    '⅔': 2 / 3,
    '¼': 1 / 4,
    '¾': 3 / 4,
    '⅛': 1 / 8,
    '⅜': 3 / 8,
    '⅝': 5 / 8,
    '⅞': 7 / 8,
    '⅕': 1 / 5,
    '⅙': 1 / 6,
    // Copied out of a page's source.
    '&frac12;': 1 / 2,
    '&frac14;': 1 / 4,
    '&frac34;': 3 / 4,
  }),
);

/** 1'000 and 1 000 are thousands; 1.5, 1,5 and .5 decimals; a comma before three digits is decided by what follows. */
const PIECES =
  /(\r\n|\r|\n)|((?<![\p{L}\p{N}.])\.\d+|\d{1,3}(?:['’\u00a0\u202f ]\d{3})+(?![\d.,]\d|\s*\p{L}*\s*\/)|\d+(?:[.,]\d+)*(?:e\d{1,3}\b|-?ish\b)?|[½⅓⅔¼¾⅛⅜⅝⅞⅕⅙]|&frac(?:12|14|34);)|(e\.\s?o\b\.?|\p{L}[\p{L}\p{M}\p{N}]*(?:['’]\p{L}+)*)|(\S)/giu;

/** Before an apostrophe it is an article, not a part of the word: "d'huile", "l'eau", "un'ora". */
const ELISION = /^(?:[dlnmtsj]|qu|un|dell|all|nell|sull)['’](?=\p{L}{2})/iu;
/** "eine Vierteltasse": how much, and of what. */
const GERMAN_SHARE = /^((?:drei)?viertel|drittel|halb)(?:tassen?|liter|becher|glas)$/i;
/** Behind a number: hours, and the minutes that touch them. */
const HOURS = /^(hrs?|h|std)([0-5]\d)(\p{L}*)$/iu;
/** English contractions are one word. */
const CONTRACTION = /['’](?:s|t|re|ve|ll|d|m)$/i;

function valueOf(digits: string): number {
  const fraction = FRACTIONS.get(digits);
  if (fraction !== undefined) return fraction;
  // "10ish" is about ten.
  const joined = digits.replace(/['’\u00a0\u202f ]|-?ish$/gi, '');
  // 1.234,5 or 1,234.5: the last sign is the decimal one.
  const signs = joined.match(/[.,]/g) ?? [];
  if (signs.length > 1) {
    const last = Math.max(joined.lastIndexOf('.'), joined.lastIndexOf(','));
    const same = signs.every((sign) => sign === signs[0]);
    return Number(
      same
        ? joined.replace(/[.,]/g, '')
        : joined.slice(0, last).replace(/[.,]/g, '') + '.' + joined.slice(last + 1),
    );
  }
  return Number(joined.replace(',', '.'));
}

/** The whole text as tokens; what stands between two of them is blank. */
export function tokensOf(text: string): Token[] {
  const tokens: Token[] = [];
  let row = 0;
  let rowHasWords = false;
  for (const match of text.matchAll(PIECES)) {
    const start = match.index;
    const [raw, lineBreak, digits, letters] = match;
    const end = start + raw.length;
    if (lineBreak !== undefined) {
      tokens.push({ kind: 'break', raw, word: '\n', start, end, value: NaN, row });
      if (rowHasWords) row++;
      rowHasWords = false;
      continue;
    }
    rowHasWords = true;
    if (digits !== undefined) {
      tokens.push({ kind: 'number', raw, word: raw, start, end, value: valueOf(raw), row });
      continue;
    }
    if (letters === undefined) {
      tokens.push({ kind: 'sign', raw, word: raw, start, end, value: NaN, row });
      continue;
    }
    tokens.push(...wordTokens(raw, start, row, tokens.at(-1)));
  }
  return tokens;
}

/** Letters as words: an elided article, what German says in one with its measure, and "1h30" are several. */
function wordTokens(raw: string, start: number, row: number, before: Token | undefined): Token[] {
  const isBehindNumber = before?.kind === 'number' && before.end === start;
  const hours = isBehindNumber ? HOURS.exec(raw) : null;
  if (hours) {
    const [, hour = '', minutes = '', rest = ''] = hours;
    const at = start + hour.length;
    const end = at + minutes.length;
    return [
      wordToken(hour, start, row),
      { kind: 'number', raw: minutes, word: minutes, start: at, end, value: Number(minutes), row },
      ...(rest === '' ? [] : [wordToken(rest, end, row)]),
    ];
  }
  const elided = CONTRACTION.test(raw) ? null : ELISION.exec(raw);
  const cut = elided?.[0].length ?? GERMAN_SHARE.exec(raw)?.[1]?.length ?? 0;
  return [
    ...(cut > 0 ? [wordToken(raw.slice(0, cut), start, row)] : []),
    wordToken(raw.slice(cut), start + cut, row),
  ];
}

function wordToken(raw: string, start: number, row: number): Token {
  return {
    kind: 'word',
    raw,
    word: plainWords(raw).join('') || raw.toLowerCase(),
    start,
    end: start + raw.length,
    value: NaN,
    row,
  };
}

/** Whether a token is one of these signs. */
export const isSign = (token: Token | undefined, ...signs: readonly string[]): boolean =>
  token !== undefined && token.kind === 'sign' && signs.includes(token.word);

/** Whether something begins behind a token: nothing stands there, a row ends, or one of these signs. */
export const beginsBehind = (before: Token | undefined, ...signs: readonly string[]): boolean =>
  before === undefined || before.kind === 'break' || isSign(before, ...signs);

export const isNumber = (token: Token | undefined): token is Token =>
  token !== undefined && token.kind === 'number';

/** A number without a decimal sign, and no fraction sign. */
export const isWhole = (token: Token | undefined): token is Token =>
  isNumber(token) && Number.isInteger(token.value) && !/[.,]/.test(token.raw);

export const isWord = (token: Token | undefined, word?: RegExp): token is Token =>
  token !== undefined && token.kind === 'word' && (word === undefined || word.test(token.word));

/** Whether nothing stands between two tokens. */
export const touches = (one: Token | undefined, next: Token | undefined): boolean =>
  one !== undefined && next !== undefined && one.end === next.start;
