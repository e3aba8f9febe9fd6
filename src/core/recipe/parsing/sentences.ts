import { t } from '@lingui/core/macro';
import type { Problem } from '../../base/measures';
import { RECIPE_LIMITS, type Deed } from '../../records/shapes';
import type { Stretch } from '../larder';
import { settleAcross } from './across';
import { isAside, isMeasured } from './asides';
import { elementsOf } from './elements';
import { withGroups } from './groups';
import type { SentenceItems, TokenRange } from './item';
import { itemsOf } from './items';
import { says } from './marks';
import { namesIn, type Names } from './namesFound';
import { refinedNames } from './refinedNames';
import { headingOf, rowsOf, sentencesOf, startOfRow, type Heading, type Row } from './rows';
import { withSharedNouns, withUnsaidOil } from './sharedNouns';
import { stepsOf, type StepAt } from './steps';
import { withStrangers } from './strangers';
import { isNumber, isSign, type Token } from './tokens';
import type { Context, ReadRow, ReadSentence, Told } from './told';
import { unreadPart } from './weigh';

export const stretchOf = (tokens: readonly Token[], { from, to }: TokenRange): Stretch => ({
  start: tokens[from]?.start ?? 0,
  end: tokens[to - 1]?.end ?? 0,
});

/** The words of some tokens, as they were written. */
export function textOf({ text, tokens }: Context, range: TokenRange): string {
  const { start, end } = stretchOf(tokens, range);
  return text.slice(start, end);
}

/** Headings, sentences, and what each names: everything that can be read row by row. */
export function readSentences(context: Context): Told {
  const { tokens, lexicon } = context;
  const names = refinedNames(namesIn(tokens, lexicon), tokens, lexicon, context.words);
  const rows: ReadRow[] = [];
  const sentences: ReadSentence[] = [];
  const place = { phase: null as string | null, isMethod: false };
  const ofOils = isOfOils(context);
  for (const row of rowsOf(tokens)) {
    const heading = headingOf(tokens, row, context.text, context.words, (from, to) =>
      [...names.keys()].some((at) => at >= from && at < to),
    );
    if (heading) moveOn(place, heading);
    const from = heading ? heading.rest : startOfRow(tokens, row);
    const problem = problemOfRow(row, context);
    rows.push({ row, from, problem });
    if (from < row.to && !problem)
      sentences.push(...readRow(row, from, { ...place, names, context, ofOils, told: sentences }));
  }
  settleAcross(sentences, context);
  const byRow = new Map<Row, ReadSentence[]>();
  for (const sentence of sentences) {
    const own = byRow.get(sentence.row);
    if (own) own.push(sentence);
    else byRow.set(sentence.row, [sentence]);
  }
  return { names, rows, sentences, inRow: (row) => byRow.get(row) ?? [] };
}

/** "Hot oil: …", "Sunday oils": what a telling begins with. */
function isOfOils({ tokens, words }: Context): boolean {
  if (tokens.slice(0, OILS_WITHIN).some((token) => says(token, 'oiling'))) return true;
  const end = tokens.findIndex(
    ({ kind, word }) => kind === 'break' || (kind === 'sign' && /^[:.–—]$/.test(word)),
  );
  return (
    end > 1 &&
    end <= OILS_WITHIN &&
    tokens
      .slice(0, end)
      .some((token, at) => words.roles.bareOil.at(tokens, at) !== undefined || says(token, 'oils'))
  );
}
const OILS_WITHIN = 8;

function moveOn(place: { phase: string | null; isMethod: boolean }, { what, phase }: Heading): void {
  if (what === 'phase') place.phase = phase ?? null;
  place.isMethod = what === 'method' || (place.isMethod && what === 'noise');
}

interface RowPlace {
  readonly phase: string | null;
  readonly isMethod: boolean;
  readonly names: Names;
  readonly context: Context;
  /** Under a title of oils. */
  readonly ofOils: boolean;
  /** The sentences before the row. */
  readonly told: readonly ReadSentence[];
}

function readRow(
  row: Row,
  from: number,
  { phase, isMethod, names, context, ofOils, told }: RowPlace,
): ReadSentence[] {
  const { tokens, words, lexicon } = context;
  const before = told.at(-1);
  const isNext = before !== undefined && before.row.index === row.index - 1;
  let hasOwn = told.some(isMeasured);
  let deed: Deed | null = isNext ? lastDeed(before.steps) : null;
  return sentencesOf(tokens, from, row.to, words).map((range) => {
    const shared = withSharedNouns(
      elementsOf(tokens, range.from, range.to, names, words),
      tokens,
      lexicon,
      words,
    );
    const grouped = withGroups(shared, { tokens, lexicon, words });
    const oiled = withUnsaidOil(grouped, tokens, lexicon, ofOils);
    const elements = withStrangers(oiled, { tokens, lexicon, words });
    const steps = stepsOf(elements, tokens, words, isMethod ? deed : null);
    deed = lastDeed(steps) ?? deed;
    const found = itemsOf(elements, tokens, words);
    const isFirst = before === undefined && range.from === from;
    const own = isAside(range, elements, found, context, { isFirst, hasOwn })
      ? onlyMentioned(found)
      : { ...found, steps };
    hasOwn ||= isMeasured(own);
    return { ...range, row, elements, phase, isMethod, ...own };
  });
}

const lastDeed = (steps: readonly StepAt[]): Deed | null => steps.at(-1)?.deeds[0] ?? null;

const onlyMentioned = ({ items, mentions }: SentenceItems) => ({
  items: [],
  nameless: [],
  whole: null,
  batches: [],
  denied: [],
  mentions: [...mentions, ...items.map(({ name }) => name)],
  steps: [],
});

/** What is wrong with the numbers of a row, before any word is looked at. */
function problemOfRow(row: Row, context: Context): Problem | null {
  const { tokens } = context;
  const start = startOfRow(tokens, row);
  if (isSign(tokens[start], '-', '−') && isNumber(tokens[start + 1]))
    return {
      code: 'negative-amount',
      message: t`An amount cannot be negative: take the minus sign away.`,
      path: '',
    };
  const own = tokens.slice(start, row.to);
  const hasZero = own.some(
    (token, at) => isNumber(token) && isSign(own[at + 1], '/', '⁄') && own[at + 2]?.value === 0,
  );
  if (hasZero)
    return { code: 'bad-fraction', message: t`A fraction cannot have 0 below the line.`, path: '' };
  const told = textOf(context, row);
  // A row without blanks is no telling.
  if (told.length <= RECIPE_LIMITS.lineCharacters || /\s/.test(told)) return null;
  return unreadPart(
    'line-too-long',
    t`One line may have ${{ lineCharacters: RECIPE_LIMITS.lineCharacters }} characters; break it up.`,
  ).problem;
}

/** Whether a row says one thing and nothing else, as in a list. */
export function isAloneInRow(inRow: readonly ReadSentence[]): boolean {
  const things = inRow.reduce((count, { items, nameless }) => count + items.length + nameless.length, 0);
  return things === 1 && (inRow.length === 1 || inRow.every(({ steps }) => steps.length === 0));
}
