import { distance } from 'fastest-levenshtein';
import names from '../../../../data/labels/names.json';

/** A name of the vocabulary beside what was read. */
export interface Likeness {
  readonly name: string;
  /** Letters that differ when what is easily confused counts as the same. */
  readonly edits: number;
  /** Edits to the next best name that is not the same to the eye; Infinity where there is none. */
  readonly nextEdits: number;
  /** Letters of the longer of both. */
  readonly length: number;
  /** Whether numbers in it were read as they are. */
  readonly sameNumbers: boolean;
}

interface Entry {
  readonly name: string;
  readonly folded: string;
  readonly pairs: ReadonlySet<string>;
}

/** What a reader of letters takes for one another, each first for the rest; of several letters first. */
const ALIKE: readonly (readonly [RegExp, string])[] = [
  [/rn|nn|iii/g, 'm'],
  [/cl/g, 'd'],
  [/vv/g, 'w'],
  [/[il1|!j]/g, 'l'],
  [/[o0]/g, 'o'],
  [/[ce]/g, 'c'],
  [/[s5]/g, 's'],
  [/[uv]/g, 'u'],
  [/[gq9]/g, 'g'],
];

/** A name as the eye may take it: no spaces, no marks, and one letter for those that are easily confused. */
export function folded(text: string): string {
  let plain = text
    .normalize('NFD')
    .toLowerCase()
    .replace(/[^a-z0-9|!]+/g, '');
  for (const [these, one] of ALIKE) plain = plain.replace(these, one);
  return plain;
}

/** Numbers as the eye may take them. */
const numbersIn = (text: string) =>
  (text.match(/\d[\dOolISB|]*/g) ?? []).map((number) => folded(number)).join();

function pairsOf(text: string): Set<string> {
  const pairs = new Set<string>();
  for (let at = 0; at < text.length - 1; at++) pairs.add(text.slice(at, at + 2));
  return pairs;
}

let index: readonly Entry[] | null = null;
const indexed = () =>
  (index ??= names.map((name) => ({ name, folded: folded(name), pairs: pairsOf(folded(name)) })));

/** Nothing that differs by more of its letters is worth a look. */
const MOST_EDITS = 0.4;
/** Pairs of letters that a name has to share with what was read, share of its own. */
const SHARED_PAIRS = 0.3;

/** The name of the vocabulary that is most like a text; null where none is. */
export function likestName(text: string): Likeness | null {
  const read = folded(text);
  if (read.length < 3) return null;
  const pairs = pairsOf(read);
  let best: { entry: Entry; edits: number } | null = null;
  let next = Infinity;
  for (const entry of indexed()) {
    const longer = Math.max(entry.folded.length, read.length);
    if (Math.abs(entry.folded.length - read.length) > MOST_EDITS * longer) continue;
    if (!sharesPairs(pairs, entry.pairs)) continue;
    const edits = distance(read, entry.folded);
    if (edits > MOST_EDITS * longer) continue;
    if (!best || edits < best.edits || (edits === best.edits && sharesNumbers(text, entry.name))) {
      if (best && best.entry.folded !== entry.folded) next = Math.min(next, best.edits);
      best = { entry, edits };
    } else if (entry.folded !== best.entry.folded) next = Math.min(next, edits);
  }
  if (!best) return null;
  const { entry, edits } = best;
  return {
    name: entry.name,
    edits,
    nextEdits: next,
    length: Math.max(entry.folded.length, read.length),
    sameNumbers: sharesNumbers(text, entry.name),
  };
}

function sharesPairs(read: ReadonlySet<string>, known: ReadonlySet<string>): boolean {
  let shared = 0;
  for (const pair of known) if (read.has(pair)) shared++;
  return shared >= SHARED_PAIRS * Math.min(known.size, read.size);
}

const sharesNumbers = (text: string, name: string) => numbersIn(text) === numbersIn(name);
