import { CATALOGUE_LARDER, type Larder } from '../larder';
import { lexiconOf } from './lexicon';
import { namesIn } from './namesFound';
import { headingOf, rowsOf, startOfRow, type Row } from './rows';
import { TITLE_WORDS } from './titles';
import { isNumber, isSign, tokensOf, type Token } from './tokens';
import { countWords, namesKind, vocabularyFor, type Vocabulary } from './vocabulary';

/**
 * The recipes that a text holds, each with its own title on top: a short row without an amount after a blank one (or the
 * first) begins one, where ingredients follow. Parts of one recipe ("For the gel:") and its method stay with it.
 * @returns the texts, one where nothing parts it; joined again with blank rows they are the whole
 */
export function recipesIn(text: string, larder: Larder = CATALOGUE_LARDER): string[] {
  const lexicon = lexiconOf(larder);
  const tokens = tokensOf(text);
  const words = vocabularyFor(tokens);
  const names = [...namesIn(tokens, lexicon).keys()];
  const named = (from: number, to: number) => names.some((at) => at >= from && at < to);
  const rows = rowsOf(tokens);
  const begins = rows.filter((row) => {
    const start = startOfRow(tokens, row);
    const inside = tokens.slice(start, row.to);
    const isShort = countWords(tokens, start, row.to) <= TITLE_WORDS;
    const hasAmount = inside.some(
      ({ kind }, at) => kind === 'number' || words.units.at(tokens, start + at) !== undefined,
    );
    const heading = headingOf(tokens, row, text, words, named);
    const isPart = heading?.what === 'part' && /^for\b/i.test(tokens[start]?.raw ?? '');
    const isOwn = heading === undefined || (heading.what === 'part' && !isPart);
    const isName = named(start, row.to) && !namesKind(words, tokens, start, row.to);
    return row.isParted && isShort && !hasAmount && isOwn && !isName && inside.length > 0;
  });
  const starts = [
    ...begins.map(({ from }) => from),
    ...ofDays(tokens, words),
    ...ofNumbers(tokens, rows, words, names),
  ]
    .sort((a, b) => a - b)
    .map((from) => tokens[from]!.start);
  const pieces = [0, ...starts.filter((start) => start > 0)].map((start, index, all) =>
    text.slice(start, all[index + 1] ?? text.length).trim(),
  );
  // A piece without two things in it belongs to the one before; words before the first of several to that.
  const recipes: string[] = [];
  let isPreface = false;
  for (const piece of pieces.filter((each) => each !== '')) {
    const things = namesIn(tokensOf(piece), lexicon).size;
    const isFirst = recipes.length === 0;
    if (isPreface && things >= 2) recipes.push(`${recipes.pop() ?? ''}\n\n${piece}`);
    else if (things >= 2 || isFirst) recipes.push(piece);
    else recipes.push(`${recipes.pop() ?? ''}\n\n${piece}`);
    isPreface = things === 0 && (isFirst || isPreface);
  }
  return recipes;
}

/** Tokens of a title that is little more than the word for a treatment: "pre-poo". */
const KIND_TITLE = 4;

/** A numbered row with a title of its own: "1. Coffee rinse - 2 tbsp grounds, 2 cups water". @returns tokens, where several are */
function ofNumbers(
  tokens: readonly Token[],
  rows: readonly Row[],
  words: Vocabulary,
  names: readonly number[],
): number[] {
  const own = rows.filter((row) => {
    const start = startOfRow(tokens, row);
    const at = tokens.findIndex(
      (token, index) => index > start && index < row.to && isSign(token, ':', '-', '–', '—'),
    );
    const title = tokens.slice(start, at);
    // "1. …", or the word for a treatment: "Rinse: 1 tbsp vinegar in 2 cups water"
    const isNumbered =
      (tokens[row.from]?.kind === 'number' && start > row.from) ||
      (at > 0 && title.length <= KIND_TITLE && namesKind(words, tokens, start, at));
    const isTitle =
      at > 0 &&
      title.length <= TITLE_WORDS &&
      title.every(({ kind }) => kind !== 'number') &&
      (namesKind(words, tokens, start, at) || words.deeds.at(tokens, start) === undefined);
    const isMeasured = tokens.slice(at, row.to).filter(({ kind }) => kind === 'number').length > 1;
    return (
      isNumbered && isTitle && isMeasured && names.filter((name) => name > at && name < row.to).length > 1
    );
  });
  return own.length > 1 ? own.map(({ from }) => from) : [];
}

/** How many tokens behind a day its colon may stand: "Monday to Thursday:". */
const DAY_TITLE = 6;
/** … and in how many the first day is told. */
const FIRST_DAY = 10;

/** "Sunday oil: …; Monday to Thursday: …": where a telling that begins with a day goes on with another. @returns tokens */
function ofDays(tokens: readonly Token[], { roles, time }: Vocabulary): number[] {
  const isDay = (at: number) =>
    roles.days.at(tokens, at) !== undefined ||
    (time.at(tokens, at)?.value === 'day' && isNumber(tokens[at + 1]));
  const isDayTitle = (at: number) =>
    isDay(at) && tokens.slice(at, at + DAY_TITLE).some((token) => isSign(token, ':', '–', '—', '-', '('));
  const isOver = (token: Token | undefined) =>
    token?.kind === 'break' || isSign(token, ';', '.', '!', '?', ')');
  if (!tokens.slice(0, FIRST_DAY).some((_, at) => isDayTitle(at))) return [];
  return [...tokens.keys()].filter((at) => at > 0 && isOver(tokens[at - 1]) && isDayTitle(at));
}
