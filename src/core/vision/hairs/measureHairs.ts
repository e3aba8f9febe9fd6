import { clamp, sum } from '../../base/measures';
import { distance, grayOf, type Corners, type Cv, type Picture, type Point } from '../pictures';
import { hairsIn, tanglesOf, type Beside, type HairBall } from './balls';
import { CARD_MM, findCard, onSheet } from './card';
import { ridgesOf, type Ridges } from './ridges';
import { thin } from './skeleton';
import { followed, type Strand } from './strands';
import { webOf } from './web';

/** A hair of the sheet. */
export interface MeasuredHair {
  /** From end to end, pixels of the picture. */
  readonly line: readonly Point[];
  readonly lengthMm: number;
  /** The thickened end of a hair that fell out whole. */
  readonly hasRoot: boolean;
  readonly kind: 'broken' | 'shed';
}

export type SheetTrouble = 'no-card' | 'tangled' | 'no-hair';

export interface MeasuredSheet {
  readonly card: Corners | null;
  readonly hairs: readonly MeasuredHair[];
  /** Too dense to follow: how large, and how many hairs about. */
  readonly balls: readonly HairBall[];
  /** Chance that the count is within a tenth, 0 to 1. */
  readonly sure: number;
  readonly troubles: readonly SheetTrouble[];
}

/** Longest side that is looked at, pixels: a hair is one to four of them wide then. */
const LONGEST = 1800;
/** Shorter than this is dust, mm. */
const DUST_MM = 4;
/** The card and what lies so near to it do not count, share of its width. */
const CARD_MARGIN = 0.03;
/** Less sure than this, and they are to be laid in two rounds. */
const SURE_ENOUGH = 0.75;
/**
 * How sure a count is: less with each crossing a hair and with each crossing that could be gone through otherwise; then as a chance.
 * Found on rendered sheets (docs/vision.md): of 39 that scored above 0.75 all were within a tenth, of 20 below it half.
 */
const SURENESS = { whole: 0.97, crossing: 0.06, doubt: 0.5, middle: 0.66, width: 0.04 } as const;
/** Without a root, a hair of at least so much of the usual full length is one that fell out. */
const FULL_SHARE = 0.6;

/** Finds, follows and measures the hairs on a sheet of paper by the bank card that lies on it. */
export function measureHairs(cv: Cv, picture: Picture): MeasuredSheet {
  const gray = grayOf(cv, picture, LONGEST);
  const scale = gray.width / picture.width;
  const card = findCard(cv, picture);
  if (!card) return { card: null, hairs: [], balls: [], sure: 0, troubles: ['no-card'] };
  const toSheet = onSheet(cv, card);
  const onCard = offCard(card.map(({ x, y }) => ({ x: x * scale, y: y * scale })) as unknown as Corners);
  const tangles = tanglesOf(cv, gray, CARD_MM.width / distance(card[0], card[1]) / scale, onCard);
  const isOff = (x: number, y: number) => onCard(x, y) || tangles.some(({ isIn }) => isIn(x, y));
  const ridges = ridgesOf(cv, gray, isOff);
  thin(ridges.mask, ridges.width);
  const { strands, crossings, doubtful } = followed(webOf(ridges.mask, ridges.width), ridges.depth);
  const beside: Beside[] = [];
  const hairs = strands.flatMap((strand) => {
    const even = smooth(strand.line);
    const line = even.map(({ x, y }) => ({ x: x / scale, y: y / scale }));
    const lengthMm = lengthOf(line.map(toSheet));
    if (lengthMm < DUST_MM) return [];
    beside.push({ ink: inkAcross(ridges, strand), length: lengthOf(even) });
    return [{ line, lengthMm, hasRoot: hasRoot(ridges, strand) }];
  });
  const balls = tangles.map((tangle): HairBall => {
    const middle = { x: tangle.middle.x / scale, y: tangle.middle.y / scale };
    const half = tangle.across / scale / 2;
    const ends = [-half, half].map((by) => toSheet({ x: middle.x + by, y: middle.y })) as [Point, Point];
    return { middle, radius: half, acrossMm: distance(...ends), hairs: hairsIn(tangle, beside) };
  });
  const sure = sureOf(hairs.length, crossings, doubtful);
  const troubles: SheetTrouble[] = [];
  if (hairs.length === 0 && balls.length === 0) troubles.push('no-hair');
  else if (hairs.length > 0 && sure < SURE_ENOUGH) troubles.push('tangled');
  return {
    card,
    hairs: sorted(hairs),
    balls,
    sure,
    troubles,
  };
}

function sureOf(hairs: number, crossings: number, doubtful: number): number {
  if (hairs === 0) return 0;
  const { whole, crossing, doubt, middle, width } = SURENESS;
  const score = whole - (crossing * crossings) / hairs - (doubt * doubtful) / Math.max(4, hairs);
  return clamp(1 / (1 + Math.exp((middle - score) / width)), 0.05, 0.97);
}

/** Whether a place is the card's or at its edge. */
function offCard(corners: Corners): (x: number, y: number) => boolean {
  const middle = { x: sum(corners.map(({ x }) => x)) / 4, y: sum(corners.map(({ y }) => y)) / 4 };
  const wide = corners.map(({ x, y }) => ({
    x: middle.x + (1 + 2 * CARD_MARGIN) * (x - middle.x),
    y: middle.y + (1 + 2 * CARD_MARGIN) * (y - middle.y),
  }));
  return (x, y) =>
    wide.every((a, at) => {
      const b = wide[(at + 1) % 4] as Point;
      return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) >= 0;
    });
}

/** Places a line looks over to each side when its steps are evened out. */
const REACH = 4;

function smooth(line: readonly Point[]): Point[] {
  return line.map((_, at) => {
    const reach = Math.min(REACH, at, line.length - 1 - at);
    const near = line.slice(at - reach, at + reach + 1);
    return { x: sum(near.map(({ x }) => x)) / near.length, y: sum(near.map(({ y }) => y)) / near.length };
  });
}

const lengthOf = (line: readonly Point[]) =>
  sum(line.slice(1).map((point, at) => distance(line[at] as Point, point)));

/** An end is a root where so much more darkness lies around it than around a plain end. */
const ROOT_FACTOR = 1.14;
const ROOT_RADIUS = 5;

/** Whether the darkness around one of its ends is more than that of a line which stops there. */
function hasRoot(ridges: Ridges, { line, freeEnds }: Strand): boolean {
  return [line, [...line].reverse()].some((from, end) => {
    if (!freeEnds[end]) return false;
    const along = [14, 18, 22, 26, 30].flatMap((at) => from[at] ?? []);
    if (along.length === 0) return false;
    const usual = along.map((point) => darknessAround(ridges, point)).sort((a, b) => a - b);
    const middle = usual[Math.floor(usual.length / 2)] ?? 0;
    // The thinning ends inside a root: its middle is near the end of the line.
    const atEnd = Math.max(...from.slice(0, 4).map((point) => darknessAround(ridges, point)));
    return atEnd > ROOT_FACTOR * middle;
  });
}

/** Darkness across a hair, in the middle of what is found along it: that of a disc over its width. */
function inkAcross(ridges: Ridges, { line }: Strand): number {
  const along = line.filter((_, at) => at % INK_EVERY === 0).map((point) => darknessAround(ridges, point));
  along.sort((a, b) => a - b);
  return (along[Math.floor(along.length / 2)] ?? 0) / (2 * ROOT_RADIUS + 1);
}
const INK_EVERY = 7;

function darknessAround({ width, height, depth }: Ridges, { x, y }: Point): number {
  let found = 0;
  for (let dy = -ROOT_RADIUS; dy <= ROOT_RADIUS; dy++)
    for (let dx = -ROOT_RADIUS; dx <= ROOT_RADIUS; dx++) {
      if (dx * dx + dy * dy > ROOT_RADIUS ** 2) continue;
      const [column, row] = [Math.round(x) + dx, Math.round(y) + dy];
      if (column < 0 || row < 0 || column >= width || row >= height) continue;
      found += depth[row * width + column] ?? 0;
    }
  return found;
}

/** Short pieces without a root broke off; what has one, or is about as long as those that have, fell out. */
function sorted(hairs: readonly Omit<MeasuredHair, 'kind'>[]): MeasuredHair[] {
  const rooted = hairs.filter((hair) => hair.hasRoot).map((hair) => hair.lengthMm);
  const all = hairs.map((hair) => hair.lengthMm).sort((a, b) => a - b);
  const full =
    rooted.length >= 2
      ? (rooted.sort((a, b) => a - b)[Math.floor(rooted.length / 2)] ?? 0)
      : (all[Math.floor(0.85 * (all.length - 1))] ?? 0);
  return hairs.map((hair) => ({
    ...hair,
    kind: hair.hasRoot || hair.lengthMm >= FULL_SHARE * full ? 'shed' : 'broken',
  }));
}
