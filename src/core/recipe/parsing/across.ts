import { UNITS, VAGUE_UNITS } from '../../base/measures';
import { singular } from '../ingredients';
import type { Amount } from './amounts';
import { takeOfHundred, takeSaidUnit } from './bareNumbers';
import type { Element } from './elements';
import type { Item, NamedAt, TokenRange } from './item';
import { isFat, isHerb, isOfOil, sourceIdOf } from './lexicon';
import { isPack } from './lineAmount';
import { says } from './marks';
import { fillBottle, giveRatio, giveWhole, takeAsParts, takeBareAsParts } from './parts';
import { bareItem } from './pending';
import { isLiquid } from './textures';
import { isSign, isWord } from './tokens';
import type { Context, ReadSentence } from './told';
import { dropToldAnew } from './toldAnew';

/** What one sentence says of things that another names: a count, a measure for all, an oil, "no turmeric". */
export function settleAcross(sentences: ReadSentence[], context: Context): void {
  takeInstead(sentences);
  makeConditional(sentences, context);
  giveInOrder(sentences);
  giveRatio(sentences);
  giveWhole(sentences);
  countEarlier(sentences, context);
  correctEarlier(sentences);
  giveSource(sentences, context);
  giveShort(sentences, context);
  nameInFull(sentences, context);
  giveGround(sentences, context);
  dropToldAnew(sentences);
  giveUsed(sentences, context);
  dropLoose(sentences);
  takeUses(sentences, context);
  takeSaidUnit(sentences, context);
  takeOfHundred(sentences);
  for (const { items } of sentences) takeAsParts(items);
  takeBareAsParts(sentences);
  fillBottle(sentences, context);
  nameOilBefore(sentences, context);
  takeBackEarlier(sentences, context);
}

/** What the sentences before one name, or the last few of them. */
const itemsBefore = (sentences: readonly ReadSentence[], index: number, back = index): Item[] =>
  sentences.slice(Math.max(0, index - back), index).flatMap(({ items }) => items);

/** "Aloe + honey + a bit of oil. 2 spoons, 1 spoon, half a spoon.": as many amounts as things, in their order. */
function giveInOrder(sentences: ReadSentence[]): void {
  for (const [index, sentence] of sentences.entries()) {
    const { nameless, items } = sentence;
    const named = sentences[index - 1]?.items ?? [];
    const isList = items.length === 0 && nameless.length > 1 && nameless.every(({ isBare }) => isBare);
    const isOpen = named.every(({ amount }) => amount === null || amount.weak);
    if (!isList || !isOpen || named.length !== nameless.length) continue;
    for (const [nth, item] of named.entries()) item.amount = nameless[nth]?.amount ?? item.amount;
    sentences[index] = { ...sentence, nameless: [] };
  }
}

/** Some of its things go in no longer: they are only named. */
const onlyNaming = (sentence: ReadSentence, gone: readonly Item[]): ReadSentence => ({
  ...sentence,
  items: sentence.items.filter((item) => !gone.includes(item)),
  mentions: [...sentence.mentions, ...gone.map(({ name }) => name)],
});

/** "2 tbsp honey", and in a row of its own "or agave": in place of the last. */
function takeInstead(sentences: ReadSentence[]): void {
  for (const [index, sentence] of sentences.entries()) {
    const [opening] = sentence.elements;
    const isOr = opening?.kind === 'separator' && opening.separator === 'or';
    const last = isOr ? sentences[index - 1]?.items.at(-1) : undefined;
    const [only, ...more] = sentence.items;
    if (!last || !only || more.length > 0 || last.amount === null) continue;
    last.instead.push(only.name);
    sentences[index] = onlyNaming(sentence, [only]);
  }
}

/** "… If it feels dry I add an egg.": behind a recipe it may go in. */
function makeConditional(sentences: ReadSentence[], { tokens }: Context): void {
  for (const [index, sentence] of sentences.entries()) {
    const { from, to, items } = sentence;
    if (!says(tokens[from], 'onlyIf') || itemsBefore(sentences, index).length === 0) continue;
    // "If you must use bananas, push them through a sieve.": when, and none more.
    const comma = tokens.findIndex((token, at) => at > from && at < to && isSign(token, ','));
    const when = items.filter(({ amount, name }) => amount === null && name.to <= comma);
    const told = onlyNaming(sentence, when);
    for (const item of told.items) item.optional = true;
    sentences[index] = told;
  }
}

/** How many sentences back a count may find its thing. */
const COUNTS_BACK = 2;

/** "Okra slime. 10 pods, …": a count of nothing is of the last thing named that is counted and has none. */
function countEarlier(sentences: ReadSentence[], { tokens, words }: Context): void {
  for (const [index, sentence] of sentences.entries()) {
    const [first] = sentence.nameless;
    if (!first || says(tokens[first.range.from - 1], 'intoBowl')) continue;
    // "That's about twelve jars."
    if (words.roles.yields.endsAt(tokens, first.range.from, 3)) continue;
    const { unit } = first.amount;
    const isCount = unit === null || (UNITS[unit].kind === 'count' && !isPack(unit));
    if (!isCount && !first.isBare && !first.amount.packSize) continue;
    const item = itemsBefore(sentences, index, COUNTS_BACK).findLast(
      ({ amount, name: { match } }) =>
        amount === null &&
        (!isCount ||
          match.item.ingredient?.measures.pieceGrams !== undefined ||
          // "Rosemary water. Four sprigs, …"
          (unit !== null && isHerb(match.item))),
    );
    const before = sentences[index - 1];
    const packed = item ? undefined : packedBefore(before, first.amount);
    if (item) item.amount = first.amount;
    else if (before && packed) sentences[index - 1] = withPacked(before, packed, first.amount);
    else continue;
    sentences[index] = { ...sentence, nameless: sentence.nameless.slice(1) };
  }
}

/** "Gelatin scared me for years. One sachet to 80 ml of water", "I put beer on my hair. A can, …": the one thing before that is sold so. */
function packedBefore(before: ReadSentence | undefined, { unit }: Amount): NamedAt | undefined {
  const named = before?.items.length === 0 ? before.mentions : [];
  const packed = named.filter(({ match: { item } }) =>
    unit === 'packet'
      ? item.ingredient?.measures.packetGrams !== undefined
      : isPack(unit) && item.ingredient !== undefined && isLiquid(item.ingredient),
  );
  return packed.length === 1 ? packed[0] : undefined;
}

const withPacked = (before: ReadSentence, packed: NamedAt, amount: Amount): ReadSentence => ({
  ...before,
  mentions: before.mentions.filter((each) => each !== packed),
  denied: before.denied.filter((each) => each !== packed),
  items: [...before.items, { ...bareItem(packed), amount }],
});

/** "… 3 spoons of vinegar. The right amount is 2, in a litre of water": of the last thing before. */
function correctEarlier(sentences: ReadSentence[]): void {
  for (const [index, sentence] of sentences.entries()) {
    const [opening] = sentence.elements;
    const [amount] = sentence.nameless;
    const isCorrection = opening?.kind === 'role' && opening.role === 'correction';
    const item = isCorrection ? itemsBefore(sentences, index, CORRECTS_BACK).at(-1) : undefined;
    if (!amount?.isBare || !item?.amount) continue;
    item.amount = { ...amount.amount, unit: amount.amount.unit ?? item.amount.unit };
    sentences[index] = { ...sentence, nameless: sentence.nameless.slice(1) };
  }
}
/** Sentences between an amount and its correction. */
const CORRECTS_BACK = 2;

/** "Linseed gel …: a quarter cup of seeds, two cups of water": what the gel that was named is made of. */
function giveSource(sentences: ReadSentence[], { tokens }: Context): void {
  for (const [index, sentence] of sentences.entries()) {
    const source = sentence.nameless.find(({ amount: { to } }) =>
      [to, to + 1].some((at) => says(tokens[at], 'plantSource')),
    );
    if (!source) continue;
    // Its own sentence may name it: "so here is the gel: a quarter cup of seeds".
    const made = itemsBefore(sentences, index + 1).find(
      ({ amount, name }) =>
        // "I make a linseed gel"
        (amount === null || (amount.weak && amount.unit === null)) &&
        sourceIdOf(name.match.item.id) !== undefined,
    );
    if (!made) continue;
    const { amount } = source;
    // "of seeds" tells what it is of where the measure ends at it.
    const to = says(tokens[amount.to], 'plantSource') ? amount.to : amount.to + 1;
    made.amount = { ...amount, to };
    sentences[index] = { ...sentence, nameless: sentence.nameless.filter((each) => each !== source) };
  }
}

/** "Hydrolysed silk, panthenol. … 4 ml silk": the last word of what was named without an amount. */
function giveShort(sentences: ReadSentence[], { tokens, words }: Context): void {
  for (const [index, sentence] of sentences.entries()) {
    if (sentence.nameless.length === 0) continue;
    const earlier = itemsBefore(sentences, index);
    const left = sentence.nameless.filter(({ amount: own, range }) => {
      const [only, ...more] = tokens
        .slice(own.to, range.to)
        .filter((token) => isWord(token) && !words.describing.has(token.word));
      const item = earlier.find(
        ({ amount, name }) =>
          amount === null && name.to - name.from > 1 && tokens[name.to - 1]?.word === only?.word,
      );
      if (!item || more.length > 0) return true;
      item.amount = own;
      return false;
    });
    if (left.length < sentence.nameless.length) sentences[index] = { ...sentence, nameless: left };
  }
}

/** "It's the mango butter. 60 g mango, …": measured behind a longer name of a fat that nobody measures, it is of that. */
function nameInFull(sentences: ReadSentence[], { tokens }: Context): void {
  const measured = new Set(
    sentences.flatMap(({ items }) =>
      items.flatMap(({ amount, name }) => (amount === null || amount.weak ? [] : [name.match.item.id])),
    ),
  );
  const longer: Extract<Element, { kind: 'name' }>[] = [];
  for (const [index, sentence] of sentences.entries()) {
    const { elements, denied } = sentence;
    longer.push(
      ...elements.flatMap((each) =>
        each.kind === 'name' && each.to - each.from > 1 && !denied.some(({ from }) => from === each.from)
          ? [each]
          : [],
      ),
    );
    const items = sentence.items.map((item): Item => {
      const { name, amount } = item;
      const word = tokens[name.from]?.word;
      const isMeasured = amount !== null && amount.unit !== null && !isPack(amount.unit);
      if (!isMeasured || UNITS[amount.unit!].kind === 'count' || name.to - name.from > 1) return item;
      const full = longer.find(
        ({ from, to, match }) =>
          to <= name.from &&
          !measured.has(match.item.id) &&
          ((to <= sentence.from && tokens[from]?.word === word && isFat(match.item)) ||
            // "rice flour gel: 2 tbsp flour"
            (tokens[to - 1]?.word === word && item.name.match.item.id === 'wheat-flour')),
      );
      return full ? { ...item, name: { ...name, match: full.match } } : item;
    });
    sentences[index] = { ...sentence, items };
  }
}

/** "a cup of mung beans through the grinder, 3 tbsp of the flour": so much of what was ground. */
function giveGround(sentences: ReadSentence[], { tokens }: Context): void {
  for (const [index, sentence] of sentences.entries()) {
    const flour = sentence.items.find(
      ({ amount, name: { from, match } }) =>
        amount !== null && match.item.id === 'wheat-flour' && says(tokens[from - 1], 'theMade'),
    );
    const ground = flour
      ? itemsBefore(sentences, index + 1).findLast(
          ({ name: { to, match } }) =>
            to <= flour.name.from &&
            match.item.ingredient?.preparations.some(({ id }) => id === 'ground') === true,
        )
      : undefined;
    if (!flour || !ground) continue;
    ground.amount = flour.amount;
    sentences[index] = onlyNaming(sentence, [flour]);
  }
}

/** "Cream cheese, no joke. 3 tbsp of it, …": of the one thing that was named, not of a mixture. */
function giveUsed(sentences: ReadSentence[], { tokens }: Context): void {
  for (const [index, sentence] of sentences.entries()) {
    const [batch] = sentence.batches;
    if (batch?.what !== 'used') continue;
    const earlier = itemsBefore(sentences, index);
    const noun = tokens[batch.amount.to]?.word;
    // "Flax gel + 1 tsp honey. About 1/2 cup of the gel."
    const said = earlier.find(({ amount, name }) => amount === null && tokens[name.to - 1]?.word === noun);
    const only = said ?? (earlier.length === 1 ? earlier[0] : undefined);
    const isOpen = only?.amount === null || (isPack(only?.amount.unit) && only?.amount.packSize === null);
    if (!only || !isOpen) continue;
    only.amount = batch.amount;
    sentences[index] = { ...sentence, batches: sentence.batches.slice(1) };
  }
}

/** "A palmful before plaiting.": how much of it is used, where nothing else is said. */
function takeUses(sentences: ReadSentence[], { tokens, words }: Context): void {
  for (const [index, sentence] of sentences.entries()) {
    const [only, ...more] = sentence.nameless;
    const isOpening = only !== undefined && only.range.from <= sentence.from + 1;
    if (!isOpening || more.length > 0 || sentence.items.length > 0 || sentence.batches.length > 0) continue;
    const { unit } = only.amount;
    const isByHand = unit !== null && VAGUE_UNITS.has(unit) && !isPack(unit);
    const behind = tokens.slice(only.amount.to, only.amount.to + USED_WITHIN);
    const isUse = behind.some(
      (token, at) =>
        says(token, 'everySo') ||
        says(token, 'head') ||
        words.roles.beside.at(tokens, only.amount.to + at) !== undefined,
    );
    if (!isByHand || !isUse || itemsBefore(sentences, index).length === 0) continue;
    const { amount, range } = only;
    sentences[index] = {
      ...sentence,
      nameless: [],
      batches: [{ what: 'used', amount, from: range.from, to: range.to }],
    };
  }
}
/** Tokens behind the amount that tell when or where it is used. */
const USED_WITHIN = 4;

/** A number alone that found nothing it could be of is none. */
function dropLoose(sentences: ReadSentence[]): void {
  for (const [index, sentence] of sentences.entries())
    if (sentence.nameless.some(({ isLoose }) => isLoose))
      sentences[index] = { ...sentence, nameless: sentence.nameless.filter(({ isLoose }) => !isLoose) };
}

/** "Egg & olive oil – 2 eggs, 4 tbsp oil": the oil that was named without an amount. */
function nameOilBefore(sentences: ReadSentence[], { tokens, words }: Context): void {
  const isBareOil = ({ from, to }: TokenRange) => words.roles.bareOil.at(tokens, from)?.to === to;
  const named = sentences
    .flatMap(({ items }) => items)
    .find(({ name, amount }) => amount === null && isOfOil(name.match.item) && !isBareOil(name));
  if (!named) return;
  for (const [index, sentence] of sentences.entries()) {
    const bare = sentence.items.find(
      ({ name, amount }) => amount !== null && name.from > named.name.to && isBareOil(name),
    );
    if (!bare) continue;
    const { from, to } = bare.name;
    const own = { ...bare, name: { from, to, match: { item: named.name.match.item, words: 1 } } };
    sentences[index] = { ...sentence, items: sentence.items.map((item) => (item === bare ? own : item)) };
    const at = sentences.findIndex(({ items }) => items.includes(named));
    const held = sentences[at];
    if (held) sentences[at] = onlyNaming(held, [named]);
    return;
  }
}

/** How many sentences back a thing may be taken out again. */
const TAKEN_BACK = 2;

/** "1 tsp turmeric?? No turmeric, it stains": out again; "skip the honey if …" leaves it to her. */
function takeBackEarlier(sentences: ReadSentence[], context: Context): void {
  const { tokens } = context;
  for (const [index, { denied, from, to }] of sentences.entries()) {
    // "mix till there's no oil on top": how it looks then.
    if (denied[0] && tokens.slice(from, denied[0].from).some((token) => says(token, 'until'))) continue;
    const ids = new Set([
      ...denied.map(({ match }) => match.item.id),
      ...deniedNouns(sentences, index, context),
    ]);
    if (ids.size === 0) continue;
    const isOpen = tokens.slice(from, to).some((token) => says(token, 'if') || isSign(token, '?'));
    for (let back = Math.max(0, index - TAKEN_BACK); back < index; back++) {
      const earlier = sentences[back]!;
      const gone = earlier.items.filter(({ name }) => ids.has(name.match.item.id));
      if (gone.length === 0) continue;
      if (isOpen) for (const item of gone) item.optional = true;
      else sentences[back] = onlyNaming(earlier, gone);
    }
  }
}

/** "5 g baking soda. I mean, not the soda.": the last word of a longer name. */
function deniedNouns(
  sentences: readonly ReadSentence[],
  index: number,
  { tokens, words }: Context,
): string[] {
  const { elements = [] } = sentences[index] ?? {};
  const nouns = elements.flatMap(({ kind, to, ...rest }) => {
    const isNot = kind === 'role' && 'role' in rest && rest.role === 'not';
    const noun = tokens[words.articles.at(tokens, to)?.to ?? (says(tokens[to], 'theMade') ? to + 1 : to)];
    return isNot && isWord(noun) && noun.word.length > 2 ? [singular(noun.word)] : [];
  });
  if (nouns.length === 0) return [];
  return itemsBefore(sentences, index, TAKEN_BACK).flatMap(({ name }) => {
    const last = tokens[name.to - 1]?.word ?? '';
    return name.to - name.from > 1 && nouns.includes(singular(last)) ? [name.match.item.id] : [];
  });
}
