import { sum } from '../../base/measures';
import { grayOf, type Cv, type Picture } from '../pictures';
import { LONGEST, type Recognise } from './readLabel';
import { textSheet } from './textSheet';

/** A printed page as a text to go on with. */
export interface ReadPrinted {
  /** Its lines, as they were read. */
  readonly text: string;
  /** Mean confidence of its letters, 0 to 1. */
  readonly sure: number;
  /** Below this much it is handwriting, or no text at all, and the text is empty. */
  readonly isReadable: boolean;
}

/** Letters read with less confidence than this are mostly wrong (rendered pages: print 0.9, scrawl below 0.5). */
const LEAST_SURE = 0.65;
const LEAST_WORDS = 3;

/** Reads a page of print, or clear handwriting as far as letters can be told. */
export async function readPrinted(cv: Cv, recognise: Recognise, picture: Picture): Promise<ReadPrinted> {
  const { sheet } = textSheet(cv, grayOf(cv, picture, LONGEST), { sharpened: true });
  const words = (await recognise(sheet)).filter(({ text }) => text.trim() !== '');
  const letters = sum(words.map(({ text }) => text.length));
  const sure =
    letters === 0 ? 0 : sum(words.map(({ text, confidence }) => confidence * text.length)) / letters;
  const isReadable = words.length >= LEAST_WORDS && sure >= LEAST_SURE;
  const text = words.map(({ text, endsLine }) => `${text}${endsLine ? '\n' : ' '}`).join('');
  return { text: isReadable ? text.trim() : '', sure, isReadable };
}
