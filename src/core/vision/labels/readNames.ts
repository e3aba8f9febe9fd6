import { distance } from 'fastest-levenshtein';
import { mean, sum } from '../../base/measures';
import { folded, likestName, type Likeness } from './nameIndex';

/** A word as the reader of letters gives it. */
export interface ReadWord {
  readonly text: string;
  /** 0 to 1. */
  readonly confidence: number;
  /** Whether a new line begins behind it. */
  readonly endsLine?: boolean;
}

/** "accepted": taken as it is; "asked": she is asked; "struck": most likely no name at all. */
export type NameFate = 'accepted' | 'asked' | 'struck';

/** One name on a label. */
export interface FoundName {
  /** In the words of the vocabulary where it is known, else as it was read. */
  readonly name: string;
  /** As it was read. */
  readonly read: string;
  /** Chance that it stands so on the label, 0 to 1. */
  readonly sure: number;
  readonly isKnown: boolean;
  readonly fate: NameFate;
  /** First and last word of it among those that were read. */
  readonly words: readonly [number, number];
}

/** What the list is called, in the languages of labels. */
const HEADS = [
  'ingredients',
  'ingrédients',
  'ingredientes',
  'ingredienti',
  'ingrediënten',
  'inhaltsstoffe',
  'bestandteile',
  'zutaten',
  'composition',
  'composição',
  'inci',
  'składniki',
];
/** Words between names that are none. */
const BETWEEN = [
  'contains',
  'contient',
  'contiene',
  'contém',
  'enthält',
  'bevat',
  'may contain',
  'peut contenir',
  'kann enthalten',
];
/** What follows the list. */
const AFTER = [
  'directions',
  'direction',
  'usage',
  'caution',
  'warning',
  'warnings',
  'avertissement',
  'modo de uso',
  'mode d’emploi',
  'anwendung',
  'gebrauch',
  'made in',
  'fabricado',
  'manufactured',
  'distributed',
  'hergestellt',
  'precauções',
  'conservar',
  'www',
];

const MOST_WORDS = 9;
/** In letters that differ: what a boundary costs where no comma was seen, and a comma that is not taken for one. */
const COST = { noComma: 1.6, commaWithin: 1.6, dotWithin: 0.6, unknown: 1.2, unknownLetter: 0.34 } as const;

/**
 * The names of a label out of the words that were read on it: cut where the whole fits the vocabulary best, though commas were lost,
 * added or taken for dots, words cut at the end of a line, and letters confused.
 * @param words in the order of reading
 */
export function readNames(words: readonly ReadWord[]): FoundName[] {
  const [from, to] = listWithin(words);
  const list = words.slice(from, to);
  const pieces = cut(list);
  const found = pieces.flatMap(({ start, end, likeness }): FoundName[] => {
    const named = nameOf(list.slice(start, end), likeness);
    return named ? [{ ...named, words: [from + start, from + end - 1] }] : [];
  });
  return withoutTail(found);
}

/** From after the heading to before what follows the list. */
function listWithin(words: readonly ReadWord[]): readonly [number, number] {
  let from = 0;
  for (let at = 0; at < words.length; at++) {
    if (!isHead(words[at]?.text ?? '')) continue;
    // "Ingredients (INCI):" and its like in two languages are one heading.
    if (from === 0 || at - from <= 2) from = at + 1;
  }
  let to = words.length;
  for (let at = from + 3; at < words.length; at++) {
    const one = words[at]?.text ?? '';
    const two = `${one} ${words[at + 1]?.text ?? ''}`;
    if ((isOneOf(one, AFTER) || isOneOf(two, AFTER)) && /^[A-ZÀ-Ýw]/.test(one)) {
      to = at;
      break;
    }
  }
  return [from, to];
}

/** Two headings that were read as one word begin as one. */
const TWO_HEADS = 15;

function isHead(text: string): boolean {
  const read = folded(text);
  const begins =
    read.length > TWO_HEADS &&
    HEADS.some((head) => distance(read.slice(0, folded(head).length), folded(head)) <= 1);
  return begins || isOneOf(text, HEADS);
}

/** Also with a slash between several of them. */
function isOneOf(text: string, among: readonly string[]): boolean {
  return text.split(/[/|]/).some((part) => {
    const read = folded(part);
    return (
      read.length >= 3 &&
      among.some((word) => distance(read, folded(word)) <= Math.floor(folded(word).length / 5))
    );
  });
}

interface Piece {
  readonly start: number;
  readonly end: number;
  readonly likeness: Likeness | null;
}

/** The cut of a list into names that costs least, by dynamic programming over its words. */
function cut(words: readonly ReadWord[]): Piece[] {
  const best: { cost: number; piece: Piece | null }[] = [{ cost: 0, piece: null }];
  for (let end = 1; end <= words.length; end++) {
    let chosen: { cost: number; piece: Piece | null } = { cost: Infinity, piece: null };
    for (let start = end - 1; start >= Math.max(0, end - MOST_WORDS); start--) {
      const piece = words.slice(start, end);
      const within = withinCost(piece);
      if (within > 4) break;
      const boundary = end === words.length || endsName(words[end - 1]?.text ?? '') ? 0 : COST.noComma;
      const { cost, likeness } = pieceCost(piece);
      const total = (best[start]?.cost ?? Infinity) + cost + within + boundary;
      if (total < chosen.cost) chosen = { cost: total, piece: { start, end, likeness } };
    }
    best.push(chosen);
  }
  const pieces: Piece[] = [];
  for (let end = words.length; end > 0;) {
    const piece = best[end]?.piece;
    if (!piece) break;
    pieces.unshift(piece);
    end = piece.start;
  }
  return pieces;
}

const endsName = (text: string) => /[,;•·|.:]$/.test(text.trim());

/** Commas that would be overlooked if these words were one name. */
function withinCost(piece: readonly ReadWord[]): number {
  return sum(
    piece.slice(0, -1).map(({ text }) => {
      if (/[,;•·|]$/.test(text)) return COST.commaWithin;
      return /[.:]$/.test(text) ? COST.dotWithin : 0;
    }),
  );
}

function pieceCost(piece: readonly ReadWord[]): { cost: number; likeness: Likeness | null } {
  const text = textOf(piece);
  const letters = folded(text).length;
  const unknown = COST.unknown + COST.unknownLetter * letters;
  if (piece.length === 1 && isOneOf(text, BETWEEN)) return { cost: 0.1, likeness: null };
  const likeness = likestName(text);
  return likeness && likeness.edits < unknown
    ? { cost: likeness.edits, likeness }
    : { cost: unknown, likeness: null };
}

function textOf(piece: readonly ReadWord[]): string {
  return piece
    .map(({ text }) => text)
    .join(' ')
    .replace(/-\s+/g, '-')
    .replace(/^[\s,;.:•·|*'"“”‘’()]+(?=\S)|[\s,;.:•·|*'"“”‘’]+$/g, '')
    .trim();
}

/** From here on a name is taken as it is. */
const ACCEPTED_FROM = 0.85;
const ASKED_FROM = 0.35;
/** A word that the reader of letters was less sure of is none that we do not know. */
const UNKNOWN_FROM = 0.7;
const LEAST_UNKNOWN_LETTERS = 4;

function nameOf(piece: readonly ReadWord[], likeness: Likeness | null): Omit<FoundName, 'words'> | null {
  const read = textOf(piece);
  if (read === '' || isOneOf(read, BETWEEN) || isHead(read)) return null;
  const confidence = mean(piece.map((word) => word.confidence));
  if (likeness) {
    const sure = sureOf(likeness);
    return { name: likeness.name, read, sure, isKnown: true, fate: fateOf(sure) };
  }
  const letters = read.replace(/[^\p{L}]/gu, '').length;
  const isWord = letters >= LEAST_UNKNOWN_LETTERS && letters >= 0.7 * read.replace(/\s/g, '').length;
  const sure = isWord && confidence >= UNKNOWN_FROM ? 0.5 * confidence : 0.1;
  return { name: read, read, sure, isKnown: false, fate: sure >= ASKED_FROM ? 'asked' : 'struck' };
}

const fateOf = (sure: number): NameFate =>
  sure >= ACCEPTED_FROM ? 'accepted' : sure >= ASKED_FROM ? 'asked' : 'struck';

/** By the share of letters that differ, and how far the next name is (found on rendered labels). */
function sureOf({ edits, nextEdits, length, sameNumbers }: Likeness): number {
  const share = edits / length;
  const lead = (nextEdits - edits) / length;
  const doubt =
    2.2 * share +
    (lead < 0.04 && edits > 0 ? 0.25 : 0) +
    (sameNumbers ? 0 : 0.3) +
    (length <= 4 && edits > 0 ? 0.6 : 0);
  return Math.max(0.05, 0.99 - doubt);
}

/** What stands behind the list and is none of it: nothing after the last name that is known, but one. */
function withoutTail(found: readonly FoundName[]): FoundName[] {
  const last = found.findLastIndex(({ isKnown }) => isKnown);
  return found.slice(0, last + 2);
}
