import { createCanvas } from '@napi-rs/canvas';
import { randomInt, randomLcg, randomNormal, randomUniform } from 'd3-random';
import type { Picture, Point } from '../../vision/pictures';
import { blurred, grainy, lit, pictureOf, throughCorners, warped } from './raster';

/** One hair as it lies on the sheet. */
export interface DrawnHair {
  readonly lengthMm: number;
  readonly hasRoot: boolean;
  /** Along it, mm of the sheet. */
  readonly line: readonly Point[];
}

/** A photo of the hairs of a wash on a sheet of paper, a bank card beside them, and what lies there. */
export interface SheetPicture {
  readonly picture: Picture;
  readonly hairs: readonly DrawnHair[];
  /** Hairs in the ball that lies there, too; 0 where there is none. */
  readonly inBall: number;
  readonly how: SheetTrouble;
}

interface SheetTrouble {
  readonly count: number;
  readonly curl: 'straight' | 'wavy' | 'curly';
  readonly paper: string;
  readonly shadow: boolean;
  readonly grain: number;
  readonly blur: number;
  readonly tilt: number;
}

const PX_PER_MM = 6;
const SHEET = { width: 230, height: 290 } as const;
/** ISO/IEC 7810 ID-1, mm. */
const CARD = { width: 85.6, height: 53.98, round: 3.18 } as const;
/** Room for the card at the upper edge, mm. */
const CARD_PLACE = { left: 12, top: 10, margin: 6 } as const;
const PAPERS = {
  white: ['#f4f2ec', '#2a2320'],
  grey: ['#c9c8c4', '#241d1a'],
  blue: ['#b9cbdd', '#2c211c'],
  pink: ['#e8c9c8', '#33261f'],
  kraft: ['#cdb491', '#1d1714'],
  dark: ['#3a3d44', '#d9cfbe'],
} as const;
/** Waves: how much the heading turns, radians a mm, and over how many mm it swings. */
const CURLS = {
  straight: { turn: 0.004, every: 90 },
  wavy: { turn: 0.035, every: 45 },
  curly: { turn: 0.09, every: 60 },
} as const;

const BROKEN_SHARE = 0.45;

/** @param seed the same seed gives the same picture; @param most hairs laid apart @param mostInBall hairs in a ball beside them */
export function sheetPicture(seed: number, most = 60, mostInBall = 0): SheetPicture {
  const random = randomLcg((seed * 0.618034 + 0.37) % 1);
  const int = (low: number, high: number) => randomInt.source(random)(low, high + 1)();
  const real = (low: number, high: number) => randomUniform.source(random)(low, high)();
  const pick = <T>(from: readonly T[]): T => from[int(0, from.length - 1)] as T;
  const curl = pick(['straight', 'wavy', 'curly'] as const);
  const paper = pick(Object.keys(PAPERS) as (keyof typeof PAPERS)[]);
  const how: SheetTrouble = {
    count: int(5, most),
    curl,
    paper,
    shadow: random() < 0.5,
    grain: pick([1, 3, 6]),
    blur: pick([0, 0.5, 0.8]),
    tilt: real(0, 0.05),
  };
  const [ground, hair] = PAPERS[paper];
  const canvas = createCanvas(SHEET.width * PX_PER_MM, SHEET.height * PX_PER_MM);
  const context = canvas.getContext('2d');
  context.fillStyle = ground;
  context.fillRect(0, 0, canvas.width, canvas.height);
  drawCard(context, pick(['#2f6f8f', '#b33a4b', '#e9e4d8', '#444b57', '#d8a23a']), real(-0.06, 0.06));
  const full = real(110, 240);
  const lengthOf = (isBroken: boolean) => (isBroken ? real(12, 0.45 * full) : real(0.85 * full, 1.1 * full));
  const hairs = Array.from({ length: how.count }, (): DrawnHair => {
    const isBroken = random() < BROKEN_SHARE;
    const lengthMm = lengthOf(isBroken);
    return { ...laid(lengthMm, CURLS[curl], random), hasRoot: !isBroken };
  });
  const inBall = mostInBall === 0 ? 0 : int(8, mostInBall);
  const ballMm = inBall === 0 ? 0 : real(6, 14) * (inBall / 50) ** 0.4 * 2;
  const ball = Array.from({ length: inBall }, () => {
    const lengthMm = lengthOf(random() < BROKEN_SHARE);
    return { line: wound(lengthMm, ballMm / 2, random), hasRoot: false };
  });
  context.lineCap = 'round';
  context.lineJoin = 'round';
  for (const { line, hasRoot } of [...hairs, ...ball]) {
    const width = real(1.1, 2.2);
    const path = (dx: number, dy: number) => {
      context.beginPath();
      line.forEach(({ x, y }, at) =>
        at === 0
          ? context.moveTo(x * PX_PER_MM + dx, y * PX_PER_MM + dy)
          : context.lineTo(x * PX_PER_MM + dx, y * PX_PER_MM + dy),
      );
      context.stroke();
    };
    if (how.shadow) {
      context.strokeStyle = 'rgba(0,0,0,0.07)';
      context.lineWidth = width + 2.5;
      path(3, 3);
    }
    context.strokeStyle = hair;
    context.lineWidth = width;
    path(0, 0);
    const [root] = line;
    if (hasRoot && root) {
      context.fillStyle = hair;
      context.beginPath();
      context.ellipse(root.x * PX_PER_MM, root.y * PX_PER_MM, 3.6, 2.6, real(0, 3), 0, 7);
      context.fill();
    }
  }
  const flat = pictureOf(canvas);
  const { width, height } = flat;
  const off = () => ({ x: real(0, how.tilt) * width, y: real(0, how.tilt) * height });
  const [a, b, c, d] = [off(), off(), off(), off()];
  const seen = warped(
    flat,
    throughCorners(width, height, [
      { x: a.x, y: a.y },
      { x: width - b.x, y: b.y },
      { x: width - c.x, y: height - c.y },
      { x: d.x, y: height - d.y },
    ]),
    [120, 100, 80],
  );
  const from = real(0.3, 0.8);
  const shaded = how.shadow
    ? lit(seen, (x, y) => 1 - 0.3 / (1 + Math.exp(-(x / width + 0.4 * (y / height) - from) * 9)))
    : seen;
  return { picture: grainy(blurred(shaded, how.blur), how.grain, random), hairs, inBall, how };
}

function drawCard(
  context: ReturnType<ReturnType<typeof createCanvas>['getContext']>,
  colour: string,
  turn: number,
) {
  context.save();
  context.translate(
    (CARD_PLACE.left + CARD.width / 2) * PX_PER_MM,
    (CARD_PLACE.top + CARD.height / 2) * PX_PER_MM,
  );
  context.rotate(turn);
  const [w, h] = [CARD.width * PX_PER_MM, CARD.height * PX_PER_MM];
  context.fillStyle = colour;
  context.beginPath();
  context.roundRect(-w / 2, -h / 2, w, h, CARD.round * PX_PER_MM);
  context.fill();
  context.fillStyle = 'rgba(255,255,255,0.65)';
  context.fillRect(-w / 2 + 40, -20, 70, 55);
  context.fillStyle = 'rgba(20,20,20,0.7)';
  for (let group = 0; group < 4; group++) context.fillRect(-w / 2 + 40 + group * 110, 70, 85, 14);
  context.restore();
}

/** A line of a length that stays on the sheet and off the card. */
function laid(lengthMm: number, { turn, every }: { turn: number; every: number }, random: () => number) {
  const normal = randomNormal.source(random)();
  for (let attempt = 0; ; attempt++) {
    const line = wandering(lengthMm, turn, every, random, normal);
    if (attempt > 400 || line.every(isFree)) return { lengthMm, line };
  }
}

const STEP_MM = 0.5;

function wandering(
  lengthMm: number,
  turn: number,
  every: number,
  random: () => number,
  normal: () => number,
): Point[] {
  let [x, y] = [8 + random() * (SHEET.width - 16), 8 + random() * (SHEET.height - 16)];
  let heading = random() * 2 * Math.PI;
  const phase = random() * 2 * Math.PI;
  const lean = 0.4 * turn * normal();
  const steps = Math.round(lengthMm / STEP_MM);
  const line: Point[] = [{ x, y }];
  for (let at = 1; at <= steps; at++) {
    heading += STEP_MM * (turn * Math.sin(phase + (2 * Math.PI * at * STEP_MM) / every) + lean);
    x += STEP_MM * Math.cos(heading);
    y += STEP_MM * Math.sin(heading);
    line.push({ x, y });
  }
  return line;
}

/** Where the ball lies, mm: at the lower right, off the card. */
const BALL_AT = { x: 170, y: 225 } as const;

/** A hair that winds about within a circle. */
function wound(lengthMm: number, radius: number, random: () => number): Point[] {
  const normal = randomNormal.source(random)();
  const start = radius * Math.sqrt(random());
  const from = random() * 2 * Math.PI;
  let [x, y] = [start * Math.cos(from), start * Math.sin(from)];
  let heading = random() * 2 * Math.PI;
  const line: Point[] = [];
  for (let at = 0; at <= lengthMm / STEP_MM; at++) {
    line.push({ x: BALL_AT.x + x, y: BALL_AT.y + y });
    heading += 0.12 * normal();
    // Turned back towards the middle the more, the farther out it is.
    const out = Math.hypot(x, y) / radius;
    if (out > 0.6) heading += 0.5 * (out - 0.6) * Math.sin(Math.atan2(-y, -x) - heading);
    x += STEP_MM * Math.cos(heading);
    y += STEP_MM * Math.sin(heading);
  }
  return line;
}

function isFree({ x, y }: Point): boolean {
  const inSheet = x > 14 && y > 14 && x < SHEET.width - 14 && y < SHEET.height - 14;
  const { left, top, margin } = CARD_PLACE;
  return inSheet && !(x < left + CARD.width + margin && y < top + CARD.height + margin);
}
