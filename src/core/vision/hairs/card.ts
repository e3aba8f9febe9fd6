import { sum } from '../../base/measures';
import {
  distance,
  ontoRectangle,
  withMats,
  type Corners,
  type Cv,
  type Mat,
  type Picture,
  type Point,
} from '../pictures';

/** Size of a bank card: ISO/IEC 7810, ID-1, mm. */
export const CARD_MM = { width: 85.6, height: 53.98 } as const;

/** Whether a shape is a card's: sides as these, seen a little from the side. */
const ASPECT = { low: 1.42, high: 1.75 } as const;
/** A card takes at least and at most so much of the picture. */
const AREA = { least: 0.008, most: 0.3 } as const;
/** Of its outline, a card fills so much. */
const LEAST_FILLED = 0.93;
/** Thresholds of the edges, and how far the picture is blurred before: faint ones are looked for only where no clear ones are a card's. */
const EDGES = [
  { blur: 2, low: 25, high: 70 },
  { blur: 2.5, low: 8, high: 22 },
  { blur: 4, low: 4, high: 11 },
] as const;

/** The corners of the bank card in a picture, a longer side first; null where none is seen. */
export function findCard(cv: Cv, picture: Picture): Corners | null {
  for (const way of EDGES) {
    const corners = cardAmong(cv, picture, way);
    if (corners) return corners;
  }
  return null;
}

function cardAmong(cv: Cv, picture: Picture, way: (typeof EDGES)[number]): Corners | null {
  return withMats((keep) => {
    const colour = keep(new cv.Mat(picture.height, picture.width, cv.CV_8UC4));
    colour.data.set(picture.data);
    const edges = keep(edgesOf(cv, colour, way));
    const contours = keep(new cv.MatVector());
    const hierarchy = keep(new cv.Mat());
    cv.findContours(edges, contours, hierarchy, cv.RETR_LIST, cv.CHAIN_APPROX_NONE);
    const all = picture.width * picture.height;
    let best: { corners: Corners; misfit: number } | null = null;
    for (let index = 0; index < contours.size(); index++) {
      const contour = keep(contours.get(index));
      if (contour.rows < 100) continue;
      const hull = keep(new cv.Mat());
      cv.convexHull(contour, hull);
      const area = cv.contourArea(hull);
      if (area < AREA.least * all || area > AREA.most * all) continue;
      const corners = fourSides(cv, hull, contour);
      if (!corners) continue;
      const filled = area / areaOf(corners);
      const aspect = aspectOf(corners);
      if (filled < LEAST_FILLED || filled > 1.05 || aspect < ASPECT.low || aspect > ASPECT.high) continue;
      const misfit = Math.abs(1 - filled) + Math.abs(aspect / (CARD_MM.width / CARD_MM.height) - 1);
      if (!best || misfit < best.misfit) best = { corners, misfit };
    }
    return best?.corners ?? null;
  });
}

/** Edges in any of the colours: a card may be as light as the paper. */
function edgesOf(cv: Cv, colour: Mat, { blur, low, high }: (typeof EDGES)[number]): Mat {
  return withMats((keep) => {
    const channels = keep(new cv.MatVector());
    cv.split(colour, channels);
    const edges = cv.Mat.zeros(colour.rows, colour.cols, cv.CV_8UC1);
    for (let channel = 0; channel < 3; channel++) {
      const one = keep(channels.get(channel));
      const soft = keep(new cv.Mat());
      cv.GaussianBlur(one, soft, new cv.Size(0, 0), blur);
      const found = keep(new cv.Mat());
      cv.Canny(soft, found, low, high);
      cv.bitwise_or(edges, found, edges);
    }
    const brush = keep(cv.getStructuringElement(cv.MORPH_RECT, new cv.Size(3, 3)));
    cv.morphologyEx(edges, edges, cv.MORPH_CLOSE, brush);
    return edges;
  });
}

/** Four lines through the middles of the sides, so that round corners do not count; null where it has no four sides. */
function fourSides(cv: Cv, hull: Mat, contour: Mat): Corners | null {
  const rough = withMats((keep) => {
    const few = keep(new cv.Mat());
    cv.approxPolyDP(hull, few, 0.03 * cv.arcLength(hull, true), true);
    return few.rows === 4 ? pointsOf(few) : null;
  });
  if (!rough) return null;
  const outline = pointsOf(contour);
  const lines = rough.map((from, at) => sideLine(outline, from, rough[(at + 1) % 4] as Point));
  const corners = lines.map((line, at) => meeting(lines[(at + 3) % 4] ?? null, line));
  if (corners.some((corner) => corner === null)) return null;
  return longFirst(corners as Point[]);
}

function pointsOf(mat: Mat): Point[] {
  return Array.from({ length: mat.rows }, (_, row) => ({
    x: mat.data32S[2 * row] ?? 0,
    y: mat.data32S[2 * row + 1] ?? 0,
  }));
}

interface Line {
  readonly middle: Point;
  readonly along: Point;
}

/** Total least squares through what of the outline lies along the middle of a side. */
function sideLine(outline: readonly Point[], from: Point, to: Point): Line | null {
  const length = distance(from, to);
  if (length < 20) return null;
  const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  const near = outline.filter((point) => {
    const share = ((point.x - from.x) * along.x + (point.y - from.y) * along.y) / length;
    const aside = Math.abs((point.x - from.x) * along.y - (point.y - from.y) * along.x);
    return share > 0.15 && share < 0.85 && aside < 0.03 * length + 3;
  });
  if (near.length < 0.3 * length) return null;
  const middle = {
    x: sum(near.map(({ x }) => x)) / near.length,
    y: sum(near.map(({ y }) => y)) / near.length,
  };
  const [xx, xy, yy] = [0, 0, 0].map((_, part) =>
    sum(
      near.map((point) => {
        const [dx, dy] = [point.x - middle.x, point.y - middle.y];
        return part === 0 ? dx * dx : part === 1 ? dx * dy : dy * dy;
      }),
    ),
  ) as [number, number, number];
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return { middle, along: { x: Math.cos(angle), y: Math.sin(angle) } };
}

function meeting(one: Line | null, other: Line | null): Point | null {
  if (!one || !other) return null;
  const cross = one.along.x * other.along.y - one.along.y * other.along.x;
  if (Math.abs(cross) < 0.2) return null;
  const [dx, dy] = [other.middle.x - one.middle.x, other.middle.y - one.middle.y];
  const t = (dx * other.along.y - dy * other.along.x) / cross;
  return { x: one.middle.x + t * one.along.x, y: one.middle.y + t * one.along.y };
}

/** With the clock from a corner from which a longer side goes on. */
function longFirst(corners: readonly Point[]): Corners {
  const turned = signedArea(corners) < 0 ? [...corners].reverse() : [...corners];
  const [a, b, c, d] = turned as [Point, Point, Point, Point];
  return distance(a, b) + distance(c, d) >= distance(b, c) + distance(d, a) ? [a, b, c, d] : [b, c, d, a];
}

function signedArea(corners: readonly Point[]): number {
  return (
    sum(
      corners.map((point, at) => {
        const next = corners[(at + 1) % corners.length] as Point;
        return point.x * next.y - next.x * point.y;
      }),
    ) / 2
  );
}

const areaOf = (corners: Corners) => Math.abs(signedArea(corners));

function aspectOf([a, b, c, d]: Corners): number {
  return (distance(a, b) + distance(c, d)) / (distance(b, c) + distance(d, a));
}

/** Places of a picture on the flat sheet, mm, by the card that lies on it. */
export function onSheet(cv: Cv, corners: Corners): (point: Point) => Point {
  const { width, height } = CARD_MM;
  const m = withMats((keep) => Array.from(keep(ontoRectangle(cv, corners, width, height)).data64F));
  const [a = 1, b = 0, c = 0, d = 0, e = 1, f = 0, g = 0, h = 0, i = 1] = m;
  return ({ x, y }) => {
    const w = g * x + h * y + i;
    return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
  };
}
