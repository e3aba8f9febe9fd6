import { readdirSync } from 'node:fs';
import type { Messages } from '@lingui/core';
import type { CompiledMessage } from '@lingui/message-utils/compileMessage';
import { CATALOGUES } from '../data/languages/catalogues';
import { messages as english } from '../data/languages/en';
import { LANGUAGES } from '../src/core/base/language';

type Tokens = Exclude<CompiledMessage, string>;
const tokensOf = (message: unknown) => message as Tokens;

/** Names of the values of a sentence, those within its forms as well. */
function valuesOf(message: CompiledMessage): string[] {
  if (typeof message === 'string') return [];
  return message.flatMap((token) => {
    if (typeof token === 'string') return [];
    const [name, , forms] = token;
    const inside = typeof forms === 'object' ? Object.values(forms as object) : [];
    return [name, ...inside.flatMap((form) => (Array.isArray(form) ? valuesOf(form as Tokens) : []))];
  });
}
const setOf = (names: readonly string[]) => [...new Set(names)].sort().join();

/** Forms of words of a sentence: which it has. */
function formsOf(message: CompiledMessage): string[][] {
  if (typeof message === 'string') return [];
  return message.flatMap((token) =>
    typeof token !== 'string' && token[1] === 'plural' ? [Object.keys(token[2] as object)] : [],
  );
}
const endOf = (message: CompiledMessage, at: 0 | -1) => {
  const token = typeof message === 'string' ? message : message.at(at);
  return typeof token === 'string' && (at === 0 ? /^\s/ : /\s$/).test(token);
};

it('has a catalogue for every language but the one in the code', () => {
  const files = readdirSync('data/languages').filter((name) => name.endsWith('.po'));
  expect(
    Object.keys(LANGUAGES)
      .map((language) => `${language}.po`)
      .sort(),
  ).toEqual(files.sort());
  expect(Object.keys(CATALOGUES)).toEqual(Object.keys(LANGUAGES).filter((language) => language !== 'en'));
  expect(Object.keys(english).length).toBeGreaterThan(2500);
});

describe.each(Object.entries(CATALOGUES))('the catalogue %s', (language, load) => {
  let catalogue: Messages = {};
  let pairs: (readonly [Tokens, Tokens])[] = [];
  beforeAll(async () => {
    catalogue = (await load()).messages;
    pairs = Object.keys(english).map((id) => [tokensOf(english[id]), tokensOf(catalogue[id])]);
  });

  it('has every text, and none beside', () => {
    expect(Object.keys(catalogue).sort()).toEqual(Object.keys(english).sort());
  });

  it('says every value that the English says', () => {
    expect(pairs.filter(([en, other]) => setOf(valuesOf(en)) !== setOf(valuesOf(other)))).toEqual([]);
  });

  it('has all forms of words that its language counts with', () => {
    const wanted = new Intl.PluralRules(LANGUAGES[language as 'pt'].tag).resolvedOptions().pluralCategories;
    const lacking = pairs.flatMap(([, other]) =>
      formsOf(other).filter((forms) => wanted.some((form) => !forms.includes(form))),
    );
    expect(lacking).toEqual([]);
    expect(pairs.flatMap(([en]) => formsOf(en)).length).toBeGreaterThan(60);
  });

  it('keeps the spaces at the ends, where texts are joined', () => {
    const ends = (message: CompiledMessage) => [endOf(message, 0), endOf(message, -1)].join();
    expect(pairs.filter(([en, other]) => ends(en) !== ends(other))).toEqual([]);
  });

  it('is not English that was left: hardly a sentence is the same in both', () => {
    const same = pairs.filter(
      ([en, other]) =>
        JSON.stringify(en) === JSON.stringify(other) &&
        /[a-z]{3,} [a-z]{3,} [a-z]{3,}/.test(en.filter((token) => typeof token === 'string').join(' ')),
    );
    expect(same).toEqual([]);
  });
});
