import { t } from '@lingui/core/macro';
import { grouped } from '../../base/language';
import { failed, ok, rounded, sum, type CupKind, type Problem, type Result } from '../../base/measures';
import { RECIPE_LIMITS } from '../../records/shapes';
import { plainWords, singular } from '../ingredients';
import {
  CATALOGUE_LARDER,
  type Assumption,
  type Deed,
  type Fate,
  type Larder,
  type LarderItem,
  type ParsedLine,
  type ParsedRecipe,
  type Span,
  type Stretch,
  type ToldStep,
} from '../larder';
import type { Amount } from './amounts';
import { elementsOf, namesIn, type Element } from './elements';
import { itemsOf, withSharedNouns, type Item, type NamedAt, type Nameless, type TokenRange } from './items';
import { NO_AMOUNT, type LineAmount } from './lineAmount';
import { amountText } from './lineText';
import { headingOf, rowsOf, sentencesOf, startOfRow, type Row } from './rows';
import { near } from './search';
import { BALANCE, balanced, withShares } from './shares';
import { stepsOf, toldUse, type StepAt } from './steps';
import { titleOf } from './titles';
import { tokensOf, type Token } from './tokens';
import { MIDDLING_HAIR_GRAMS } from './usualUse';
import { vocabularyFor, type Vocabulary } from './vocabulary';
import { unreadPart, weigh, type ReadingOptions, type ReadPart, type UnreadPart } from './weigh';

const SUGGESTIONS = 3;
/** A row of no more words than this that says nothing known is asked about; a longer one is a remark. */
const ASKED_WORDS = 5;

/** A sentence with all that was found in it. */
interface ReadSentence extends TokenRange {
  readonly row: Row;
  readonly elements: readonly Element[];
  readonly items: readonly Item[];
  readonly nameless: readonly Nameless[];
  readonly mentions: readonly NamedAt[];
  readonly steps: readonly StepAt[];
  readonly phase: string | null;
  /** Under a heading such as "Method". */
  readonly isMethod: boolean;
}

/** What a range of tokens becomes; later ones win. */
interface Paint extends TokenRange {
  readonly fate: Fate;
  readonly line: number | null;
  readonly step: number | null;
}

interface Context extends ReadingOptions {
  readonly text: string;
  readonly tokens: readonly Token[];
  readonly words: Vocabulary;
}

/**
 * Reads a recipe as it is told: a list, or sentences. Every stretch of the text gets a fate (see `spans`); what names an
 * ingredient comes back as a line, what is not understood as one that says so.
 * @param hairGrams mass of the hair that guesses are made for, g
 * @returns a problem only when the text as a whole cannot be a recipe: empty, or beyond the limits
 */
export function parseRecipe(
  text: string,
  {
    larder = CATALOGUE_LARDER,
    cup = 'us',
    hairGrams = MIDDLING_HAIR_GRAMS,
  }: { larder?: Larder; cup?: CupKind; hairGrams?: number } = {},
): Result<ParsedRecipe> {
  const rowCount = text.split(/\r\n|\r|\n/).filter((row) => row.trim() !== '').length;
  if (rowCount === 0) {
    return failed(
      'empty',
      t`There is no recipe yet: tell it as you would aloud, or one ingredient to a line.`,
    );
  }
  if (rowCount > RECIPE_LIMITS.lines || text.length > RECIPE_LIMITS.characters) {
    return failed(
      'too-long',
      t`This text has ${{ lineCount: grouped(rowCount) }} lines and ${{ characterCount: grouped(text.length) }} characters; ` +
        t`one recipe may have ${{ lines: RECIPE_LIMITS.lines }} lines and ${{ characters: grouped(RECIPE_LIMITS.characters) }} characters. ` +
        t`Paste one recipe at a time.`,
    );
  }
  const tokens = tokensOf(text);
  const words = vocabularyFor(tokens);
  const context: Context = { text, tokens, words, larder, cup, hairGrams, describing: words.describing };
  const names = namesIn(tokens, larder);
  const rows = rowsOf(tokens);
  const paints: Paint[] = [];
  const lines: { line: ParsedLine; order: number }[] = [];
  const sentences: ReadSentence[] = [];

  // Rows: headings, sentences, what each names.
  let phase: string | null = null;
  let isMethod = false;
  const rest: { row: Row; from: number; problem: Problem | null }[] = [];
  for (const row of rows) {
    const heading = headingOf(tokens, row, text, words, (from, to) =>
      [...names.keys()].some((at) => at >= from && at < to),
    );
    if (heading) {
      if (heading.what === 'phase') phase = heading.phase ?? null;
      isMethod = heading.what === 'method' || (isMethod && heading.what === 'noise');
    }
    rest.push({
      row,
      from: heading?.rest ?? startOfRow(tokens, row),
      problem: problemOfRow(tokens, row, text),
    });
    if (heading?.rest === row.to || rest.at(-1)!.problem) continue;
    let before: Deed | null =
      sentences.at(-1)?.row.index === row.index - 1
        ? (sentences.at(-1)?.steps.at(-1)?.deeds[0] ?? null)
        : null;
    for (const { from, to } of sentencesOf(tokens, rest.at(-1)!.from, row.to)) {
      const elements = withSharedNouns(elementsOf(tokens, from, to, names, words), tokens, larder, words);
      const steps = stepsOf(elements, tokens, words, { before, isMethod });
      before = steps.at(-1)?.deeds[0] ?? before;
      sentences.push({
        from,
        to,
        row,
        elements,
        ...itemsOf(elements, tokens, words),
        steps,
        phase,
        isMethod,
      });
    }
  }

  const title = titleOf({ text, tokens, words, rows, sentences, names });
  const known = measuredNames(sentences, title);
  const seen = new Map<string, Item>();
  const steps: ToldStep[] = [];
  for (const sentence of sentences) {
    for (const step of sentence.steps) {
      if (title && step.from < title.to && step.to > title.from) continue;
      const stretch = stretchOf(tokens, step);
      paints.push({ from: step.from, to: step.to, fate: 'step', line: null, step: steps.length });
      const { deeds, minutes, overnight, celsius } = step;
      steps.push({
        ...stretch,
        text: text.slice(stretch.start, stretch.end),
        deeds,
        minutes,
        overnight,
        celsius,
      });
    }
    for (const item of sentence.items) {
      if (title && item.name.from < title.to && item.name.from >= title.from) continue;
      const id = item.name.match.item.id;
      if (isMention(item, sentence, known, seen, context)) continue;
      seen.set(id, seen.get(id) ?? item);
      const at = stretchesOf(item, tokens);
      const isAlone = isAloneInRow(sentence, sentences);
      const told = isAlone
        ? rowText(context, sentence.row)
        : at.map(({ start, end }) => text.slice(start, end)).join(' ');
      const part = weighItem(item, sentence, context, isAlone);
      const index = lines.length;
      const base = { text: told, row: sentence.row.index, at };
      lines.push({
        order: tokens[item.name.from]!.start,
        line: part.status === 'read' ? { ...base, ...part, phase: sentence.phase } : { ...base, ...part },
      });
      const fate: Fate = part.status === 'read' ? 'ingredient' : 'unread';
      for (const range of rangesOf(item)) paints.push({ ...range, fate, line: index, step: null });
    }
    for (const { amount, range } of sentence.nameless) {
      if (title && range.from < title.to && range.from >= title.from) continue;
      const { line, fate } = namelessLine(amount, range, sentence, sentences, context);
      paints.push({ ...range, fate, line: lines.length, step: null });
      lines.push({ order: tokens[range.from]!.start, line });
    }
  }
  if (title) paints.push({ from: title.from, to: title.to, fate: 'title', line: null, step: null });

  // Rows that say nothing yet: remarks, or asked about.
  const touched = new Set(lines.map(({ line }) => line.row));
  for (const { row, from, problem } of rest) {
    if (touched.has(row.index)) continue;
    const line = silentRow(row, from, problem, context, { title, sentences });
    if (line.status === 'unread')
      paints.push({ from: row.from, to: row.to, fate: 'unread', line: lines.length, step: null });
    lines.push({ order: tokens[row.from]!.start, line });
  }

  const order = lines.map((_, index) => index).sort((a, b) => lines[a]!.order - lines[b]!.order || a - b);
  const placeOf = new Map(order.map((index, place) => [index, place]));
  const told = toldUse(steps, tokens, words, title?.name ?? null);
  return ok({
    lines: balanced(withShares(order.map((index) => lines[index]!.line))),
    title: title?.name ?? null,
    steps,
    told,
    spans: spansOf(text, tokens, paints, placeOf),
  });
}

const stretchOf = (tokens: readonly Token[], { from, to }: TokenRange): Stretch => ({
  start: tokens[from]?.start ?? 0,
  end: tokens[to - 1]?.end ?? 0,
});

const rowText = ({ text, tokens }: Context, row: Row): string =>
  text.slice(tokens[row.from]!.start, tokens[row.to - 1]!.end);

/** What is wrong with the numbers of a row, before any word is looked at. */
function problemOfRow(tokens: readonly Token[], row: Row, text: string): Problem | null {
  const start = startOfRow(tokens, row);
  const [first, second] = [tokens[start], tokens[start + 1]];
  if (first?.kind === 'sign' && /^[-−]$/.test(first.word) && second?.kind === 'number')
    return {
      code: 'negative-amount',
      message: t`An amount cannot be negative: take the minus sign away.`,
      path: '',
    };
  for (let at = start; at + 2 < row.to; at++)
    if (
      tokens[at]!.kind === 'number' &&
      /^[/⁄]$/.test(tokens[at + 1]!.word) &&
      tokens[at + 2]!.kind === 'number' &&
      tokens[at + 2]!.value === 0
    )
      return { code: 'bad-fraction', message: t`A fraction cannot have 0 below the line.`, path: '' };
  const length = tokens[row.to - 1]!.end - tokens[row.from]!.start;
  // A row without blanks is no telling.
  if (
    length > RECIPE_LIMITS.lineCharacters &&
    !/\s/.test(text.slice(tokens[row.from]!.start, tokens[row.to - 1]!.end))
  )
    return unreadPart(
      'line-too-long',
      t`One line may have ${{ lineCharacters: RECIPE_LIMITS.lineCharacters }} characters; break it up.`,
    ).problem;
  return null;
}

/** Things with an amount, and where: a later mention of them is none more. */
function measuredNames(
  sentences: readonly ReadSentence[],
  title: TokenRange | null,
): ReadonlyMap<string, ReadSentence> {
  const known = new Map<string, ReadSentence>();
  for (const sentence of sentences)
    for (const item of sentence.items)
      if (
        item.amount &&
        !(title && item.name.from >= title.from && item.name.from < title.to) &&
        !known.has(item.name.match.item.id)
      )
        known.set(item.name.match.item.id, sentence);
  return known;
}

/** Deeds that bring something into the bowl. */
const BRINGS: ReadonlySet<Deed> = new Set<Deed>([
  'mix',
  'take',
  'blend',
  'heat',
  'boil',
  'soak',
  'whip',
  'strain',
  'cool',
]);

/** A name that refers to what is in already, or to what is done on the hair. */
function isMention(
  item: Item,
  sentence: ReadSentence,
  known: ReadonlyMap<string, ReadSentence>,
  seen: ReadonlyMap<string, Item>,
  context: Context,
): boolean {
  const { id } = item.name.match.item;
  const listed = known.get(id);
  if (item.amount && !item.amount.weak) {
    // In a method below a list the same amount is no second one.
    if (!sentence.isMethod && item.deed === null) return false;
    if (sentence.isMethod && item.amount.unit === null && sentence.items.length > 0 && !listed) return true;
    if (!listed || listed === sentence) return seen.has(id) && sentence.isMethod;
    return (
      listed.row.index < sentence.row.index &&
      (sentence.isMethod || sameAmount(seen.get(id)?.amount, item.amount))
    );
  }
  if (item.amount?.weak && item.amount.unit !== null) return false;
  if (listed && listed !== sentence) return true;
  if (seen.has(id) || (listed && item.amount === null)) return true;
  if (item.amount) return false;
  if (item.deed !== null) return !BRINGS.has(item.deed);
  if (sentence.isMethod) return true;
  // Nothing is done with it: a list of names, or talk?
  const unknown = sentence.elements.filter(
    (element) => element.kind === 'word' && isUnknown(context.tokens[element.from]!, context),
  ).length;
  const measured = sentence.items.some(({ amount }) => amount !== null);
  return !measured && unknown > 2 * sentence.items.length + 1;
}

const isUnknown = ({ kind, word }: Token, { describing }: Context): boolean =>
  kind === 'word' && word.length > 2 && !describing.has(word);

const sameAmount = (one: Amount | null | undefined, other: Amount) =>
  one !== null && one !== undefined && one.quantity === other.quantity && one.unit === other.unit;

/** Whether a row says one thing and nothing else, as in a list. */
function isAloneInRow(sentence: ReadSentence, sentences: readonly ReadSentence[]): boolean {
  const inRow = sentences.filter(({ row }) => row === sentence.row);
  return (
    sum(inRow.map(({ items, nameless }) => items.length + nameless.length)) === 1 &&
    (inRow.length === 1 || inRow.every(({ steps }) => steps.length === 0))
  );
}

function rangesOf(item: Item): TokenRange[] {
  const name = { from: item.name.from, to: item.name.to };
  const extra = [...item.others, ...item.instead].map(({ from, to }) => ({ from, to }));
  const amounts = [item.amount, ...item.more].flatMap((amount) =>
    amount ? [{ from: amount.from, to: amount.to }] : [],
  );
  // Words between an amount and its name are its own: "2 tbsp of the runny honey".
  const nearest = item.amount && !item.shared ? item.amount : null;
  const joined = nearest
    ? [{ from: Math.min(nearest.from, name.from), to: Math.max(nearest.to, name.to) }]
    : [name];
  return [...amounts, ...extra, ...joined];
}

function stretchesOf(item: Item, tokens: readonly Token[]): Stretch[] {
  const name = { from: item.name.from, to: item.name.to };
  if (!item.amount) return [stretchOf(tokens, name)];
  if (item.shared)
    return [item.amount, name].sort((a, b) => a.from - b.from).map((range) => stretchOf(tokens, range));
  return [
    stretchOf(tokens, { from: Math.min(item.amount.from, name.from), to: Math.max(item.amount.to, name.to) }),
  ];
}

function lineAmountOf(amount: Amount | null, words: string): LineAmount {
  if (!amount) return { ...NO_AMOUNT, words };
  const { quantity, quantityTo, unit, size, heaped, packSize } = amount;
  return { quantity, quantityTo, unit, size, heaped, packSize, words };
}

/** Where the words stand that say how a thing is: up to the next thing, and not past what is done on the hair. */
function wordsOf(item: Item, sentence: ReadSentence, isAlone: boolean): TokenRange {
  if (isAlone) return { from: sentence.row.from, to: sentence.row.to };
  const others = sentence.items.filter((other) => other !== item);
  const starts = others.map(({ amount, name, shared }) =>
    amount && !shared ? Math.min(amount.from, name.from) : name.from,
  );
  const ends = others.map(({ amount, name, shared }) =>
    amount && !shared ? Math.max(amount.to, name.to) : name.to,
  );
  const own = rangesOf(item);
  const [first, last] = [Math.min(...own.map(({ from }) => from)), Math.max(...own.map(({ to }) => to))];
  const before = Math.max(sentence.from, ...ends.filter((end) => end <= first));
  const after = Math.min(sentence.to, ...starts.filter((start) => start >= last));
  const hair = sentence.elements.find(
    (element) =>
      element.from >= last &&
      element.kind === 'deed' &&
      (element.deed === 'apply' || element.deed === 'rinse'),
  );
  // Words before it are those of its own clause.
  const clause = sentence.elements.findLast((element) => element.to <= first && element.kind === 'separator');
  return { from: Math.max(before, clause?.to ?? before), to: Math.min(after, hair?.from ?? after) };
}

function weighItem(item: Item, sentence: ReadSentence, context: Context, isAlone: boolean): ReadPart {
  const { text, tokens } = context;
  const range = wordsOf(item, sentence, isAlone);
  const plain = text.slice(tokens[range.from]!.start, tokens[range.to - 1]!.end);
  const unclear = item.amount?.unclearNumber;
  if (unclear) return unclearNumber(unclear, item);
  if (
    BALANCE.test(plain) &&
    (item.amount === null || (item.amount.quantity === 100 && item.amount.unit !== 'ml'))
  )
    return balancingPart(item, context);
  const words = wordsBeside(item, sentence, context);
  const amount = { ...lineAmountOf(item.amount, words.text), unit: unitOf(item, sentence) };
  const part = weigh(
    {
      match: { item: inDrops(item, context), words: item.name.match.words, start: words.start },
      others: item.others.map(({ match }) => ({ item: match.item, words: match.words, start: -1 })),
      instead: item.instead.map(({ match }) => match.item),
      amount,
      plain,
      equalPart: item.equalPart,
      optional: item.optional,
      spelling: null,
    },
    context,
  );
  return withMore(part, item, sentence, context);
}

/** Drops of a plant are of its essential oil. */
function inDrops(item: Item, { larder, tokens }: Context): LarderItem {
  const { match, from, to } = item.name;
  const { ingredient } = match.item;
  if (item.amount?.unit !== 'drop' || !ingredient || ingredient.composition.fat > 50) return match.item;
  const named = tokens.slice(from, to).map(({ word }) => word);
  const [oil] = larder.inWords([...named, 'essential', 'oil']);
  return oil?.item.ingredient?.roles.includes('essential-oil') ? oil.item : match.item;
}

/** "12 g BTMS, 9 cetyl": a bare number beside grams is grams, of what is not counted. */
function unitOf(item: Item, sentence: ReadSentence): Amount['unit'] {
  const { amount, name } = item;
  if (!amount || amount.unit !== null || amount.weak || name.match.item.ingredient?.measures.pieceGrams)
    return amount?.unit ?? null;
  const before = sentence.items
    .slice(0, sentence.items.indexOf(item))
    .findLast((other) => other.amount?.unit);
  const unit = before?.amount?.unit;
  return unit === 'g' || unit === 'ml' ? 'g' : null;
}

/** The words between the amount and the end of the name: those that nobody knows are said. */
function wordsBeside(
  item: Item,
  sentence: ReadSentence,
  { text, tokens }: Context,
): { text: string; start: number } {
  const { name, amount, shared } = item;
  const from = amount && !shared && amount.to <= name.from ? amount.to : clauseStart(name.from, sentence);
  const before = text.slice(tokens[from]?.start ?? 0, tokens[name.from]!.start);
  const named = text.slice(tokens[name.from]!.start, tokens[name.to - 1]!.end);
  const tail = sentence.elements.find((element) => element.from >= name.to && element.kind === 'separator');
  const end = tail?.from ?? sentence.to;
  const after = end > name.to ? text.slice(tokens[name.to]!.start, tokens[end - 1]!.end) : '';
  return { text: `${before} ${named} ${after}`, start: plainWords(before).length };
}

/** Unmeasured things have the words of their clause that name nothing else. */
function clauseStart(at: number, sentence: ReadSentence): number {
  const before = sentence.elements.findLast((element) => element.to <= at && element.kind !== 'word');
  return Math.max(sentence.from, before?.to ?? sentence.from);
}

/** "another half", "1 tbsp + 1 tsp": added up in grams; what was corrected is said. */
function withMore(part: ReadPart, item: Item, sentence: ReadSentence, context: Context): ReadPart {
  const inText = part.status === 'read' && isInstruction(item, sentence) ? fromInstruction(part) : part;
  if (inText.status !== 'read' || item.more.length === 0) return inText;
  const more = item.more.map((amount) =>
    weigh(
      {
        match: { item: item.name.match.item, words: 1, start: 0 },
        others: [],
        instead: [],
        amount: lineAmountOf(amount, item.name.match.item.name),
        plain: '',
        equalPart: false,
        optional: false,
        spelling: null,
      },
      context,
    ),
  );
  const bad = more.find((each) => each.status !== 'read');
  if (bad) return bad;
  const grams = inText.grams + sum(more.map((each) => (each.status === 'read' ? each.grams : 0)));
  return { ...inText, quantity: grams, unit: 'g', grams };
}

/** Below a list, what a step brings in is said to come from there. */
const isInstruction = (item: Item, sentence: ReadSentence): boolean =>
  sentence.isMethod ||
  (sentence.row.index > 0 && item.deed !== null && item.deed !== 'take' && sentence.steps.length > 0);

function fromInstruction(part: Extract<ReadPart, { status: 'read' }>): ReadPart {
  const assumption: Assumption = {
    code: 'from-instruction',
    text: t`Taken from an instruction: ${{ grams: rounded(part.grams, 1) }} g ${{ partName: part.name }}.`,
    alternatives: [],
  };
  return { ...part, assumptions: [...part.assumptions, assumption] };
}

function unclearNumber(raw: string, item: Item): ReadPart {
  const { unit } = item.amount!;
  const { name } = item.name.match.item;
  const [thousands, decimals] = [Number(raw.replace('.', '')), Number(raw)];
  return unreadPart(
    'unclear-number',
    t`Is ${raw} a thousand or a decimal? Tap the one you mean.`,
    [thousands, decimals].map((quantity) => `${amountText(quantity, unit)} ${name}`),
  );
}

/** "Water to 100": what is left over is read once the others are known. */
function balancingPart(item: Item, context: Context): ReadPart {
  const { match } = item.name;
  const part = weigh(
    {
      match: { item: match.item, words: match.words, start: 0 },
      others: [],
      instead: [],
      amount: { ...NO_AMOUNT, quantity: 1, unit: '%', words: match.item.name },
      plain: match.item.name,
      equalPart: false,
      optional: false,
      spelling: null,
    },
    context,
  );
  if (part.status !== 'read') return part;
  const assumption: Assumption = { code: 'to-balance', text: t`Fills up to 100 %.`, alternatives: [] };
  return { ...part, assumptions: [...part.assumptions, assumption] };
}

/** An amount of something that is not known, or misspelt. */
function namelessLine(
  amount: Amount,
  range: TokenRange,
  sentence: ReadSentence,
  sentences: readonly ReadSentence[],
  context: Context,
): { line: ParsedLine; fate: Fate } {
  const { text, tokens } = context;
  const isAlone = isAloneInRow(sentence, sentences);
  const told = isAlone
    ? rowText(context, sentence.row)
    : text.slice(tokens[range.from]!.start, tokens[range.to - 1]!.end);
  const base = { text: told, row: sentence.row.index, at: [stretchOf(tokens, range)] };
  const words = text.slice(tokens[Math.min(amount.to, range.to - 1)]!.start, tokens[range.to - 1]!.end);
  const part =
    misspeltPart(words, amount, told, context) ?? unknownPart(words, lineAmountOf(amount, words), context);
  if (part?.status === 'read')
    return { line: { ...base, ...part, phase: sentence.phase }, fate: 'ingredient' };
  return { line: { ...base, ...part }, fate: 'unread' };
}

function misspeltPart(words: string, amount: Amount, plain: string, context: Context): ReadPart | undefined {
  const naming = plainWords(words)
    .filter((word) => !context.describing.has(word) && !context.describing.has(singular(word)))
    .join(' ');
  const misspelt = context.larder.misspeltIn(naming);
  if (!misspelt) return undefined;
  return weigh(
    {
      match: { item: misspelt.item, words: misspelt.words, start: 0 },
      others: [],
      instead: [],
      amount: lineAmountOf(amount, misspelt.item.name),
      plain,
      equalPart: false,
      optional: false,
      spelling: {
        written: misspelt.written,
        near: near(context.larder, misspelt.written, SUGGESTIONS + 1)
          .filter(({ id }) => id !== misspelt.item.id)
          .slice(0, 2),
      },
    },
    context,
  );
}

function unknownPart(words: string, amount: LineAmount, { larder }: ReadingOptions): UnreadPart {
  const measure = amount.quantity === null ? '1 tbsp' : amountText(amount.quantity, amount.unit);
  return unreadPart(
    'unknown-ingredient',
    t`Nothing of this name is in the catalogue, among your ingredients or your recipes.`,
    near(larder, words, SUGGESTIONS).map(({ name }) => `${measure} ${name}`),
  );
}

/** A row in which nothing was found: a heading, a step, a remark; short and unknown, it is asked about. */
function silentRow(
  row: Row,
  from: number,
  problem: Problem | null,
  context: Context,
  { title, sentences }: { readonly title: TokenRange | null; readonly sentences: readonly ReadSentence[] },
): ParsedLine {
  const { tokens } = context;
  const text = rowText(context, row);
  const base = { text, row: row.index, at: [stretchOf(tokens, row)] };
  if (problem) return { ...base, status: 'unread', problem, suggestions: [] };
  const own = sentences.filter((sentence) => sentence.row === row);
  const words = tokens.slice(from, row.to).filter(({ kind }) => kind === 'word');
  const isTitle = title !== null && title.from >= row.from && title.to <= row.to;
  if (!tokens.slice(row.from, row.to).some(({ kind }) => kind === 'word' || kind === 'number'))
    return {
      ...base,
      ...unreadPart('no-words', t`There are no words in this line that name an ingredient.`),
    };
  const isSaid =
    own.length === 0 ||
    isTitle ||
    own.some(({ steps, mentions, items }) => steps.length > 0 || mentions.length > 0 || items.length > 0);
  if (isSaid || words.length > ASKED_WORDS || own.some(({ isMethod }) => isMethod))
    return { ...base, status: 'note' };
  const amount = own[0]?.elements.find((element) => element.kind === 'amount');
  const said = amount?.kind === 'amount' ? amount.amount : null;
  const rest = said
    ? context.text.slice(tokens[Math.min(said.to, row.to - 1)]!.start, tokens[row.to - 1]!.end)
    : text;
  const fixed = misspeltPart(rest, said ?? NAMELESS_AMOUNT, text, context);
  if (said && fixed?.status === 'read') return { ...base, ...fixed, phase: own[0]?.phase ?? null };
  return { ...base, ...unknownPart(rest, lineAmountOf(said, rest), context) };
}

const NAMELESS_AMOUNT: Amount = {
  from: 0,
  to: 0,
  quantity: 1,
  quantityTo: null,
  unit: 'tbsp',
  size: null,
  heaped: false,
  about: false,
  packSize: null,
  weak: true,
  unclearNumber: null,
};

/** The whole text in spans: what stands between two tokens goes with the first. */
function spansOf(
  text: string,
  tokens: readonly Token[],
  paints: readonly Paint[],
  placeOf: ReadonlyMap<number, number>,
): Span[] {
  const RANK: Readonly<Record<Fate, number>> = { remark: 0, step: 1, title: 2, unread: 3, ingredient: 4 };
  const own: (Paint | undefined)[] = tokens.map(() => undefined);
  for (const paint of paints)
    for (let at = paint.from; at < paint.to; at++)
      if (!own[at] || RANK[paint.fate] >= RANK[own[at]!.fate]) own[at] = paint;
  const spans: { start: number; end: number; fate: Fate; line: number | null; step: number | null }[] = [];
  for (const [index, token] of tokens.entries()) {
    const paint = own[index];
    const fate = paint?.fate ?? 'remark';
    const line = paint?.line === undefined || paint.line === null ? null : (placeOf.get(paint.line) ?? null);
    const step = paint?.step ?? null;
    const last = spans.at(-1);
    const end = tokens[index + 1]?.start ?? text.length;
    if (last && last.fate === fate && last.line === line && last.step === step) last.end = end;
    else spans.push({ start: last ? token.start : 0, end, fate, line, step });
  }
  if (spans.length === 0) spans.push({ start: 0, end: text.length, fate: 'remark', line: null, step: null });
  return spans;
}
