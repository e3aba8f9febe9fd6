import { matOf, withMats, type Cv, type Gray, type Mat } from '../pictures';

/** Where thin lines run: 1, and 0 elsewhere; and how dark they are there. */
export interface Ridges {
  readonly width: number;
  readonly height: number;
  readonly mask: Uint8Array;
  /** Darker than the ground by so much, 0 to 255. */
  readonly depth: Uint8Array;
}

/** Scales at which lines are looked for, pixels: hairs of one to four pixels. */
const SCALES = [1.1, 2] as const;
/** The ground is the median of a window wider than any hair, pixels. */
const GROUND_WINDOW = 31;
/** A line begins where it stands out by so many errors of the grain, and goes on down to so many. */
const BEGINS = 7;
const GOES_ON = 3;
/** The same as shares of what the hairs of this sheet stand out by: their shadows do so less. */
const BEGINS_SHARE = 0.4;
const GOES_ON_SHARE = 0.2;
/** The ground changes by less than this within a window anywhere but at the edge of the paper or of another thing. */
const EDGE_STEP = 26;
/** Least that a line stands out at all, where there is no grain. */
const LEAST_RIDGE = 1.2;

/**
 * Lines by the second derivative across them (Lindeberg, Int. J. Computer Vision 30, 1998: ridges by the eigenvalues of the Hessian),
 * with hysteresis as in Canny's edges.
 * @param isOff places that do not count
 */
export function ridgesOf(cv: Cv, gray: Gray, isOff: (x: number, y: number) => boolean): Ridges {
  const { width, height } = gray;
  return withMats((keep) => {
    const from = keep(matOf(cv, gray));
    const ground = keep(new cv.Mat());
    cv.medianBlur(from, ground, GROUND_WINDOW);
    const lightHairs = areLight(gray, ground.data, isOff);
    const depth = keep(new cv.Mat());
    if (lightHairs) cv.subtract(from, ground, depth);
    else cv.subtract(ground, from, depth);
    const response = new Float32Array(width * height);
    const flat = keep(new cv.Mat());
    // Both ways, so that grain is noise around zero and not half of it cut off.
    cv.subtract(lightHairs ? from : ground, lightHairs ? ground : from, flat, new cv.Mat(), cv.CV_32F);
    for (const scale of SCALES) {
      const soft = keep(new cv.Mat());
      cv.GaussianBlur(flat, soft, new cv.Size(0, 0), scale);
      const [xx, yy, xy] = [keep(new cv.Mat()), keep(new cv.Mat()), keep(new cv.Mat())];
      cv.Sobel(soft, xx, cv.CV_32F, 2, 0, 3);
      cv.Sobel(soft, yy, cv.CV_32F, 0, 2, 3);
      cv.Sobel(soft, xy, cv.CV_32F, 1, 1, 3);
      addRidges(response, xx.data32F, yy.data32F, xy.data32F, scale ** 2 / 4);
    }
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        if (x < 4 || y < 4 || x >= width - 4 || y >= height - 4 || isOff(x, y)) response[y * width + x] = 0;
    blotEdges(cv, from, lightHairs, response);
    const noise = noiseOf(response);
    const least = Math.max(LEAST_RIDGE * 2, BEGINS * noise);
    const usual = usualOf(response, least);
    const begins = Math.max(least, BEGINS_SHARE * usual);
    return {
      width,
      height,
      mask: hysteresis(
        response,
        width,
        begins,
        Math.max(LEAST_RIDGE, GOES_ON * noise, GOES_ON_SHARE * usual),
      ),
      depth: new Uint8Array(depth.data),
    };
  });
}

/** Hairs are the smaller part: light on dark paper or dark on light. */
function areLight(
  { width, height, data }: Gray,
  ground: Uint8Array,
  isOff: (x: number, y: number) => boolean,
): boolean {
  let cubes = 0;
  for (let y = 8; y < height - 8; y += 2)
    for (let x = 8; x < width - 8; x += 2) {
      if (isOff(x, y)) continue;
      const at = y * width + x;
      cubes += ((data[at] ?? 0) - (ground[at] ?? 0)) ** 3;
    }
  return cubes > 0;
}

/** The larger of what was there and the curvature across the steepest way. */
function addRidges(
  response: Float32Array,
  xx: Float32Array,
  yy: Float32Array,
  xy: Float32Array,
  weight: number,
): void {
  for (let at = 0; at < response.length; at++) {
    const [a, b, c] = [xx[at] ?? 0, yy[at] ?? 0, xy[at] ?? 0];
    const across = -((a + b) / 2 - Math.sqrt(((a - b) / 2) ** 2 + c * c)) * weight;
    if (across > (response[at] ?? 0)) response[at] = across;
  }
}

/** Edges are looked for in a picture of a quarter of the size. */
const COARSE = 4;
/** Around an edge so much does not count, pixels. */
const EDGE_REACH = 26;

/** Nothing is a hair where the ground itself changes: at the edge of the paper, of a hand, of a table. */
function blotEdges(cv: Cv, from: Mat, lightHairs: boolean, response: Float32Array): void {
  withMats((keep) => {
    const square = (side: number) => keep(cv.getStructuringElement(cv.MORPH_RECT, new cv.Size(side, side)));
    const small = keep(new cv.Mat());
    cv.resize(from, small, new cv.Size(0, 0), 1 / COARSE, 1 / COARSE, cv.INTER_AREA);
    // What is cut by the rim of the picture goes on beyond it: a strip of table there is no thin line.
    const pad = GROUND_WINDOW;
    cv.copyMakeBorder(small, small, pad, pad, pad, pad, cv.BORDER_REPLICATE, new cv.Scalar());
    // Thin lines go, however dense they lie, and edges stay.
    const hair = square(Math.round(GROUND_WINDOW / COARSE) | 1);
    cv.morphologyEx(small, small, lightHairs ? cv.MORPH_OPEN : cv.MORPH_CLOSE, hair);
    cv.medianBlur(small, small, 3);
    cv.morphologyEx(small, small, cv.MORPH_GRADIENT, square(Math.round((2 * EDGE_REACH) / COARSE) | 1));
    const { cols, rows, data } = small;
    const place = (at: number, most: number) => Math.min(most - 1, Math.floor(at / COARSE) + pad);
    for (let at = 0; at < response.length; at++) {
      if ((response[at] ?? 0) === 0) continue;
      const column = place(at % from.cols, cols);
      const row = place(at / from.cols, rows);
      if ((data[row * cols + column] ?? 0) > EDGE_STEP) response[at] = 0;
    }
  });
}

/** Robust error of the grain: most of a sheet is paper. */
function noiseOf(response: Float32Array): number {
  const some: number[] = [];
  for (let at = 0; at < response.length; at += 37) if ((response[at] ?? 0) > 0) some.push(response[at] ?? 0);
  some.sort((a, b) => a - b);
  return (some[Math.floor(some.length / 2)] ?? 0) / 0.95;
}

/** What stands out at all does so by this, in the middle. */
function usualOf(response: Float32Array, least: number): number {
  const strong = response.filter((value) => value >= least).sort();
  return strong[Math.floor(strong.length / 2)] ?? least;
}

/** Whatever stands out enough, with all that goes on from it. */
function hysteresis(response: Float32Array, width: number, begins: number, goesOn: number): Uint8Array {
  const mask = new Uint8Array(response.length);
  const open: number[] = [];
  for (let at = 0; at < response.length; at++)
    if ((response[at] ?? 0) >= begins && mask[at] === 0) {
      mask[at] = 1;
      open.push(at);
      for (let next = open.pop(); next !== undefined; next = open.pop())
        for (let dy = -1; dy <= 1; dy++)
          for (let dx = -1; dx <= 1; dx++) {
            const beside = next + dy * width + dx;
            if (mask[beside] !== 0 || (response[beside] ?? 0) < goesOn) continue;
            mask[beside] = 1;
            open.push(beside);
          }
    }
  return mask;
}
