import type { LarderItem, NameLexicon } from './lexicon';
import { touches, type Token } from './tokens';

export interface NameMatch {
  readonly item: LarderItem;
  readonly words: number;
  /** As it was written, where that is misspelt. */
  readonly written?: string;
}

/** Names of a text by the index of the token where each begins, with that of the token after it. */
export type Names = ReadonlyMap<number, NameMatch & { readonly to: number }>;

/** Signs that may stand within a name, where they touch the next word. */
const WITHIN_NAME = /^[-‑.'’®™*]$/;

/** Names in runs of words that no sign parts. */
export function namesIn(tokens: readonly Token[], lexicon: Pick<NameLexicon, 'inWords'>): Names {
  const found = new Map<number, NameMatch & { readonly to: number }>();
  let run: number[] = [];
  const close = () => {
    for (const [from, match] of namesOfRun(run, tokens, lexicon))
      if (!found.has(from)) found.set(from, match);
    run = [];
  };
  for (const [index, token] of tokens.entries()) {
    // "d'huile": the article is no part of the name.
    if (/^[dl]['’]$/i.test(token.raw)) continue;
    if (token.kind === 'word' || token.kind === 'number') run.push(index);
    else if (token.kind === 'break' || !WITHIN_NAME.test(token.word) || !touches(token, tokens[index + 1]))
      close();
  }
  close();
  return found;
}

/** "água do arroz", "aceite del coco": where a name would have the bare "of". */
const OF_THE: ReadonlyMap<string, string> = new Map(
  Object.entries({
    do: 'de',
    da: 'de',
    dos: 'de',
    das: 'de',
    del: 'de',
    du: 'de',
    des: 'de',
    dello: 'di',
    della: 'di',
    dei: 'di',
    delle: 'di',
    degli: 'di',
  }),
);

/** Longer names over those that are found, where only an article keeps them apart. */
function withoutArticles(
  words: readonly string[],
  matches: readonly Found[],
  lexicon: Pick<NameLexicon, 'inWords'>,
): readonly Found[] {
  const bare = words.map((word) => OF_THE.get(word) ?? word);
  const isOfThe = bare.map((word, at) => word !== words[at]);
  if (!isOfThe.includes(true)) return matches;
  // "succo del limone" is an Italian "of the", "aceite del coco" a Spanish one.
  const italian = bare.map((word, at) => (words[at] === 'del' ? 'di' : word));
  const isAcross = ({ start, words: count }: Found) => isOfThe.slice(start, start + count).includes(true);
  const longer = [...lexicon.inWords(bare), ...lexicon.inWords(italian)].filter(isAcross);
  const isCovered = ({ start, words: count }: Found) =>
    longer.some((each) => each.start < start + count && start < each.start + each.words);
  return longer.length === 0 ? matches : [...longer, ...matches.filter((each) => !isCovered(each))];
}

type Found = ReturnType<NameLexicon['inWords']>[number];

function* namesOfRun(
  run: readonly number[],
  tokens: readonly Token[],
  lexicon: Pick<NameLexicon, 'inWords'>,
): Generator<[number, NameMatch & { readonly to: number }]> {
  // "EO" is two words of a name.
  const spelt = run.flatMap((index) => {
    const word = tokens[index]?.word ?? '';
    return (word === 'eo' ? ['essential', 'oil'] : [word]).map((each) => ({ word: each, index }));
  });
  const words = spelt.map(({ word }) => word);
  const matches = spelt.length === 0 ? [] : withoutArticles(words, lexicon.inWords(words), lexicon);
  for (const { item, words, start } of matches) {
    const [first, last] = [spelt[start], spelt[start + words - 1]];
    if (first && last) yield [first.index, { item, words, to: last.index + 1 }];
  }
}
