import { t } from '@lingui/core/macro';
import { grouped } from '../../base/language';
import { CUPS, failed, ok, rounded, sum, UNITS, type CupKind, type Result } from '../../base/measures';
import { RECIPE_LIMITS } from '../../records/shapes';
import {
  CATALOGUE_LARDER,
  type Assumption,
  type Larder,
  type ParsedLine,
  type ParsedRecipe,
  type ReadLine,
  type ToldStep,
} from '../larder';
import { NO_MEASURE, type Amount } from './amounts';
import type { OwnMeasures } from './grams';
import type { Batch, Item, Nameless, Whole, TokenRange } from './item';
import { lexiconOf, sourceIdOf } from './lexicon';
import { lineAmountOf } from './lineAmount';
import { misspeltPart, rangesOf, stretchesOf, unknownPart, weighItem } from './lines';
import { says } from './marks';
import { isWithin, Mentions } from './mentions';
import { isOfNothing, namelessPart } from './nameless';
import { namedOnly } from './notCounted';
import { isAloneInRow, readSentences, stretchOf, textOf } from './sentences';
import { balanced, withShares } from './shares';
import { spansOf, type Paint } from './spans';
import { withSpeltMeasures } from './spelling';
import { stepMarks } from './stepMarks';
import type { StepAt } from './steps';
import { thinned } from './thinned';
import { titleOf, type Title } from './titles';
import { isSign, tokensOf } from './tokens';
import type { Context, ReadRow, ReadSentence, Told } from './told';
import { restsTold, toldUse } from './toldUse';
import { MIDDLING_HAIR_GRAMS } from './usualUse';
import { vocabularyFor } from './vocabulary';
import { unreadPart, type ReadPart } from './weigh';

/** A row of no more words than this that says nothing known is asked about; a longer one is a remark. */
const ASKED_WORDS = 5;

/**
 * Reads a recipe as it is told: a list, or sentences. Every stretch of the text gets a fate (see `spans`); what names an
 * ingredient comes back as a line, what is not understood as one that says so.
 *
 * Stages, each of its own file: tokens → names, amounts → elements → items and steps of a sentence → title, mentions →
 * lines with their weight → spans.
 * @param hairGrams mass of the hair that guesses are made for, g
 * @returns a problem only when the text as a whole cannot be a recipe: empty, or beyond the limits
 */
export function parseRecipe(
  text: string,
  {
    larder = CATALOGUE_LARDER,
    cup = 'us',
    own,
    hairGrams = MIDDLING_HAIR_GRAMS,
  }: {
    larder?: Larder;
    cup?: CupKind;
    own?: OwnMeasures | undefined;
    hairGrams?: number | undefined;
  } = {},
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
  const written = tokensOf(text);
  const words = vocabularyFor(written);
  const lexicon = lexiconOf(larder);
  const tokens = withSpeltMeasures(written, words, lexicon);
  const context: Context = {
    text,
    tokens,
    words,
    larder,
    lexicon,
    kitchen: { cup, own },
    hairGrams,
    describing: words.describing,
  };
  const told = readSentences(context);
  const title = titleOf({ ...told, text, tokens, words, rows: told.rows.map(({ row }) => row) });
  return ok(new Assembly(context, told, title).recipe());
}

/** Puts the recipe together out of what was found in its sentences. */
class Assembly {
  private readonly lines: { line: ParsedLine; readonly start: number; readonly paints: Paint[] }[] = [];
  private readonly steps: ToldStep[] = [];
  private readonly paints: Paint[] = [];
  private readonly mentions: Mentions;
  /** Names with an amount that were taken for one that is in already. */
  private readonly dropped = new Set<number>();

  constructor(
    private readonly context: Context,
    private readonly told: Told,
    private readonly title: Title | null,
  ) {
    this.mentions = new Mentions(told.sentences, title, context);
  }

  recipe(): ParsedRecipe {
    const { context, title } = this;
    for (const sentence of this.told.sentences) {
      for (const step of sentence.steps) this.addStep(step);
      for (const item of sentence.items) this.addItem(item, sentence);
      for (const nameless of sentence.nameless) this.addNameless(nameless, sentence);
      if (sentence.whole) this.scale(sentence.whole);
      for (const batch of sentence.batches) this.fitBatch(batch);
    }
    if (title) this.paints.push({ from: title.from, to: title.to, fate: 'title', line: null, step: null });
    const touched = new Set(this.lines.map(({ line }) => line.row));
    for (const row of this.told.rows) if (!touched.has(row.row.index)) this.addSilent(row);
    const inOrder = [...this.lines].sort((a, b) => a.start - b.start);
    const lines = thinned(balanced(withShares(inOrder.map(({ line }) => line))), context.larder);
    // A share that does not fit is read no longer.
    const paints = inOrder.flatMap((each, line) =>
      each.paints.map((paint): Paint => ({
        ...paint,
        line,
        fate: lines[line]?.status === 'unread' ? 'unread' : paint.fate,
      })),
    );
    const lastAdded = Math.max(
      0,
      ...inOrder.flatMap(({ line, start }) => (line.status === 'read' ? [start] : [])),
    );
    const steps = restsTold(this.steps, context.text, lastAdded);
    const spans = spansOf(context.text, context.tokens, [...this.paints, ...paints]);
    const counted = new Set(
      lines.flatMap((line) =>
        line.status === 'read' ? [line.ingredientId ?? line.made?.recipeId ?? line.name] : [],
      ),
    );
    return {
      lines,
      notCounted: namedOnly(this.told.sentences, context.tokens, spans, counted, this.dropped),
      title: title ? title.name : null,
      steps,
      told: toldUse(steps, context.tokens, context.words, title ? title.name : null),
      spans,
    };
  }

  /** "Halve everything except the honey": all that was told before it. */
  private scale({ times, except, from, to }: Whole): void {
    this.paints.push({ from, to, fate: 'step', line: null, step: null });
    const kept = new Set(except.map(({ match }) => match.item.name));
    const at = this.context.tokens[from]?.start ?? 0;
    this.multiply(times, ({ name }, start) => start < at && !kept.has(name));
  }

  /** "2 tbsp of that", "6 tablespoons in all" */
  private fitBatch(batch: Batch): void {
    const { what, amount, from, to } = batch;
    this.paints.push({ from, to, fate: 'step', line: null, step: null });
    const unit = amount.unit ? UNITS[amount.unit] : undefined;
    if (unit?.kind !== 'volume' && unit?.kind !== 'mass') return;
    const size = amount.unit === 'cup' ? CUPS[this.context.kitchen.cup].millilitres : unit.size;
    const wanted = amount.quantity * size;
    const isPart = this.partsOf(batch);
    const counted = this.lines.flatMap(({ line, start }) =>
      line.status === 'read' && isPart(line, start) ? [line] : [],
    );
    const whole = sum(
      counted.map(({ grams, quantity }) => (what === 'used' ? grams : quantity * UNITS.part.size)),
    );
    // All of a rinse may be "a cup of that": only beside other things does it say how much goes in.
    const goesOn =
      what === 'total' ||
      this.told.sentences.some(({ items }) =>
        items.some(({ name, amount: own }) => own !== null && name.from >= to),
      );
    if (goesOn && whole > 0 && (what === 'total' || wanted < whole)) this.multiply(wanted / whole, isPart);
  }

  /** What an amount of what was made is of: the parts of a whole, or all that stands before it. */
  private partsOf({ what, from, within }: Batch): (line: ReadLine, start: number) => boolean {
    const { tokens } = this.context;
    if (what === 'total') return ({ unit }) => unit === 'part';
    const first = within ? (tokens[within.from]?.start ?? 0) : 0;
    const last = (within ? tokens[within.to - 1]?.end : undefined) ?? tokens[from]?.start ?? 0;
    return (_, start) => start >= first && start < last;
  }

  private multiply(times: number, isMeant: (line: ReadLine, start: number) => boolean): void {
    for (const each of this.lines) {
      const { line } = each;
      if (line.status !== 'read' || !isMeant(line, each.start)) continue;
      const assumption: Assumption = {
        code: 'scaled',
        text: t`Times ${{ times: rounded(times, 2) }}, as it says below.`,
        alternatives: [],
      };
      each.line = {
        ...line,
        quantity: line.quantity * times,
        grams: line.grams * times,
        assumptions: [...line.assumptions, assumption],
      };
    }
  }

  private addStep({ from: first, to, deeds, minutes, overnight, celsius }: StepAt): void {
    const { title, context } = this;
    const isInTitle = title !== null && first < title.to && to > title.from;
    // "Gloss (2 hrs): …": the time stays.
    if (isInTitle && (to <= title.to || minutes === null)) return;
    const from = isInTitle ? title.to : first;
    this.paints.push({ from, to, fate: 'step', line: null, step: this.steps.length });
    const range = { from, to };
    const text = textOf(context, range);
    this.steps.push({
      ...stretchOf(context.tokens, range),
      text,
      deeds,
      minutes,
      overnight,
      celsius,
      names: this.namesWithin(range),
      ...stepMarks(range, context.tokens, context.words),
    });
  }

  private namesWithin({ from, to }: TokenRange): ToldStep['names'] {
    const { names } = this.told;
    return Array.from({ length: to - from }, (_, nth) => from + nth).flatMap((at) => {
      const name = names.get(at);
      const ingredientId = name?.item.ingredient?.id;
      return name && ingredientId !== undefined
        ? [{ ingredientId, at: stretchOf(this.context.tokens, { from: at, to: name.to }) }]
        : [];
    });
  }

  private addItem(item: Item, sentence: ReadSentence): void {
    const { context, told } = this;
    // "Black tea rinse: 2 bags": what the title names has its amount behind it.
    const isOfTitle =
      isWithin(item.name.from, this.title) && (item.amount === null || item.amount.from < this.title!.to);
    if (isOfTitle) return;
    const use = this.useOf(item);
    if (use) {
      this.fitBatch(use);
      return;
    }
    if (this.mentions.isMention(item, sentence)) {
      if (item.amount && !item.amount.weak) this.dropped.add(item.name.from);
      return;
    }
    const inRow = told.inRow(sentence.row);
    const isAlone = isAloneInRow(inRow);
    const at = stretchesOf(item, context.tokens);
    const words = at.map(({ start, end }) => context.text.slice(start, end)).join(', ');
    const part = weighItem(item, sentence, { inRow, isAlone }, context);
    this.addLine(part, sentence, {
      text: isAlone ? textOf(context, sentence.row) : words,
      at,
      from: item.name.from,
      ranges: rangesOf(item),
    });
  }

  /** "One cup of that water", "one cup of the flaxseed gel": so much of what was made before. */
  private useOf({ amount, name }: Item): Batch | undefined {
    if (amount === null || amount.weak) return undefined;
    const { id } = name.match.item;
    const before = this.context.tokens[name.from - 1];
    const use = { what: 'used', amount, from: amount.from, to: name.to } as const;
    const isIn = this.lines.some(({ line }) => line.status === 'read' && line.ingredientId === id);
    if (says(before, 'madeBefore') && isIn) return use;
    const source = says(before, 'theMade') ? sourceIdOf(id) : undefined;
    const within = source ? this.sentenceOf(source, name.from) : undefined;
    return within && { ...use, within };
  }

  /** The sentence before a token in which something is measured. */
  private sentenceOf(id: string, before: number): TokenRange | undefined {
    const sentence = this.told.sentences.find(({ items }) =>
      items.some(({ amount, name }) => amount !== null && name.to <= before && name.match.item.id === id),
    );
    return sentence && { from: sentence.from, to: Math.min(sentence.to, before) };
  }

  /** An amount of something that is not known, or misspelt. */
  private addNameless(nameless: Nameless, sentence: ReadSentence): void {
    const { context, told, title } = this;
    if (isOfNothing(nameless, sentence, context, title)) return;
    const { range } = nameless;
    const isAlone = isAloneInRow(told.inRow(sentence.row));
    const text = textOf(context, isAlone ? sentence.row : range);
    this.addLine(namelessPart(nameless, sentence, text, context, told.names), sentence, {
      text,
      at: [stretchOf(context.tokens, range)],
      from: range.from,
      ranges: [range],
    });
  }

  private addLine(
    part: ReadPart,
    { row, phase }: Pick<ReadSentence, 'row' | 'phase'>,
    where: Pick<ParsedLine, 'text' | 'at'> & {
      readonly from: number;
      readonly ranges: readonly Nameless['range'][];
    },
  ): void {
    const base = { text: where.text, row: row.index, at: where.at };
    const isRead = part.status === 'read';
    this.lines.push({
      start: this.context.tokens[where.from]?.start ?? 0,
      line: isRead ? { ...base, ...part, phase } : { ...base, ...part },
      paints: where.ranges.map(({ from, to }) => ({
        from,
        to,
        fate: isRead ? 'ingredient' : 'unread',
        line: null,
        step: null,
      })),
    });
  }

  /** A row in which nothing was found: a heading, a step, a remark; short and unknown, it is asked about. */
  private addSilent({ row, from, problem }: ReadRow): void {
    const { context } = this;
    const own = this.told.inRow(row);
    const where = {
      text: textOf(context, row),
      at: [stretchOf(context.tokens, row)],
      from: row.from,
      ranges: [row],
    };
    const phase = own[0] ? own[0].phase : null;
    if (problem) this.addLine(unreadPart(problem.code, problem.message), { row, phase }, where);
    else if (isRule(where.text)) return;
    else if (!context.tokens.slice(row.from, row.to).some(({ kind }) => kind === 'word' || kind === 'number'))
      this.addLine(
        unreadPart('no-words', t`There are no words in this line that name an ingredient.`),
        { row, phase },
        where,
      );
    else if (this.isRemark(row, from, own))
      this.lines.push({
        start: context.tokens[row.from]?.start ?? 0,
        line: { text: where.text, row: row.index, at: where.at, status: 'note' },
        paints: [],
      });
    else this.addLine(this.unknownRow(row, own), { row, phase }, where);
  }

  private isRemark(row: ReadRow['row'], from: number, own: readonly ReadSentence[]): boolean {
    const words = this.context.tokens.slice(from, row.to).filter(({ kind }) => kind === 'word').length;
    const isSaid = own.some(
      ({ steps, mentions, items, isMethod, whole, batches }) =>
        isMethod ||
        whole !== null ||
        batches.length > 0 ||
        steps.length > 0 ||
        mentions.length > 0 ||
        items.length > 0,
    );
    // What stands above the title is said of several recipes.
    const isTitle = this.title !== null && row.from <= this.title.from;
    const isAside = isSign(this.context.tokens[from], '(') && isSign(this.context.tokens[row.to - 1], ')');
    return (
      own.length === 0 ||
      isTitle ||
      isAside ||
      isSaid ||
      this.isUse(row) ||
      this.isJoin(row, from) ||
      words > ASKED_WORDS
    );
  }

  /** "or", in a row between two ways to make it. */
  private isJoin({ to }: ReadRow['row'], from: number): boolean {
    const { or, and } = this.context.words.roles;
    const joined = or.at(this.context.tokens, from) ?? and.at(this.context.tokens, from);
    return (
      joined !== undefined && this.context.tokens.slice(joined.to, to).every(({ kind }) => kind === 'sign')
    );
  }

  /** "Yield: 1 application", "Serves two" */
  private isUse({ from, to }: ReadRow['row']): boolean {
    const { tokens, words } = this.context;
    return words.roles.yields.at(tokens, from) !== undefined && words.roles.uses.isWithin(tokens, from, to);
  }

  private unknownRow(row: ReadRow['row'], own: readonly ReadSentence[]): ReadPart {
    const { context } = this;
    const element = own[0]?.elements.find(({ kind }) => kind === 'amount');
    const amount: Amount | null = element?.kind === 'amount' ? element.amount : null;
    const text = textOf(context, row);
    const rest = amount ? textOf(context, { from: Math.min(amount.to, row.to - 1), to: row.to }) : text;
    const misspelt = misspeltPart(rest, amount ?? ONE_SPOON, text, context);
    const isSpelt = amount !== null && misspelt?.status === 'read';
    return isSpelt ? misspelt : unknownPart(rest, lineAmountOf(amount, rest), context);
  }
}

/** "|---|---|": a line that is drawn. */
const isRule = (text: string): boolean => /^[\s|:=_*~+.–—-]{3,}$/.test(text);

const ONE_SPOON: Amount = { ...NO_MEASURE, from: 0, to: 0, quantity: 1, unit: 'tbsp', weak: true };
