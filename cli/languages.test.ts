import { readFileSync } from 'node:fs';
import path from 'node:path';
import { englishTexts } from '../scripts/lib/texts';
import { LANGUAGES } from '../src/core/base/language';

const root = path.resolve(__dirname, '..');
const english = englishTexts(root);
const fileOf = (language: string) =>
  JSON.parse(readFileSync(path.join(root, `data/languages/${language}.json`), 'utf8')) as Record<
    string,
    string
  >;
const places = (text: string) => [...text.matchAll(/\{\{\d+\}\}|\{name\}/g)].map(([place]) => place).sort();
const others = Object.keys(LANGUAGES).filter((language) => language !== 'en');

it('the English file holds every text of code and data: run “npm run languages” after a change', () => {
  expect(fileOf('en')).toEqual(english);
  expect(Object.keys(english).length).toBeGreaterThan(2500);
});

describe.each(others)('the language file %s', (language) => {
  const texts = fileOf(language);

  it('has a text for each, and none beside', () => {
    expect(Object.keys(english).filter((key) => !texts[key]?.trim())).toEqual([]);
    expect(Object.keys(texts).filter((key) => !(key in english))).toEqual([]);
  });

  it('puts every value where the English puts one', () => {
    const odd = Object.entries(texts).filter(
      ([key, text]) => places(text).join() !== places(english[key] ?? '').join(),
    );
    expect(odd).toEqual([]);
  });

  it('keeps the spaces at the ends, where texts are joined', () => {
    const ends = (text: string) => [/^\s/.test(text), /\s$/.test(text)].join();
    expect(Object.entries(texts).filter(([key, text]) => ends(text) !== ends(english[key] ?? ''))).toEqual(
      [],
    );
  });

  it('is not English that was left: hardly a sentence is the same in both', () => {
    const same = Object.entries(texts).filter(
      ([key, text]) => text === english[key] && /[a-z]{3,} [a-z]{3,} [a-z]{3,}/.test(text),
    );
    expect(same.map(([key]) => key)).toEqual([]);
  });
});
