import { createCanvas } from '@napi-rs/canvas';
import type { Picture } from '../../vision/pictures';
import { blurred, pictureOf } from './raster';

const WIDTH = 1100;
const LINE = 46;
const MARGIN = 60;

/** A printed page of some lines, a little tilted and out of focus. @param tilt radians */
export function pagePicture(lines: readonly string[], tilt: number, blur: number): Picture {
  const height = 2 * MARGIN + (lines.length + 1) * LINE;
  const canvas = createCanvas(WIDTH, height);
  const context = canvas.getContext('2d');
  context.fillStyle = '#f4efe6';
  context.fillRect(0, 0, WIDTH, height);
  context.translate(WIDTH / 2, height / 2);
  context.rotate(tilt);
  context.translate(-WIDTH / 2, -height / 2);
  context.fillStyle = '#2a2522';
  context.font = '30px serif';
  lines.forEach((line, at) => context.fillText(line, MARGIN, MARGIN + (at + 1) * LINE));
  return blurred(pictureOf(canvas), blur);
}
