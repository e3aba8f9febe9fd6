import type { NamedOnly, Span } from '../larder';
import { sourceIdOf, type LarderItem } from './lexicon';
import { isProduct } from './pending';
import { stretchOf } from './sentences';
import type { Token } from './tokens';
import type { ReadSentence } from './told';

/** Named everywhere, and weighed wherever it goes in. */
const WATER = 'water';

/**
 * What is named and goes into no line, though she does not say that it stays out: told of another time, of somebody
 * else's, or in a way that is not understood. It is shown, so that nothing is lost in silence.
 * @param counted ids of what goes in
 * @param dropped where a thing with an amount was taken for one that is in already, by token
 */
export function namedOnly(
  sentences: readonly ReadSentence[],
  tokens: readonly Token[],
  spans: readonly Span[],
  counted: ReadonlySet<string>,
  dropped: ReadonlySet<number>,
): NamedOnly[] {
  const known = new Set([...counted, ...sentences.flatMap(beside)]);
  const measured = new Set(sentences.flatMap(measuredIn));
  const found = new Map<string, NamedOnly>();
  for (const { from, to, match } of sentences.flatMap(namesOf)) {
    const { item } = match;
    if (known.has(item.id) || found.has(item.id) || goesWithout(item, known)) continue;
    const at = stretchOf(tokens, { from, to });
    const span = spans.find(({ start, end }) => at.start >= start && at.start < end);
    const isLost =
      span?.fate === 'remark' || dropped.has(from) || (span?.fate === 'step' && measured.has(from));
    if (isLost) found.set(item.id, { name: item.name, at });
  }
  return [...found.values()];
}

const namesOf = ({ elements }: ReadSentence) =>
  elements.flatMap((element) => (element.kind === 'name' ? [element] : []));

/** Names right behind a measure, by token: whatever was made of it, it went in. */
const measuredIn = ({ elements }: ReadSentence): number[] =>
  elements.flatMap((element, at) => {
    const before = elements[at - 1];
    const isMeasured = before?.kind === 'amount' && before.amount.unit !== null && !before.amount.weak;
    return element.kind === 'name' && isMeasured ? [element.from] : [];
  });

/** Denied, or said beside what goes in: what it holds, what may be taken instead. */
const beside = ({ items, denied, whole }: ReadSentence): string[] =>
  [
    ...items.flatMap(({ instead, others, holds, without }) => [...instead, ...others, ...holds, ...without]),
    ...denied,
    ...(whole?.except ?? []),
  ].map(({ match }) => match.item.id);

/** Nobody would miss it: of the wash, or of what goes in. */
function goesWithout(item: LarderItem, known: ReadonlySet<string>): boolean {
  const source = sourceIdOf(item.id);
  const isOfWash = item.ingredient?.roles.includes('surfactant') ?? false;
  return (
    item.id === WATER ||
    isOfWash ||
    (source !== undefined && known.has(source)) ||
    (isProduct({ item, words: 1 }) && known.has('conditioner'))
  );
}
