import { isNearly } from '../ingredients';
import type { Element, Separator } from './elements';
import { isKnownWord } from './knownWords';
import { isSafeToSuggest, stranger, type LarderItem, type NameLexicon } from './lexicon';
import { isMark, says } from './marks';
import { SHARED_NOUNS } from './sharedNouns';
import { isWord, type Token } from './tokens';
import { describes, type Vocabulary } from './vocabulary';

interface Reading {
  readonly tokens: readonly Token[];
  readonly lexicon: Pick<NameLexicon, 'misspeltIn'>;
  readonly words: Vocabulary;
}

/** Elements from one to before another. */
interface Range {
  readonly from: number;
  readonly to: number;
}

/** Words between two separators or deeds, with what stands on both sides of them. */
interface Clause extends Range {
  readonly left: readonly Element[];
  readonly right: readonly Element[];
  /** Something is named right before the separator on this side. */
  readonly namedBefore: boolean;
  readonly namedBehind: boolean;
}

/**
 * What is listed among things that are known, without a measure: "egg, honney and blorbium". A misspelt name is taken for
 * what it can only mean; what nobody knows stands as a thing of its own, to be asked about.
 */
export function withStrangers(elements: readonly Element[], reading: Reading): Element[] {
  const clauses = clausesOf(elements, reading);
  const isBare = isBareList(elements, clauses);
  const isMisspelt = (clause: Clause | undefined): boolean =>
    clause !== undefined && misspeltAlone(elements, clause, reading);
  // "avacado, honney": each tells that the other is a thing, too.
  const isBesideMisspelt = (nth: number): boolean =>
    (isListEdge(clauses[nth]?.left) && isMisspelt(clauses[nth - 1])) ||
    (isListEdge(clauses[nth]?.right) && isMisspelt(clauses[nth + 1]));
  const found = clauses.flatMap(
    (clause, nth) => strangerOf(elements, clause, isBare, () => isBesideMisspelt(nth), reading) ?? [],
  );
  if (found.length === 0) return [...elements];
  const named = elements.flatMap((element, at): Element[] => {
    const own = found.find(({ from, to }) => at >= from && at < to);
    if (!own) return [element];
    return at === own.from ? [own.element] : [];
  });
  // "avacado, bananna, honey": beside what was found there may be more.
  return withStrangers(named, reading);
}

interface FoundStranger extends Range {
  readonly element: Element;
}

/** Nothing of a list stands across one. */
const isEdge = (element: Element, tokens: readonly Token[]): boolean =>
  element.kind === 'separator' ||
  element.kind === 'deed' ||
  (element.kind === 'word' && tokens[element.from]?.kind === 'sign');

/** What stands in brackets says something of what stands before them. */
function clausesOf(elements: readonly Element[], { tokens }: Reading): Clause[] {
  const runs: (Range & { readonly isEdge: boolean })[] = [];
  for (const [at, element] of elements.entries()) {
    const last = runs.at(-1);
    const isNow = isEdge(element, tokens);
    if (last && last.isEdge === isNow) runs[runs.length - 1] = { ...last, to: at + 1 };
    else runs.push({ from: at, to: at + 1, isEdge: isNow });
  }
  const own = (run: Range | undefined): readonly Element[] => (run ? elements.slice(run.from, run.to) : []);
  const isBracket = (run: Range | undefined, separator: Separator): boolean =>
    own(run).some((element) => element.kind === 'separator' && element.separator === separator);
  /** What parts a run from the next one on a side, over brackets. */
  const edgeOf = (
    nth: number,
    step: 1 | -1,
  ): { readonly edge: readonly Element[]; readonly isNamed: boolean } => {
    const [outer, inner] = step < 0 ? (['close', 'open'] as const) : (['open', 'close'] as const);
    const isOver = isBracket(runs[nth + step], outer) && isBracket(runs[nth + 3 * step], inner);
    const edge = own(runs[nth + step]).concat(isOver ? own(runs[nth + 3 * step]) : []);
    const isList = edge.some(({ kind }) => kind === 'separator') && !edge.some(({ kind }) => kind === 'deed');
    const next = own(runs[nth + (isOver ? 4 : 2) * step]);
    return { edge, isNamed: isList && next.some(({ kind }) => kind === 'name') };
  };
  return runs.flatMap((run, nth) => {
    if (run.isEdge) return [];
    const [before, behind] = [edgeOf(nth, -1), edgeOf(nth, 1)];
    return [
      {
        from: run.from,
        to: run.to,
        left: before.edge,
        right: behind.edge,
        namedBefore: before.isNamed,
        namedBehind: behind.isNamed,
      },
    ];
  });
}

/** "egg, blorbium, honey": nothing but things between commas. */
function isBareList(elements: readonly Element[], clauses: readonly Clause[]): boolean {
  const isListed = elements.every(
    (element) =>
      element.kind === 'word' ||
      element.kind === 'name' ||
      element.kind === 'amount' ||
      (element.kind === 'role' && element.role === 'some') ||
      (element.kind === 'separator' && (element.separator === 'comma' || element.separator === 'and')),
  );
  const named = clauses.filter(({ from, to }) =>
    elements.slice(from, to).some(({ kind }) => kind === 'name'),
  );
  return isListed && named.length > 1 && clauses.every(({ from, to }) => to - from <= LISTED_WORDS);
}
/** Elements of one thing of a list. */
const LISTED_WORDS = 4;

/** Commas and "and" alone. */
const isListEdge = (edge: readonly Element[] = []): boolean =>
  edge.length > 0 &&
  edge.every((each) => each.kind === 'separator' && (each.separator === 'comma' || each.separator === 'and'));

/** All that stands between two separators can only be one name. */
function misspeltAlone(elements: readonly Element[], clause: Clause, reading: Reading): boolean {
  const own = ownWords(elements, clause, reading);
  return hasUnknown(elements, own, reading) && misspeltIn(elements, own, clause.from, reading) !== undefined;
}

const hasUnknown = (elements: readonly Element[], { from, to }: Range, { tokens }: Reading): boolean =>
  elements.slice(from, to).some((element) => isUnknown(element, tokens));

function strangerOf(
  elements: readonly Element[],
  clause: Clause,
  isBare: boolean,
  isBesideMisspelt: () => boolean,
  reading: Reading,
): FoundStranger | undefined {
  const { tokens } = reading;
  const own = ownWords(elements, clause, reading);
  if (!hasUnknown(elements, own, reading)) return undefined;
  const isAdded = isBehindAdd(clause, tokens);
  const isNear = clause.namedBefore || clause.namedBehind || isAdded;
  // Beside an amount words alone are asked about with it.
  const isNamed = elements.slice(own.from, own.to).some(({ kind }) => kind === 'name');
  const mayBeMisspelt = own.isMeasured ? isNamed : isNear || isBesideMisspelt();
  const misspelt = mayBeMisspelt ? misspeltIn(elements, own, clause.from, reading) : undefined;
  if (misspelt || own.isMeasured) return misspelt;
  const core = coreOf(elements, own, tokens);
  if (!core) return undefined;
  const isListed = core.isThing ? isNear : isBare || isAdded || isAmongThings(clause, tokens);
  return isListed && isNameable(elements, own, reading)
    ? foundAs(elements, own, tokens, stranger)
    : undefined;
}

const tokensOf = (
  elements: readonly Element[],
  { from, to }: Range,
  tokens: readonly Token[],
): readonly Token[] => tokens.slice(elements[from]?.from, elements[to - 1]?.to);

/** Some elements as the name of one thing. @param of what is written there */
function foundAs(
  elements: readonly Element[],
  { from, to }: Range,
  tokens: readonly Token[],
  of: (written: string) => LarderItem,
  isMisspelt = false,
): FoundStranger {
  const own = tokensOf(elements, { from, to }, tokens);
  const written = own.map(({ raw }) => raw).join(' ');
  const match = { item: of(written), words: own.length, ...(isMisspelt ? { written } : {}) };
  const range = { from: elements[from]!.from, to: elements[to - 1]!.to };
  return { from, to, element: { kind: 'name', ...range, match } };
}

interface OwnWords extends Range {
  /** "a bit of" stands before it. */
  readonly isSome: boolean;
  /** An amount stands beside it. */
  readonly isMeasured: boolean;
}

/** The words of a clause that may be a name: not what leads to it ("also a bit of my"), nor what only describes it behind. */
function ownWords(elements: readonly Element[], clause: Range, { tokens, words }: Reading): OwnWords {
  let { from, to } = clause;
  let isSome = false;
  while (from < clause.to) {
    const element = elements[from]!;
    const some = words.roles.some.at(tokens, element.from)?.to;
    const lead = some ?? words.articles.at(tokens, element.from)?.to;
    if (lead === undefined && !isLead(element, tokens, words)) break;
    isSome ||= some !== undefined;
    from++;
    while (from < clause.to && elements[from]!.from < (lead ?? 0)) from++;
  }
  const isTail = ({ kind, from: at }: Element): boolean =>
    kind === 'amount' || (kind === 'word' && !isNoun(tokens[at]) && describes(words, tokens[at]?.word ?? ''));
  while (to > from && isTail(elements[to - 1]!)) to--;
  const around = [...elements.slice(clause.from, from), ...elements.slice(to, clause.to)];
  return { from, to, isSome, isMeasured: around.some(({ kind }) => kind === 'amount') };
}

interface Core {
  /** "blorbium butter", "a bit of blorbium" */
  readonly isThing: boolean;
}

/** What may be something that nobody knows: one or two such words, with the noun of what they are. */
function coreOf(
  elements: readonly Element[],
  { from, to, isSome }: OwnWords,
  tokens: readonly Token[],
): Core | undefined {
  const own = elements.slice(from, to);
  const others = own.filter((element) => !isUnknown(element, tokens));
  const nouns = others.filter(
    ({ kind, from: at, to: end }) =>
      isNoun(tokens[at]) && (kind === 'word' || (kind === 'name' && end === at + 1)),
  );
  const fits = others.every(
    (each) => nouns.includes(each) || (each.kind === 'word' && says(tokens[each.from], 'ofNoun')),
  );
  const isName = own.length <= LONGEST && own.length - others.length <= MOST_UNKNOWN && fits;
  return isName ? { isThing: isSome || nouns.length > 0 } : undefined;
}
/** "manteiga de blorbium azul" */
const LONGEST = 4;
/** More words that nobody knows are talk. */
const MOST_UNKNOWN = 2;

/** What a thing of a plant is: "butter", "óleo". */
const isNoun = (token: Token | undefined): boolean =>
  token !== undefined &&
  (SHARED_NOUNS.includes(token.word) ||
    (['headNoun', 'headNounFirst', 'oil', 'formNoun'] as const).some((mark) => isMark(token.word, mark)));

/** "also my", "then some", "2 tbsp of": before a name. */
function isLead({ kind, from }: Element, tokens: readonly Token[], words: Vocabulary): boolean {
  if (kind === 'amount') return true;
  const word = tokens[from]?.word ?? '';
  if (kind !== 'word' || isNoun(tokens[from])) return false;
  return LEADS.some((mark) => isMark(word, mark)) || describes(words, word);
}
const LEADS = ['ownBefore', 'theMade', 'then', 'ofNoun'] as const;

/** Right behind "add". */
const isBehindAdd = ({ left }: Clause, tokens: readonly Token[]): boolean => {
  const last = left.at(-1);
  return last?.kind === 'deed' && says(tokens[last.from], 'adds');
};

/** Whether what stands in a clause is one of the things of a list. */
function isAmongThings({ left, right, namedBefore, namedBehind }: Clause, tokens: readonly Token[]): boolean {
  const isOf = (edge: readonly Element[], ...separators: readonly Separator[]): boolean =>
    edge.some(
      (element) =>
        element.kind === 'separator' &&
        separators.includes(element.separator) &&
        // "minha misturinha é …": is; "to", "for": no list.
        !/^[éè]$/i.test(tokens[element.from]?.raw ?? '') &&
        (element.separator !== 'with' || says(tokens[element.from], 'holding')),
    );
  if (namedBefore && isOf(left, 'and', 'slash', 'with')) return true;
  const isDone = left.some(({ kind }) => kind === 'deed');
  const begins = isDone
    ? left.at(-1)?.kind === 'deed'
    : left.length === 0 || isOf(left, 'comma', 'and', 'slash');
  if (namedBehind && isOf(right, 'and', 'slash')) return begins;
  return namedBefore && namedBehind && isOf(left, 'comma') && isOf(right, 'comma');
}

/**
 * What a misspelt name can only mean, to be asked about where it could harm: "avacado", "cusard apple", and, with a word before them that
 * only describes, "dark roated castor oil".
 */
function misspeltIn(
  elements: readonly Element[],
  { from, to, isMeasured }: OwnWords,
  earliest: number,
  reading: Reading,
): FoundStranger | undefined {
  const { tokens } = reading;
  for (const start of [from - 1, from]) {
    const isName = elements.slice(start, to).every(({ kind }) => kind === 'word' || kind === 'name');
    if (start < earliest || !isName) continue;
    const item = misspeltAs(tokensOf(elements, { from: start, to }, tokens), isMeasured, reading);
    if (!item) continue;
    // "wasing soda" is asked about.
    return isSafeToSuggest(item)
      ? foundAs(elements, { from: start, to }, tokens, () => item, true)
      : foundAs(elements, { from: start, to }, tokens, stranger);
  }
  return undefined;
}

function misspeltAs(
  own: readonly Token[],
  isMeasured: boolean,
  { lexicon }: Reading,
): LarderItem | undefined {
  const written = own.map(({ word }) => word);
  if (written.length > MISSPELT_WORDS || !own.every((token) => isWord(token))) return undefined;
  const found = lexicon.misspeltIn(written.join(' '));
  if (!found || found.words !== written.length) return undefined;
  // "the milky stuff"
  if (found.written === `${found.taken}y`) return undefined;
  const isLong = found.written.length >= SURELY_MISSPELT;
  return isMeasured || isLong || isNearly(found.written, found.taken) ? found.item : undefined;
}
/** The longest name that is compared with misspelt ones, words. */
const MISSPELT_WORDS = 3;
/** Letters of a name of which two may be wrong where no measure stands beside it. */
const SURELY_MISSPELT = 8;

/** No word of how something is or is done: "thawed", "slowly", "the famous one". */
const isNameable = (elements: readonly Element[], own: Range, { tokens, words }: Reading): boolean =>
  !words.languages.includes('hi') &&
  !says(tokens[elements[own.to - 1]?.to ?? tokens.length], 'pronounOne') &&
  tokensOf(elements, own, tokens).every(
    ({ word, raw }) => !/(?:ed|ing|ly|mente|ment|ndo)$/.test(word) && !/\p{L}['’]s$/u.test(raw),
  );

function isUnknown({ kind, from }: Element, tokens: readonly Token[]): boolean {
  const token = tokens[from];
  const isLong = kind === 'word' && isWord(token) && token.word.length > 2;
  return isLong && !isKnownWord(token.word);
}
