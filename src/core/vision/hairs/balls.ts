import { jStat } from 'jstat';
import { clamp, sum } from '../../base/measures';
import { matOf, withMats, type Cv, type Gray, type Mat, type Point } from '../pictures';

/** A tangle so dense that no hair of it can be followed, as it lies on the sheet. Lengths in pixels of the grey picture. */
export interface Tangle {
  readonly middle: Point;
  /** Across a circle of the same area. */
  readonly across: number;
  readonly isIn: (x: number, y: number) => boolean;
  /** Darker than the paper by so much where nothing but hair is seen, 0 to 255. */
  readonly full: number;
  /** −ln of what is seen through it, added up over its area: hair that lies on hair is counted so, too. */
  readonly cover: number;
  /** Share of it through which no paper is seen. */
  readonly hidden: number;
}

/** What a ball of hair holds, as far as a picture can tell. */
export interface HairBall {
  /** Of the picture, pixels. */
  readonly middle: Point;
  readonly radius: number;
  readonly acrossMm: number;
  /** Nine in ten are within; null where no single hairs lie beside it to compare it with. */
  readonly hairs: { readonly low: number; readonly middle: number; readonly high: number } | null;
}

/** Balls are looked for in a picture of a quarter of the size. */
const COARSE = 4;
/** Wider than any ball and narrower than the sheet, mm. */
const PAPER_MM = 55;
/** Over so much the share of hair is taken, mm. */
const NEAR_MM = 1.2;
/** A ball begins where hair covers so much of the paper: hairs that were laid apart cover a twentieth. */
const DENSE = 0.25;
/** The hair of a ball stands out from the paper by at least so much: shadows and smudges do so less. */
const LEAST_FULL = 85;
/** And somewhere in it so much: where some hairs cross they cover less. */
const CORE = 0.45;
/** Smaller than this it is a crossing, larger it is no ball but shade or table, mm across. */
const ACROSS_MM = { least: 7.5, most: 60 } as const;
/** On paper darker than this hair is seen as light lines, 0 to 255. */
const DARK_PAPER = 110;
/** A ball fills so much of its hull, and is at most so much longer than wide: no edge, no strip of table. */
const LEAST_FILLED = 0.6;
const MOST_LONG = 2.6;
/** Beyond this nothing is seen through it. */
const OPAQUE = 0.97;
/** What lies so near to a ball belongs to it, mm. */
const RIM_MM = 3;

/** @param mmPerPixel of the grey picture @param isOff the card */
export function tanglesOf(
  cv: Cv,
  gray: Gray,
  mmPerPixel: number,
  isOff: (x: number, y: number) => boolean,
): Tangle[] {
  return withMats((keep) => {
    const whole = keep(matOf(cv, gray));
    const paper = middleOf(gray, isOff);
    // A card would be taken for paper, and the strip beside it for hair.
    for (let y = 0; y < gray.height; y++)
      for (let x = 0; x < gray.width; x++) if (isOff(x, y)) whole.data[y * gray.width + x] = paper;
    return densePlaces(cv, whole, mmPerPixel, paper > DARK_PAPER);
  });
}

function middleOf({ width, height, data }: Gray, isOff: (x: number, y: number) => boolean): number {
  const counts = new Uint32Array(256);
  let all = 0;
  for (let y = 0; y < height; y += 3)
    for (let x = 0; x < width; x += 3) {
      if (isOff(x, y)) continue;
      counts[data[y * width + x] ?? 0]! += 1;
      all++;
    }
  let seen = 0;
  return counts.findIndex((count) => (seen += count) >= all / 2);
}

/** @param isDark dark hair on light paper, or light on dark */
function densePlaces(cv: Cv, whole: Mat, mmPerPixel: number, isDark: boolean): Tangle[] {
  return withMats((keep) => {
    const square = (mm: number) => {
      const side = Math.round(mm / mmPerPixel / COARSE) | 1;
      return keep(cv.getStructuringElement(cv.MORPH_RECT, new cv.Size(side, side)));
    };
    const small = keep(new cv.Mat());
    cv.resize(whole, small, new cv.Size(0, 0), 1 / COARSE, 1 / COARSE, cv.INTER_AREA);
    const paper = keep(new cv.Mat());
    cv.morphologyEx(small, paper, isDark ? cv.MORPH_CLOSE : cv.MORPH_OPEN, square(PAPER_MM));
    const ink = keep(new cv.Mat());
    if (isDark) cv.subtract(paper, small, ink);
    else cv.subtract(small, paper, ink);
    const near = keep(new cv.Mat());
    cv.GaussianBlur(ink, near, new cv.Size(0, 0), NEAR_MM / mmPerPixel / COARSE);
    const full = topOf(inkOf(cv, whole, paper, isDark));
    if (full < LEAST_FULL) return [];
    const dense = keep(new cv.Mat());
    cv.threshold(near, dense, DENSE * full, 255, cv.THRESH_BINARY);
    const contours = keep(new cv.MatVector());
    cv.findContours(dense, contours, keep(new cv.Mat()), cv.RETR_LIST, cv.CHAIN_APPROX_NONE);
    const found: Tangle[] = [];
    for (let index = 0; index < contours.size(); index++) {
      const tangle = tangleIn(cv, keep(contours.get(index)), { ink, near, full, mmPerPixel, square });
      // A hole of a ball has an outline, too.
      const isHole = tangle && found.some(({ isIn }) => isIn(tangle.middle.x, tangle.middle.y));
      if (tangle && !isHole) found.push(tangle);
    }
    return found;
  });
}

/** How much darker each pixel is than its paper, or lighter. */
function inkOf(cv: Cv, whole: Mat, paper: Mat, isDark: boolean): Uint8Array {
  return withMats((keep) => {
    const ground = keep(new cv.Mat());
    cv.resize(paper, ground, new cv.Size(whole.cols, whole.rows), 0, 0, cv.INTER_LINEAR);
    const ink = keep(new cv.Mat());
    if (isDark) cv.subtract(ground, whole, ink);
    else cv.subtract(whole, ground, ink);
    return new Uint8Array(ink.data);
  });
}

/** What all but the darkest fiftieth of a percent reaches. */
function topOf(data: Uint8Array): number {
  const counts = new Uint32Array(256);
  for (const value of data) counts[value]! += 1;
  let above = data.length / 5000;
  for (let value = 255; value > 0; value--) if ((above -= counts[value] ?? 0) < 0) return value;
  return 0;
}

interface Coarse {
  readonly ink: Mat;
  readonly near: Mat;
  readonly full: number;
  readonly mmPerPixel: number;
  readonly square: (mm: number) => Mat;
}

function tangleIn(cv: Cv, contour: Mat, { ink, near, full, mmPerPixel, square }: Coarse): Tangle | undefined {
  return withMats((keep) => {
    const area = cv.contourArea(contour);
    const hull = keep(new cv.Mat());
    cv.convexHull(contour, hull);
    const { width, height } = cv.minAreaRect(contour).size;
    const box = cv.boundingRect(contour);
    const isAtRim =
      box.x <= 1 || box.y <= 1 || box.x + box.width >= ink.cols - 1 || box.y + box.height >= ink.rows - 1;
    const isRound =
      area / cv.contourArea(hull) >= LEAST_FILLED &&
      Math.max(width, height) <= MOST_LONG * Math.min(width, height);
    const across = 2 * Math.sqrt(area / Math.PI) * COARSE;
    const isBallSized = across * mmPerPixel >= ACROSS_MM.least && across * mmPerPixel <= ACROSS_MM.most;
    if (!isBallSized || isAtRim || !isRound) return undefined;
    const mask = keep(cv.Mat.zeros(ink.rows, ink.cols, cv.CV_8UC1));
    const only = keep(new cv.MatVector());
    only.push_back(contour);
    cv.drawContours(mask, only, 0, new cv.Scalar(255), cv.FILLED);
    cv.dilate(mask, mask, square(2 * RIM_MM));
    const inside = new Uint8Array(mask.data);
    const places = [...inside.keys()].filter((at) => inside[at] !== 0);
    if (places.every((at) => (near.data[at] as number) < CORE * full)) return undefined;
    const shares = places.map((at) => Math.min(OPAQUE, (ink.data[at] as number) / full));
    const { m00, m10, m01 } = cv.moments(contour);
    const columns = ink.cols;
    return {
      middle: { x: (m10 / m00) * COARSE, y: (m01 / m00) * COARSE },
      across,
      isIn: (x, y) => inside[Math.floor(y / COARSE) * columns + Math.floor(x / COARSE)] !== 0,
      full,
      cover: sum(shares.map((share) => -Math.log(1 - share))) * COARSE ** 2,
      hidden: shares.filter((share) => share >= OPAQUE).length / shares.length,
    };
  });
}

/** A hair that lies beside a ball: how dark it is along a pixel of it, and how long. */
export interface Beside {
  /** Darkness across it, 0 to 255 times pixels. */
  readonly ink: number;
  /** Pixels. */
  readonly length: number;
}

/** So many single hairs say how thick and how long the others are. */
const LEAST_BESIDE = 3;
/**
 * Errors of the logarithm of a count: of the lengths of single hairs (their own spread, and that those of the ball may be others), of
 * their thickness, of hair that lies on hair, and more where nothing is seen through it. Found on rendered balls (docs/vision.md).
 */
const ERROR = { spread: 0.7, others: 0.4, thickness: 0.2, overlap: 0.2, hidden: 0.9 } as const;
const NINE_IN_TEN = jStat.normal.inv(0.95, 0, 1);

/**
 * Lines thrown at random over an area leave a share of it free that falls as e to the minus of their length times their width over
 * the area (Boolean model; Chiu et al., Stochastic Geometry and its Applications, 2013): so much hair, over the length of one.
 */
export function hairsIn({ cover, full, hidden }: Tangle, beside: readonly Beside[]): HairBall['hairs'] {
  if (beside.length < LEAST_BESIDE) return null;
  const mean = (values: readonly number[]) => sum(values) / values.length;
  const thickness = mean(beside.map(({ ink }) => ink)) / full;
  const length = mean(beside.map((each) => each.length));
  const count = cover / thickness / length;
  const { spread, others, thickness: ofThickness, overlap, hidden: ofHidden } = ERROR;
  const sd = Math.hypot(spread / Math.sqrt(beside.length), others, ofThickness, overlap, ofHidden * hidden);
  const wide = Math.exp(NINE_IN_TEN * sd);
  return { low: inTwoFigures(count / wide), middle: inTwoFigures(count), high: inTwoFigures(count * wide) };
}

/** Fewer are no ball, more come out in no wash. */
const IN_BALL = { least: 2, most: 5000 } as const;
/** More than two figures would say what nobody knows. */
const inTwoFigures = (count: number): number =>
  Math.floor(clamp(Number(count.toPrecision(2)), IN_BALL.least, IN_BALL.most));
