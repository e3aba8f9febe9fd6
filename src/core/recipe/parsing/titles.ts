import type { NameMatch } from './elements';
import type { Item, TokenRange } from './items';
import type { StepAt } from './steps';
import { startOfRow, type Row } from './rows';
import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';

export interface Title extends TokenRange {
  readonly name: string;
}

interface Told {
  readonly text: string;
  readonly tokens: readonly Token[];
  readonly words: Vocabulary;
  readonly rows: readonly Row[];
  readonly sentences: readonly (TokenRange & {
    readonly row: Row;
    readonly items: readonly Item[];
    readonly steps: readonly StepAt[];
  })[];
  readonly names: ReadonlyMap<number, NameMatch & { readonly to: number }>;
}

/** A title has no more words than this. */
const TITLE_WORDS = 9;
/** The longest title that is kept, characters: what a name may have. */
const TITLE_CHARACTERS = 80;

/** What the recipe is called: its first row, or the words with which a telling begins ("this is my …"). */
export function titleOf(told: Told): Title | null {
  const { tokens, words, rows, sentences } = told;
  const [first, second] = rows;
  if (!first) return null;
  const start = startOfRow(tokens, first);
  const phrase = introduced(told, start, first);
  if (phrase) return phrase;
  const counted = tokens.slice(start, first.to);
  const isShort = counted.filter(({ kind }) => kind === 'word').length <= TITLE_WORDS;
  const hasAmount = sentences.some(
    ({ row, items }) => row === first && items.some(({ amount }) => amount !== null && !amount.weak),
  );
  if (
    rows.length > 1 &&
    isShort &&
    !hasAmount &&
    !counted.some(({ kind, raw }) => kind === 'number' && !/^\d{1,4}$/.test(raw))
  ) {
    const isHeading =
      words.headings.at(tokens, start) !== undefined && told.tokens[first.to - 1]?.word !== ':';
    const names = [...told.names].filter(([at]) => at >= start && at < first.to);
    const hasKind = counted.some((_, index) => words.roles.kinds.at(tokens, start + index) !== undefined);
    const [only] = names;
    const isName =
      only !== undefined &&
      names.length === 1 &&
      counted.every(
        (token, index) =>
          token.kind === 'sign' ||
          (start + index >= only[0] && start + index < only[1].to) ||
          words.describing.has(token.word),
      );
    const listFollows = sentences.some(
      ({ row, items }) => row !== first && items.some(({ amount }) => amount !== null),
    );
    const steps = sentences.filter(({ row }) => row === first).flatMap((sentence) => sentence.steps);
    // A bare name is one more ingredient, unless a blank row parts it from the list.
    const fits = isName
      ? second?.isParted === true && listFollows
      : (names.length === 0 && (steps.length === 0 || hasKind)) || (hasKind && listFollows);
    if (!isHeading && fits) return cut(told, start, first.to);
  }
  // "Glassworks rescue: two bananas …"
  const namedBehind = (at: number) => [...told.names.keys()].some((name) => name > at && name < first.to);
  const colon = tokens.findIndex((token, index) => index > start && index < first.to && token.word === ':');
  if (colon > start && colon < first.to - 1 && colon - start <= TITLE_WORDS && namedBehind(colon)) {
    const inside = tokens.slice(start, colon);
    const hasName = [...told.names.keys()].some((at) => at >= start && at < colon);
    const hasKind = inside.some((_, index) => words.roles.kinds.at(tokens, start + index) !== undefined);
    const isDay = inside.length === 1 && words.roles.days.at(tokens, start) !== undefined;
    if (
      !isDay &&
      !inside.some(({ kind }) => kind === 'number') &&
      (hasKind || !hasName) &&
      words.headings.at(tokens, start) === undefined
    )
      return cut(told, start, colon);
  }
  // A first sentence that is a name with its kind: "My Sunday papaya mask."
  const [sentence] = sentences;
  if (sentence && sentence.row === first && sentence.to < first.to) {
    const inside = tokens.slice(sentence.from, sentence.to);
    const hasKind = inside.some(
      (_, index) => words.roles.kinds.at(tokens, sentence.from + index) !== undefined,
    );
    const quiet =
      sentence.items.every(({ amount }) => amount === null) && inside.every(({ kind }) => kind !== 'number');
    if (
      hasKind &&
      quiet &&
      inside.filter(({ kind }) => kind === 'word').length <= TITLE_WORDS - 1 &&
      !inside.some(({ word }) => word === ',')
    )
      return cut(told, sentence.from, sentence.to);
  }
  return null;
}

/** "okay so this is my glassworks rescue, I do it …": what stands after the words that introduce it. */
function introduced(told: Told, start: number, row: Row): Title | null {
  const { tokens, words } = told;
  for (let at = start; at < Math.min(row.to, start + 6); at++) {
    if (tokens[at]!.kind === 'sign' && /^[.!?;,]$/.test(tokens[at]!.word) && at > start) return null;
    if (tokens[at]!.kind === 'number' || words.units.at(tokens, at)) return null;
    // "my conditioner" may itself be the name of something.
    if (told.names.has(at) && (told.names.get(at)?.to ?? 0) - at > 1) return null;
    const found = words.roles.titleStarts.at(tokens, at);
    if (!found) continue;
    let to = found.to;
    while (
      to < row.to &&
      !(tokens[to]!.kind === 'sign' && /^[,.;:!?()–—]$/.test(tokens[to]!.word)) &&
      !isTurn(tokens[to]!)
    )
      to++;
    const inside = tokens.slice(found.to, to);
    const wordCount = inside.filter(({ kind }) => kind === 'word').length;
    const isStrong = found.to - at > 1 || /^(?:called)$/.test(tokens[at]!.word);
    const hasKind = inside.some((_, index) => words.roles.kinds.at(tokens, found.to + index) !== undefined);
    if (wordCount === 0 || wordCount > 7 || inside.some(({ kind }) => kind === 'number')) continue;
    if (isStrong || hasKind) return cut(told, isStrong ? found.to : at, to);
  }
  return null;
}

/** Where the name is over and the telling goes on. */
const isTurn = (token: Token) =>
  /^(?:i|which|that|and|for|is|has|uses|takes|from|que|eu|qui|die|der|with)$/.test(token.word);

function cut({ text, tokens }: Told, from: number, to: number): Title | null {
  let [first, last] = [from, to];
  while (first < last && tokens[first]!.kind === 'sign') first++;
  while (last > first && tokens[last - 1]!.kind === 'sign' && tokens[last - 1]!.word !== ')') last--;
  if (first >= last) return null;
  const name = text
    .slice(tokens[first]!.start, tokens[last - 1]!.end)
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, TITLE_CHARACTERS);
  return name === '' ? null : { from: first, to: last, name: name.charAt(0).toUpperCase() + name.slice(1) };
}
