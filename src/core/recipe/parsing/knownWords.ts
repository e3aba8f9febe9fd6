import { singular } from '../ingredients';
import { LANGUAGES } from './languages';

function wordsIn(value: unknown): string[] {
  if (typeof value === 'string') return value.split(' ');
  if (Array.isArray(value)) return value.flatMap(wordsIn);
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, each]) => [...key.split(' '), ...wordsIn(each)]);
}

/** Every word of the files that texts are read with, in any language. */
const KNOWN: ReadonlySet<string> = new Set(wordsIn(LANGUAGES).flatMap((word) => [word, singular(word)]));

/** Whether a plain word means something to the reader; names of ingredients aside. */
export const isKnownWord = (word: string): boolean => KNOWN.has(word) || KNOWN.has(singular(word));
