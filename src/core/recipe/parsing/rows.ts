import { says } from './marks';
import { isNumber, isSign, isWord, touches, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** The tokens of one row that is not blank. */
export interface Row {
  readonly index: number;
  readonly from: number;
  readonly to: number;
  /** After a blank row, or the first. */
  readonly isParted: boolean;
  /** Its first number and the dash behind only tell which one it is: "2 - 1 egg" below "1 - …". */
  readonly isNumbered: boolean;
}

export interface Sentence {
  readonly from: number;
  readonly to: number;
}

/** "Phase A", "Water phase (A)", "B. Oil phase", "Cool-down phase". */
const PHASE_HEADING =
  /^(?:phase\s+([a-d])\b.*|([a-d])[.):]?\s*[-–]?\s*(?:water|oil|heated|heat|cool[- ]?down|cooling)?\s*phase\b.*|(water|aqueous|oil|fat|cool[- ]?down|cooling)\s+phase\s*(?:\(?([a-d])\)?)?)\s*:?$/i;
const PHASE_OF_WORD: ReadonlyMap<string, string> = new Map([
  ['water', 'A'],
  ['aqueous', 'A'],
  ['oil', 'B'],
  ['fat', 'B'],
]);

export function rowsOf(tokens: readonly Token[]): Row[] {
  const rows: Row[] = [];
  let breaks = 2;
  for (let at = 0; at < tokens.length;) {
    if (tokens[at]!.kind === 'break') {
      breaks++;
      at++;
      continue;
    }
    const from = at;
    while (at < tokens.length && tokens[at]!.kind !== 'break') at++;
    rows.push({ index: rows.length, from, to: at, isParted: breaks > 1, isNumbered: false });
    breaks = 0;
  }
  return withNumbered(tokens, rows);
}

/** Rows that count from one, each with a dash behind its number. */
function withNumbered(tokens: readonly Token[], rows: readonly Row[]): Row[] {
  const numbers = rows.map((row) => dashedNumber(tokens, row));
  const counted = rows.map((_, at) => {
    const number = numbers[at];
    const first = number === undefined ? -1 : at - number + 1;
    return first >= 0 && numbers.slice(first, at + 1).every((each, nth) => each === nth + 1);
  });
  return rows.map((row, at) => {
    const isNumbered = counted[at] === true && (numbers[at] !== 1 || counted[at + 1] === true);
    return { ...row, isNumbered };
  });
}

/** The number of "1 - 1/2 cup milk": "1-2 eggs" are one or two. */
function dashedNumber(tokens: readonly Token[], { from, to }: Row): number | undefined {
  const at = afterBullets(tokens, from, to);
  const [number, dash, next] = [tokens[at], tokens[at + 1], tokens[at + 2]];
  const isDashed = isNumber(number) && isSign(dash, '-', '–', '—') && next !== undefined;
  const isRange = touches(number, dash) && touches(dash, next);
  return isDashed && !isRange && at + 2 < to ? number.value : undefined;
}

/** Joiners and selectors of emoji, and the enclosing keycap. */
const isJoiner = (token: Token | undefined): boolean =>
  token?.kind === 'sign' && /^[\u200d\ufe0e\ufe0f\u20e3\p{M}\p{Cf}]$/u.test(token.word);
/** Signs with which something begins that is said. */
const BEGINS = ['(', '[', '~', '≈', '"', '“', '„', '«'] as const;

/** After bullets, boxes, arrows, stars, emoji and list numbers: where the row begins to say something. */
export function startOfRow(tokens: readonly Token[], { from, to, isNumbered }: Row): number {
  const at = afterBullets(tokens, from, to);
  if (isNumbered) return afterBullets(tokens, at + 2, to);
  const mark = at + 1 < to ? afterListMark(tokens, at, to) : at;
  return mark > at && mark < to ? afterBullets(tokens, mark, to) : at;
}

function afterBullets(tokens: readonly Token[], from: number, to: number): number {
  let at = from;
  while (at < to && tokens[at]?.kind === 'sign' && !isSign(tokens[at], ...BEGINS)) {
    // A minus that touches its number belongs to it.
    const isMinus =
      isSign(tokens[at], '-', '−') && isNumber(tokens[at + 1]) && touches(tokens[at], tokens[at + 1]);
    if (isMinus) return at;
    at++;
  }
  const box = afterBox(tokens, at);
  return box > at ? afterBullets(tokens, box, to) : at;
}

/** "[ ]", "[x]", "(1)" */
function afterBox(tokens: readonly Token[], at: number): number {
  if (!isSign(tokens[at], '[', '(')) return at;
  if (isSign(tokens[at + 1], ']', ')')) return at + 2;
  const isMark = isWord(tokens[at + 1], /^x$/) || isNumber(tokens[at + 1]);
  return isMark && isSign(tokens[at + 2], ']', ')') ? at + 3 : at;
}

/** "a)" */
const isLetterMark = (first: Token, second: Token): boolean =>
  first.kind === 'word' && /^[a-zA-Z]$/.test(first.raw) && isSign(second, ')');

/** "1.", "2)", "3:", "a)", "1️⃣", "Step 2:" */
function afterListMark(tokens: readonly Token[], at: number, to: number): number {
  const [first, second] = [tokens[at], tokens[at + 1]];
  if (first === undefined || second === undefined) return at;
  const isListNumber = first.kind === 'number' && /^\d{1,2}$/.test(first.raw);
  if (isListNumber && isJoiner(second)) {
    let end = at + 1;
    while (end < to && isJoiner(tokens[end])) end++;
    return end;
  }
  const isMarked = isSign(second, ')', ':') || (isSign(second, '.') && touches(first, second));
  if ((isListNumber && isMarked) || isLetterMark(first, second)) return at + 2;
  return says(first, 'stepWord') && second.kind === 'number' ? at + 2 : at;
}

export interface Heading {
  readonly what: 'ingredients' | 'method' | 'noise' | 'phase' | 'part';
  /** Of a phase: "A", "B", … */
  readonly phase?: string;
  /** Where the row goes on after it: "Ingredients: 2 tbsp honey". */
  readonly rest: number;
}

/** What a row announces, if it is a heading or begins with one. */
export function headingOf(
  tokens: readonly Token[],
  row: Row,
  text: string,
  words: Vocabulary,
  namesSomething: (from: number, to: number) => boolean,
): Heading | undefined {
  const start = startOfRow(tokens, row);
  return (
    phaseOf(tokens, start, row, text, namesSomething) ??
    namedHeading(tokens, start, row, words, namesSomething) ??
    partHeading(tokens, start, row)
  );
}

function phaseOf(
  tokens: readonly Token[],
  start: number,
  row: Row,
  text: string,
  namesSomething: (from: number, to: number) => boolean,
): Heading | undefined {
  const begin = tokens[start]?.start ?? 0;
  const plain = text.slice(begin, tokens[row.to - 1]?.end ?? 0).replace(/[*\s:]+$/g, '');
  // "Phase A: water 77 %, glycerin 3 %"
  const inline = /^phase\s+([a-d])\s*[:.)–-]/i.exec(plain);
  if (inline) {
    const rest = tokens.findIndex(
      (token, index) => index >= start && index < row.to && token.start >= begin + inline[0].length,
    );
    const hasAmounts = rest > 0 && tokens.slice(rest, row.to).some(({ kind }) => kind === 'number');
    if (hasAmounts && namesSomething(rest, row.to))
      return { what: 'phase', phase: (inline[1] ?? 'A').toUpperCase(), rest };
  }
  const phase = PHASE_HEADING.exec(plain);
  if (!phase) return undefined;
  const letter = phase[1] ?? phase[2] ?? phase[4];
  const ofWord = PHASE_OF_WORD.get((phase[3] ?? '').toLowerCase());
  return { what: 'phase', phase: letter ? letter.toUpperCase() : (ofWord ?? 'C'), rest: row.to };
}

/** Words of a heading behind its first: "How to use it at home:". */
const HEADING_TAIL_WORDS = 4;
/** Tokens of one that says for how many uses. */
const HEADING_TAIL_TOKENS = 6;

function namedHeading(
  tokens: readonly Token[],
  start: number,
  row: Row,
  words: Vocabulary,
  namesSomething: (from: number, to: number) => boolean,
): Heading | undefined {
  const found = words.headings.at(tokens, start);
  if (!found) return undefined;
  const { value: what, to: rest } = found;
  const isAlone = tokens.slice(rest, row.to).every(({ kind }) => kind === 'sign');
  // "Hi girls! 3 tbsp of honey …": a greeting, and a recipe behind it.
  const isTold = namesSomething(rest, row.to) && countsSomething(tokens, rest, row.to, words);
  if (isAlone || (what === 'noise' && !isTold)) return { what, rest: row.to };
  if (what === 'noise') return undefined;
  if (isSign(tokens[rest], ':', '-', '–', '—')) return { what, rest: rest + 1 };
  // "Zutaten für 1 Anwendung", "Ingredients (makes two masks)"
  const isForUse =
    what === 'ingredients' && row.to - rest <= HEADING_TAIL_TOKENS && !namesSomething(rest, row.to);
  if (isForUse) return { what, rest: row.to };
  const isTail = row.to - rest <= HEADING_TAIL_WORDS && isSign(tokens[row.to - 1], ':');
  return what === 'method' && isTail ? { what, rest: row.to } : undefined;
}

/** A number, or a word for one before its measure: "two spoons". */
const countsSomething = (tokens: readonly Token[], from: number, to: number, words: Vocabulary): boolean =>
  tokens
    .slice(from, to)
    .some(
      ({ kind }, at) =>
        kind === 'number' ||
        (kind === 'word' &&
          words.units.at(tokens, words.numbers.at(tokens, from + at)?.to ?? to) !== undefined),
    );

/** "For the gel:" announces a part. */
function partHeading(tokens: readonly Token[], start: number, row: Row): Heading | undefined {
  const hasNumber = tokens.slice(start, row.to).some(({ kind }) => kind === 'number');
  return isSign(tokens[row.to - 1], ':') && !hasNumber ? { what: 'part', rest: row.to } : undefined;
}

/** Full stops, question marks, semicolons: where a sentence ends. Those of a number, a unit or an ellipsis end none. */
export function sentencesOf(
  tokens: readonly Token[],
  from: number,
  to: number,
  words: Vocabulary,
): Sentence[] {
  const sentences: Sentence[] = [];
  let begin = from;
  let isInBrackets = false;
  for (let at = from; at < to; at++) {
    if (isSign(tokens[at], '(')) isInBrackets = tokens.slice(at, to).some((later) => isSign(later, ')'));
    else if (isSign(tokens[at], ')')) isInBrackets = false;
    if (at > begin && saysOwn(tokens, at) && words.roles.persons.at(tokens, begin)) {
      sentences.push({ from: begin, to: at });
      begin = at;
    }
    if (isInBrackets || !endsSentence(tokens, at, to, words) || isShortMeasure(tokens, begin, at, words))
      continue;
    while (at + 1 < to && isStop(tokens[at + 1])) at++;
    sentences.push({ from: begin, to: at + 1 });
    begin = at + 1;
  }
  if (begin < to) sentences.push({ from: begin, to });
  return sentences;
}

/** "My sister swears by mayo, but I only do …": what she does herself. */
export const saysOwn = (tokens: readonly Token[], at: number): boolean =>
  (says(tokens[at], 'but') && says(tokens[at + 1], 'i')) ||
  (isSign(tokens[at - 1], ',') &&
    // "…, yo también: una lata" goes on with what the others do.
    ((says(tokens[at], 'i') && !says(tokens[at + 1], 'alike')) ||
      says(tokens[at], 'mine') ||
      (says(tokens[at], 'theMine') && says(tokens[at + 1], 'mine'))));

/** What answers a question of her own, and where that ends. */
export function answerAt(
  tokens: readonly Token[],
  at: number,
  { roles }: Vocabulary,
): { readonly to: number; readonly isYes: boolean } | undefined {
  let start = at;
  while (isSign(tokens[start], '?')) start++;
  const [yes, no] = [roles.answerYes.at(tokens, start), roles.answerNo.at(tokens, start)];
  const found = yes ?? no;
  // "30 g gelatine?? no 10 g gelatine"
  if (found && !yes && isNumber(tokens[found.to])) return { to: found.to, isYes: false };
  if (!found || !isSign(tokens[found.to], ',', '–', '—', ':')) return undefined;
  return { to: found.to + 1, isYes: yes !== undefined };
}

/** "2 Tbsp. Hemp oil": a measure that begins a sentence has its thing behind it. */
function isShortMeasure(tokens: readonly Token[], begin: number, at: number, words: Vocabulary): boolean {
  const unit = words.units.at(tokens, at - 1);
  const isShort = unit?.to === at && isSign(tokens[at], '.') && (tokens[at - 1]?.word.length ?? 9) <= 4;
  const before = tokens.slice(begin, at - 1);
  return (
    isShort &&
    isWord(tokens[at + 1]) &&
    before.length > 0 &&
    before.every(({ kind, word }) => kind === 'number' || word === '/')
  );
}

/** "colh." is shortened, too. */
const SHORT_UNIT_LETTERS = 4;

/** "grams", "spoons" have a form for one and for several; "tbsp" and "oz" are shortened. */
const isWholeWord = (word: string, { units }: Vocabulary): boolean =>
  word.length > SHORT_UNIT_LETTERS &&
  /[aeiou]/.test(word) &&
  (word.endsWith('s') ? units.has(word.slice(0, -1)) : units.has(`${word}s`));

const isStop = (token: Token | undefined): boolean => isSign(token, '.', '!', '?', ';');

function endsSentence(tokens: readonly Token[], at: number, to: number, words: Vocabulary): boolean {
  const [before, token, next] = [tokens[at - 1], tokens[at], tokens[at + 1]];
  if (!isStop(token)) return false;
  // "Half an egg? No, a whole one.": she asks herself, and goes on.
  if (!isSign(token, '.')) return !isSign(token, '?') || answerAt(tokens, at + 1, words) === undefined;
  if (isSign(next, '.') || isSign(before, '.')) return false;
  if (at + 1 >= to || next === undefined) return true;
  if (touches(token, next)) return false;
  // "c. à soupe", "2 tbsp. of honey", "q. s.": nothing ends there.
  if (before === undefined || before.kind !== 'word') return true;
  const goesOn = isSign(next, '(') || (isWord(next) && /^\p{Ll}/u.test(next.raw));
  if (before.word.length === 1) return isOverBehindLetter(tokens, at, words);
  return !(goesOn && isShortUnit(tokens, at, words));
}

/** "about 40 g. My sister adds beer": a measure of one letter, and what begins behind it is no thing. */
function isOverBehindLetter(tokens: readonly Token[], at: number, words: Vocabulary): boolean {
  const next = tokens[at + 1];
  const isCapital = isWord(next) && /^\p{Lu}/u.test(next.raw);
  const isMeasure = isNumber(tokens[at - 2]) && words.units.at(tokens, at - 1) !== undefined;
  const { persons } = words.roles;
  const isTelling =
    persons.at(tokens, at + 1) !== undefined ||
    words.deeds.at(tokens, at + 1) !== undefined ||
    says(next, 'i') ||
    says(next, 'then');
  return isCapital && isMeasure && isTelling;
}

/** "2 tbsp. of honey"; "is 70 grams. my squirt …": a whole word ends the sentence. */
function isShortUnit(tokens: readonly Token[], at: number, words: Vocabulary): boolean {
  const [unit, stop] = [tokens[at - 1], tokens[at]];
  return (
    words.units.at(tokens, at - 1) !== undefined &&
    touches(unit, stop) &&
    (!isWholeWord(unit?.word ?? '', words) || words.roles.of.at(tokens, at + 1) !== undefined)
  );
}
