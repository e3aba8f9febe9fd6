import { grayFrom, matOf, withMats, type Cv, type Gray, type Mat } from '../pictures';
import { bendOf, straightY, type InkPoints } from './bend';

/** A label as the reader of letters likes it: dark on even white, lines level, letters of the height that it learned. */
export interface TextSheet {
  readonly sheet: Gray;
  /** From one line to the next in the picture that came, pixels. */
  readonly pitch: number;
  /** Share of the picture that is burnt out to white. */
  readonly glare: number;
}

/** Height from line to line at which the reader of letters errs least, pixels (found on rendered labels). */
const BEST_PITCH = 56;
const MOST_SCALE = 4;
/** What is larger takes the reader of letters too long, pixels; a full label of small print has two million. */
const MOST_PIXELS = 4e6;
const LEAST_SCALE = 0.5;
/** Unsharp mask: blur of the lens that it answers, pixels of the picture that came, and how much (found on rendered labels). */
const SHARPENED_OVER = 1.5;
const SHARPENED = 2;
/** Ink is at least so much darker than its ground, share of it. */
const INK = 0.5;

/**
 * @param sharpened against a blurred picture; what is sharp already keeps thin strokes better without
 * @param pitch from line to line in the sheet, pixels
 */
export function textSheet(
  cv: Cv,
  gray: Gray,
  { sharpened, pitch = BEST_PITCH }: { readonly sharpened: boolean; readonly pitch?: number },
): TextSheet {
  return withMats((keep) => {
    const isLightOnDark = hasLightText(cv, gray);
    const even = keep(evened(cv, gray, isLightOnDark));
    const bend = bendOf(inkPoints(grayFrom(even)), gray.width, gray.height);
    const most = Math.sqrt(MOST_PIXELS / (gray.width * gray.height));
    const scale = Math.min(most, MOST_SCALE, Math.max(LEAST_SCALE, pitch / bend.pitch));
    const [width, height] = [Math.round(gray.width * scale), Math.round(gray.height * scale)];
    const [mapX, mapY] = [
      keep(new cv.Mat(height, width, cv.CV_32FC1)),
      keep(new cv.Mat(height, width, cv.CV_32FC1)),
    ];
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        mapX.data32F[y * width + x] = x / scale;
        mapY.data32F[y * width + x] = straightY(bend, x / scale, y / scale);
      }
    const level = keep(new cv.Mat());
    cv.remap(even, level, mapX, mapY, cv.INTER_CUBIC, cv.BORDER_CONSTANT, new cv.Scalar(255));
    if (sharpened) {
      const soft = keep(new cv.Mat());
      cv.GaussianBlur(level, soft, new cv.Size(0, 0), SHARPENED_OVER * scale);
      cv.addWeighted(level, 1 + SHARPENED, soft, -SHARPENED, 0, level);
    }
    return { sheet: grayFrom(level), pitch: bend.pitch, glare: glareOf(gray) };
  });
}

/** Burnt out: white without any grain, where no paper is. */
const BURNT = 254;

function glareOf({ data }: Gray): number {
  let burnt = 0;
  for (const value of data) if (value >= BURNT) burnt++;
  const share = burnt / data.length;
  // A picture that is white all over is a scan, not a lamp in the glaze.
  return share > 0.5 ? 0 : share;
}

/** Text is the smaller part: what stands out is lighter than its ground, or darker. */
function hasLightText(cv: Cv, gray: Gray): boolean {
  return withMats((keep) => {
    const from = keep(matOf(cv, gray));
    const ground = keep(new cv.Mat());
    cv.blur(from, ground, new cv.Size(41, 41));
    let cubes = 0;
    for (let at = 0; at < gray.data.length; at += 3)
      cubes += ((gray.data[at] ?? 0) - (ground.data[at] ?? 0)) ** 3;
    return cubes > 0;
  });
}

/** White of the ground once it is even. */
const WHITE = 245;
/** Text covers less than half of a window of this side, pixels: its median is the ground. */
const GROUND_WINDOW = 45;
/** Grain is blurred away by so many pixels: less than the stroke of the smallest letters that can be read. */
const GRAIN_BLUR = 0.7;
/** Grain may reach so many of its errors below white before it is taken for ink. */
const GRAIN_REACH = 2.5;

/** Divided by its ground, so that shadow and light fall away, and stretched so that grain is white and ink is black. */
function evened(cv: Cv, gray: Gray, isLightOnDark: boolean): Mat {
  return withMats((keep) => {
    const from = keep(matOf(cv, gray));
    if (isLightOnDark) cv.bitwise_not(from, from);
    const ground = keep(new cv.Mat());
    cv.medianBlur(from, ground, GROUND_WINDOW);
    cv.GaussianBlur(from, from, new cv.Size(0, 0), GRAIN_BLUR);
    const even = new cv.Mat();
    cv.divide(from, ground, even, WHITE);
    stretch(even.data);
    return even;
  });
}

/** In place. */
function stretch(data: Uint8Array): void {
  const counts = new Uint32Array(256);
  for (const value of data) counts[value] = (counts[value] ?? 0) + 1;
  const quantile = (share: number) => {
    let left = share * data.length;
    return counts.findIndex((count) => (left -= count) <= 0);
  };
  // Grain is what scatters above the white of the ground: nothing else does.
  const above = Math.max(1, quantile(0.9) - WHITE);
  const white = WHITE - (GRAIN_REACH / 1.28) * above;
  const black = Math.min(white - 20, quantile(0.01));
  for (let at = 0; at < data.length; at++)
    data[at] = Math.max(0, Math.min(255, (255 * ((data[at] ?? 0) - black)) / (white - black)));
}

const MOST_POINTS = 30_000;

/** Places of ink, thinned evenly to what is enough. */
function inkPoints({ width, height, data }: Gray): InkPoints {
  const edge = 255 * (1 - INK);
  const places: number[] = [];
  for (let at = 0; at < width * height; at++) if ((data[at] ?? 255) < edge) places.push(at);
  const step = Math.max(1, places.length / MOST_POINTS);
  const count = Math.floor(places.length / step);
  const xs = new Float32Array(count);
  const ys = new Float32Array(count);
  for (let index = 0; index < count; index++) {
    const at = places[Math.floor(index * step)] ?? 0;
    xs[index] = at % width;
    ys[index] = Math.floor(at / width);
  }
  return { xs, ys };
}
