import { sum } from '../../base/measures';
import { grayOf, straightened, type Corners, type Cv, type Gray, type Picture } from '../pictures';
import { readNames, type FoundName, type ReadWord } from './readNames';
import { textSheet } from './textSheet';

/** The reader of letters: the words of an even sheet, in the order of reading. */
export type Recognise = (sheet: Gray) => Promise<readonly ReadWord[]>;

/** What makes a photo hard to read, for which she can do something. */
export type LabelTrouble = 'small-print' | 'glare' | 'blurred' | 'no-list';

export interface ReadLabel {
  readonly names: readonly FoundName[];
  /** All words as they were read. */
  readonly words: readonly ReadWord[];
  readonly troubles: readonly LabelTrouble[];
}

/** Longest side that is looked at, pixels: small print of a photo of a whole bottle is still 15 pixels high. */
export const LONGEST = 2000;
/** Lines closer than this are too small to be read well, pixels. */
const SMALL_PITCH = 14;
/** Share of the picture that may be burnt out before it is said. */
const MOST_GLARE = 0.04;
/** Names that a list has at least. */
const LEAST_NAMES = 3;
/** Where so much of the letters is in names that are taken, no other way is tried. */
const ENOUGH = 0.9;

/**
 * Reads the ingredient list on a photo: straightened, freed of shadow, letters recognised, names matched. Where little comes out it
 * is looked at without sharpening, and turned.
 * @param corners of the list in the picture, from the upper left with the clock, where she marked them
 */
export async function readLabel(
  cv: Cv,
  recognise: Recognise,
  picture: Picture,
  corners: Corners | null = null,
): Promise<ReadLabel> {
  const gray = grayOf(cv, corners ? straightened(cv, picture, corners) : picture, LONGEST);
  const upright = await attempted(cv, recognise, gray, { sharpened: true });
  const best = await better(cv, recognise, gray, upright);
  const { names, words, pitch, glare, taken } = best;
  const hasList = names.filter(({ fate }) => fate !== 'struck').length >= LEAST_NAMES;
  const troubles: LabelTrouble[] = [];
  if (pitch < SMALL_PITCH) troubles.push('small-print');
  if (glare > MOST_GLARE) troubles.push('glare');
  if (!hasList) troubles.push('no-list');
  else if (taken < ENOUGH / 2 && troubles.length === 0) troubles.push('blurred');
  return { names: hasList ? names : [], words, troubles };
}

/** In a turned picture a list is looked for in smaller letters: three times as fast, and enough to find one. */
const GLANCE_PITCH = 30;

/** Without sharpening, where some of it was read; on its sides, where nothing was. */
async function better(cv: Cv, recognise: Recognise, gray: Gray, first: Attempt): Promise<Attempt> {
  if (first.taken >= ENOUGH) return first;
  if (first.taken > 0) {
    const plain = await attempted(cv, recognise, gray, { sharpened: false });
    return plain.score > first.score ? plain : first;
  }
  for (const quarters of [1, 3]) {
    const onSide = turned(gray, quarters);
    const glance = await attempted(cv, recognise, onSide, { sharpened: true, pitch: GLANCE_PITCH });
    if (glance.names.filter(({ fate }) => fate === 'accepted').length < LEAST_NAMES) continue;
    const whole = await attempted(cv, recognise, onSide, { sharpened: true });
    return whole.score > glance.score ? whole : glance;
  }
  return first;
}

interface Attempt extends Pick<ReadLabel, 'names' | 'words'> {
  readonly pitch: number;
  readonly glare: number;
  /** Share of the letters of the list that are in names taken as they are. */
  readonly taken: number;
  readonly score: number;
}

async function attempted(
  cv: Cv,
  recognise: Recognise,
  gray: Gray,
  how: Parameters<typeof textSheet>[2],
): Promise<Attempt> {
  const { sheet, pitch, glare } = textSheet(cv, gray, how);
  const words = await recognise(sheet);
  const names = readNames(words);
  const letters = (name: FoundName) => name.read.length;
  const all = sum(names.map(letters));
  const accepted = sum(names.filter(({ fate }) => fate === 'accepted').map(letters));
  return {
    names,
    words,
    pitch,
    glare,
    taken: all > 0 ? accepted / all : 0,
    score: sum(names.map((name) => name.sure * letters(name))),
  };
}

/** Turned by quarters, with the clock. */
function turned(gray: Gray, quarters: number): Gray {
  let now = gray;
  for (let turn = 0; turn < quarters; turn++) {
    const { width, height, data } = now;
    const made = new Uint8Array(data.length);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) made[x * height + (height - 1 - y)] = data[y * width + x] ?? 0;
    now = { width: height, height: width, data: made };
  }
  return now;
}
