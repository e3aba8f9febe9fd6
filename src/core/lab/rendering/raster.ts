import { createCanvas, ImageData, type Canvas } from '@napi-rs/canvas';
import { randomNormal } from 'd3-random';
import type { Picture, Point } from '../../vision/pictures';

/** Where a place of the new picture lies in the old one; null for outside. */
export type Placed = (x: number, y: number) => Point | null;

/** Another picture of the same size whose places are looked up in the first, between its pixels. */
export function warped({ width, height, data }: Picture, place: Placed, ground: readonly number[]): Picture {
  const made = new Uint8ClampedArray(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const from = place(x, y);
      const at = 4 * (y * width + x);
      made[at + 3] = 255;
      for (let channel = 0; channel < 3; channel++)
        made[at + channel] = from
          ? between(data, width, height, from, channel, ground[channel] ?? 0)
          : (ground[channel] ?? 0);
    }
  return { width, height, data: made };
}

function between(
  data: Uint8ClampedArray,
  width: number,
  height: number,
  { x, y }: Point,
  channel: number,
  outside: number,
): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  if (left < 0 || top < 0 || left >= width - 1 || top >= height - 1) return outside;
  const [right, down] = [x - left, y - top];
  const value = (column: number, row: number) => data[4 * (row * width + column) + channel] ?? 0;
  return (
    (1 - down) * ((1 - right) * value(left, top) + right * value(left + 1, top)) +
    down * ((1 - right) * value(left, top + 1) + right * value(left + 1, top + 1))
  );
}

/** Every pixel lightened or darkened by what its place gets of the light. */
export function lit(picture: Picture, light: (x: number, y: number) => number): Picture {
  const { width, height, data } = picture;
  const made = new Uint8ClampedArray(data);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const share = light(x, y);
      const at = 4 * (y * width + x);
      for (let channel = 0; channel < 3; channel++) made[at + channel] = (data[at + channel] ?? 0) * share;
    }
  return { width, height, data: made };
}

/** Grain of a camera. @param sd of 255 */
export function grainy(picture: Picture, sd: number, random: () => number): Picture {
  const grain = randomNormal.source(random)(0, sd);
  const data = new Uint8ClampedArray(picture.data);
  for (let at = 0; at < data.length; at += 4) {
    const shift = grain();
    for (let channel = 0; channel < 3; channel++)
      data[at + channel] = (picture.data[at + channel] ?? 0) + shift + grain() / 2;
  }
  return { ...picture, data };
}

/** Out of focus. @param radius pixels */
export function blurred(picture: Picture, radius: number): Picture {
  if (radius <= 0) return picture;
  const from = canvasOf(picture);
  const to = createCanvas(picture.width, picture.height);
  const context = to.getContext('2d');
  context.filter = `blur(${radius}px)`;
  context.drawImage(from, 0, 0);
  return pictureOf(to);
}

export function canvasOf({ width, height, data }: Picture) {
  const canvas = createCanvas(width, height);
  canvas.getContext('2d').putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return canvas;
}

export function pictureOf(canvas: Canvas): Picture {
  const { width, height } = canvas;
  return { width, height, data: canvas.getContext('2d').getImageData(0, 0, width, height).data };
}

/** The rectangle of a picture as it stands when its corners are somewhere else. @param corners from the upper left, with the clock */
export function throughCorners(
  width: number,
  height: number,
  corners: readonly [Point, Point, Point, Point],
): Placed {
  const inverse = inverted(
    homography(
      [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ],
      corners,
    ),
  );
  return (x, y) => {
    const [a, b, c, d, e, f, g, h, i] = inverse as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const w = g * x + h * y + i;
    return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
  };
}

/** Heckbert, Fundamentals of Texture Mapping (1989), section 2.2: the projective map that takes four points to four others. */
function homography(from: readonly Point[], to: readonly Point[]): number[] {
  const rows: number[][] = [];
  from.forEach(({ x, y }, index) => {
    const { x: u, y: v } = to[index] as Point;
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y, u], [0, 0, 0, x, y, 1, -v * x, -v * y, v]);
  });
  for (let column = 0; column < 8; column++) {
    const pivot = rows
      .slice(column)
      .reduce(
        (best, row, at) =>
          Math.abs(row[column] ?? 0) > Math.abs(rows[best]?.[column] ?? 0) ? at + column : best,
        column,
      );
    [rows[column], rows[pivot]] = [rows[pivot] as number[], rows[column] as number[]];
    const row = rows[column] as number[];
    const lead = row[column] ?? 1;
    for (let each = column; each < 9; each++) row[each] = (row[each] ?? 0) / lead;
    rows.forEach((other, at) => {
      if (at === column) return;
      const times = other[column] ?? 0;
      for (let each = column; each < 9; each++) other[each] = (other[each] ?? 0) - times * (row[each] ?? 0);
    });
  }
  return [...rows.map((row) => row[8] ?? 0), 1];
}

function inverted(matrix: readonly number[]): number[] {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0] = matrix;
  return [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
}

export const pngOf = (picture: Picture): Buffer => canvasOf(picture).toBuffer('image/png');
