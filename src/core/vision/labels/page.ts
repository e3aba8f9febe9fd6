import type { ReadWord } from './readNames';

/** What the reader of letters gives back: tesseract.js's page, as far as it is used. */
export interface ReadPage {
  readonly blocks:
    | readonly {
        readonly paragraphs: readonly {
          readonly lines: readonly {
            readonly words: readonly { readonly text: string; readonly confidence: number }[];
          }[];
        }[];
      }[]
    | null;
}

/** The words of a page in the order of reading, with their confidence from 0 to 1. */
export function wordsOfPage({ blocks }: ReadPage): ReadWord[] {
  return (blocks ?? [])
    .flatMap(({ paragraphs }) => paragraphs)
    .flatMap(({ lines }) => lines)
    .flatMap(({ words }) =>
      words.map(({ text, confidence }, at) => ({
        text,
        confidence: confidence / 100,
        endsLine: at === words.length - 1,
      })),
    );
}
