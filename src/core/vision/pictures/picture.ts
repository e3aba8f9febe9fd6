import type cvModule from '@techstark/opencv-js';

/** The image library, loaded by whoever has a picture: 8 MB, fetched when it is used. */
export type Cv = typeof cvModule;
export type Mat = cvModule.Mat;

/** Eight bits a channel: red, green, blue, opacity. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The corners of something with four sides, from its upper left with the clock. */
export type Corners = readonly [Point, Point, Point, Point];

/** A picture of one channel, 0 black to 255 white. */
export interface Gray {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

/** Work with matrices of the image library; what `keep` was given is freed at the end, whatever happens. */
export function withMats<T>(work: (keep: <M extends { delete(): void }>(mat: M) => M) => T): T {
  const kept: { delete(): void }[] = [];
  try {
    return work((mat) => {
      kept.push(mat);
      return mat;
    });
  } finally {
    for (const mat of kept) mat.delete();
  }
}

/** Luma of a picture, no larger than asked. @param longest side, pixels */
export function grayOf(cv: Cv, { width, height, data }: Picture, longest: number): Gray {
  return withMats((keep) => {
    const colour = keep(new cv.Mat(height, width, cv.CV_8UC4));
    colour.data.set(data);
    const gray = keep(new cv.Mat());
    cv.cvtColor(colour, gray, cv.COLOR_RGBA2GRAY);
    const scale = Math.min(1, longest / Math.max(width, height));
    if (scale < 1) cv.resize(gray, gray, new cv.Size(0, 0), scale, scale, cv.INTER_AREA);
    return grayFrom(gray);
  });
}

export const grayFrom = (mat: Mat): Gray => ({
  width: mat.cols,
  height: mat.rows,
  data: new Uint8Array(mat.data),
});

export function matOf(cv: Cv, { width, height, data }: Gray): Mat {
  const mat = new cv.Mat(height, width, cv.CV_8UC1);
  mat.data.set(data);
  return mat;
}

/** The map that takes four corners to those of a rectangle of this size; to be freed. */
export function ontoRectangle(cv: Cv, corners: Corners, width: number, height: number): Mat {
  return withMats((keep) => {
    const points = (all: readonly number[]) => keep(cv.matFromArray(4, 1, cv.CV_32FC2, [...all]));
    const from = points(corners.flatMap(({ x, y }) => [x, y]));
    return cv.getPerspectiveTransform(from, points([0, 0, width, 0, width, height, 0, height]));
  });
}

/** The part of a picture between four corners, drawn as the rectangle it is. */
export function straightened(cv: Cv, picture: Picture, corners: Corners): Picture {
  const [a, b, c, d] = corners;
  const width = Math.max(1, Math.round(Math.max(distance(a, b), distance(d, c))));
  const height = Math.max(1, Math.round(Math.max(distance(b, c), distance(a, d))));
  return withMats((keep) => {
    const colour = keep(new cv.Mat(picture.height, picture.width, cv.CV_8UC4));
    colour.data.set(picture.data);
    const map = keep(ontoRectangle(cv, corners, width, height));
    const made = keep(new cv.Mat());
    cv.warpPerspective(
      colour,
      made,
      map,
      new cv.Size(width, height),
      cv.INTER_LINEAR,
      cv.BORDER_REPLICATE,
      new cv.Scalar(),
    );
    return { width, height, data: new Uint8ClampedArray(made.data) };
  });
}

export const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
