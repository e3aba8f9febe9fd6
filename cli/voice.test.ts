import { readFileSync } from 'node:fs';
import path from 'node:path';
import PO from 'pofile';

const root = path.resolve(__dirname, '..');
const voice = readFileSync(path.join(root, 'docs/voice.md'), 'utf8');
const texts = PO.parse(readFileSync(path.join(root, 'data/languages/en.po'), 'utf8')).items.map(
  ({ msgid }) => msgid,
);

/** Words that docs/voice.md replaces, as it lists them. */
const refused = (/```text\n([\s\S]*?)```/.exec(voice)?.[1] ?? '')
  .split(/[,\n]/)
  .flatMap((word) => word.trim() || []);

/** Texts in which such a word means something else. */
const MEANT_OTHERWISE: readonly RegExp[] = [
  // A hair that is stretched, numbered.
  /^Strand (?:\{number\}|in a glass)/,
  // Letters of a photo, codes of a screen, what lies in the browser: read by the machine.
  /^(?:Reading the letters|Reading: \{|Reading what is kept|Stop reading)/,
  // Where the eyes are.
  /rinse with the head back/,
  // A made-up maker's own recipe.
  /^(?:10% b|B)ench gel$/i,
];

/** Words in braces are named values. */
const said = (text: string) => text.replace(/\{(\w+)(?:,[^{}]*(?=\{))?/g, '{');

describe('the texts of the interface', () => {
  it('say nothing that docs/voice.md replaces', () => {
    expect(refused.length).toBeGreaterThan(15);
    const word = new RegExp(`(?<![\\w-])(?:${refused.join('|')})(?![\\w-])`);
    const wrong = texts.filter(
      (text) => word.test(said(text)) && !MEANT_OTHERWISE.some((other) => other.test(text)),
    );
    expect(wrong).toEqual([]);
  });

  it('are looked at: an old word would be found', () => {
    const word = new RegExp(`(?<![\\w-])(?:${refused.join('|')})(?![\\w-])`);
    expect(word.test('Take a reading')).toBe(true);
    expect(word.test('Spreading it')).toBe(false);
  });
});
