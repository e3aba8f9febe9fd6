import { plainWords } from '../ingredients';
import { LANGUAGES } from './languages';

/** Preparations are told apart by English words (data/ingredients/preparations.json): here are those of other languages. */
const STATES: readonly Readonly<Record<string, readonly string[]>>[] = Object.values(LANGUAGES).flatMap(
  (words) => ('states' in words ? [words.states] : []),
);
/** "Kamillentee", "Kartoffelsaft": one word with the plant. */
const ENDINGS = Object.entries(LANGUAGES.de.stateEndings);
/** Letters that the name of a plant has at least. */
const PLANT_LETTERS = 3;

/** Without its accent it is another word: "the", "te". */
const NEEDS_ACCENT: ReadonlySet<string> = new Set(['thé', 'té', 'tè', 'pó']);

const ENGLISH = new Map<string, string[]>();
for (const states of STATES)
  for (const [english, phrases] of Object.entries(states))
    for (const phrase of phrases) {
      const key = NEEDS_ACCENT.has(phrase) ? phrase : plainWords(phrase).join(' ');
      ENGLISH.set(key, [...(ENGLISH.get(key) ?? []), english]);
    }

/** @returns the words of a text, plain, and behind them what they say of a state in English: "cozido" is cooked */
export function wordsOfStates(text: string): string[] {
  const plain = plainWords(text);
  const accented =
    text
      .toLowerCase()
      .normalize('NFC')
      .match(/\p{L}+/gu) ?? [];
  const pairs = plain.map((word, at) => `${word} ${plain[at + 1] ?? ''}`);
  const said = [...plain, ...pairs, ...accented.filter((word) => NEEDS_ACCENT.has(word))];
  const ended = plain.flatMap((word) =>
    ENDINGS.flatMap(([english, ending]) =>
      word.endsWith(ending) && word.length >= ending.length + PLANT_LETTERS ? [english] : [],
    ),
  );
  return [...plain, ...said.flatMap((each) => ENGLISH.get(each) ?? []), ...ended];
}
