import path from 'node:path';
import { createCanvas, GlobalFonts } from '@napi-rs/canvas';
import { randomInt, randomLcg, randomUniform } from 'd3-random';
import names from '../../../../data/labels/names.json';
import type { Picture } from '../../vision/pictures';
import { blurred, grainy, lit, pictureOf, throughCorners, warped } from './raster';

/** A photo of an ingredient list, and what stands on it. */
export interface LabelPicture {
  readonly picture: Picture;
  /** In the order of the label, in small letters. */
  readonly names: readonly string[];
  /** What was done to it. */
  readonly how: LabelTrouble;
}

export interface LabelTrouble {
  readonly font: string;
  /** Height of the letters, pixels. */
  readonly size: number;
  readonly degrees: number;
  readonly blur: number;
  /** Half the angle that the bottle shows of its round, radians; 0 for a flat label. */
  readonly round: number;
  readonly shadow: boolean;
  readonly grain: number;
  readonly dark: boolean;
  readonly written: 'Title' | 'UPPER' | 'lower';
}

const FONTS = {
  Roboto: '@fontsource/roboto/files/roboto-latin-400-normal.woff2',
  RobotoCondensed: '@fontsource/roboto-condensed/files/roboto-condensed-latin-400-normal.woff2',
  Garamond: '@fontsource/eb-garamond/files/eb-garamond-latin-500-normal.woff2',
  Montserrat: '@fontsource/montserrat/files/montserrat-latin-500-normal.woff2',
} as const;
for (const [name, file] of Object.entries(FONTS))
  GlobalFonts.registerFromPath(path.resolve('node_modules', file), name);

/** What every label begins with, and what most end with. */
const FIRST = ['aqua', 'water', 'aqua/water/eau', 'aqua (water)'];
const BODY = [
  'cetearyl alcohol',
  'glycerin',
  'behentrimonium chloride',
  'cetrimonium chloride',
  'cocos nucifera oil',
  'dimethicone',
  'panthenol',
];
const LAST = [
  'phenoxyethanol',
  'sodium benzoate',
  'potassium sorbate',
  'citric acid',
  'parfum',
  'ethylhexylglycerin',
];
const ALLERGENS = [
  'limonene',
  'linalool',
  'citronellol',
  'geraniol',
  'hexyl cinnamal',
  'coumarin',
  'benzyl salicylate',
];
const HEADS = [
  'Ingredients:',
  'INGREDIENTS/INGRÉDIENTS:',
  'Ingredients (INCI):',
  'Ingredientes:',
  'Ingredients/Inhaltsstoffe:',
];
const CONTAINS = ['', '', 'Contains/Contient/Enthält: '];
const WIDTH = 1000;
const MARGIN = 70;
const LINE = 1.35;

/** @param seed the same seed gives the same picture */
export function labelPicture(seed: number): LabelPicture {
  const random = randomLcg((seed * 0.618034) % 1);
  const int = (low: number, high: number) => randomInt.source(random)(low, high + 1)();
  const real = (low: number, high: number) => randomUniform.source(random)(low, high)();
  const pick = <T>(from: readonly T[]): T => from[int(0, from.length - 1)] as T;
  const some = (from: readonly string[], count: number) =>
    [...from]
      .map((name) => ({ name, at: random() }))
      .sort((a, b) => a.at - b.at)
      .slice(0, count)
      .map(({ name }) => name);
  const chosen = [
    pick(FIRST),
    ...some(BODY, int(2, 5)),
    ...some(names, int(4, 16)),
    ...some(LAST, int(2, 4)),
    ...some(ALLERGENS, int(0, 4)),
  ];
  const list = [...new Set(chosen)];
  const how: LabelTrouble = {
    font: pick(Object.keys(FONTS)),
    size: int(15, 27),
    degrees: real(-6, 6),
    blur: pick([0, 0.6, 1, 1.4]),
    round: pick([0, 0, 0.5, 0.8]),
    shadow: random() < 0.4,
    grain: pick([2, 6, 10]),
    dark: random() < 0.2,
    written: pick(['Title', 'UPPER', 'lower', 'Title']),
  };
  const flat = printed(list, how, pick(HEADS), pick(CONTAINS));
  const { width, height } = flat;
  const ground = how.dark ? [35, 32, 40] : [238, 236, 230];
  const onBottle = how.round === 0 ? flat : warped(flat, aroundBottle(width, how.round), ground);
  const tilt = (how.degrees * Math.PI) / 180;
  const turned = (x: number, y: number) => ({
    x:
      width / 2 +
      (x - width / 2) * Math.cos(tilt) -
      (y - height / 2) * Math.sin(tilt) +
      real(-0.02, 0.02) * width,
    y:
      height / 2 +
      (x - width / 2) * Math.sin(tilt) +
      (y - height / 2) * Math.cos(tilt) +
      real(-0.02, 0.02) * height,
  });
  const seen = warped(
    onBottle,
    throughCorners(width, height, [turned(0, 0), turned(width, 0), turned(width, height), turned(0, height)]),
    ground,
  );
  const from = real(0.2, 0.8);
  const dim = real(0.45, 0.7);
  const shaded = how.shadow
    ? lit(seen, (x) => 1 - (1 - dim) / (1 + Math.exp(-(x / width - from) * 14)))
    : seen;
  return { picture: grainy(blurred(shaded, how.blur), how.grain, random), names: list, how };
}

function printed(list: readonly string[], how: LabelTrouble, head: string, contains: string): Picture {
  const measure = createCanvas(10, 10).getContext('2d');
  measure.font = `${how.size}px ${how.font}`;
  const written = list.map(
    (name, index) => `${cased(name, how.written)}${index === list.length - 1 ? '.' : ','}`,
  );
  const firstAllergen = list.findIndex((name) => ALLERGENS.includes(name));
  const words = written.flatMap((name, index) =>
    (contains && index === firstAllergen ? `${contains}${name}` : name).split(' '),
  );
  const lines: string[] = [];
  let line = head;
  for (const word of words) {
    const longer = `${line} ${word}`;
    if (measure.measureText(longer).width > WIDTH - 2 * MARGIN) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  lines.push(line);
  const height = Math.ceil(2 * MARGIN + lines.length * how.size * LINE + 60);
  const canvas = createCanvas(WIDTH, height);
  const context = canvas.getContext('2d');
  context.fillStyle = how.dark ? '#232028' : '#eeece6';
  context.fillRect(0, 0, WIDTH, height);
  context.font = measure.font;
  context.fillStyle = how.dark ? '#e8e2d8' : '#2b2622';
  lines.forEach((text, index) => context.fillText(text, MARGIN, MARGIN + 30 + index * how.size * LINE));
  return pictureOf(canvas);
}

function cased(name: string, how: LabelTrouble['written']): string {
  if (how === 'lower') return name;
  if (how === 'UPPER') return name.toUpperCase();
  return name.replace(
    /(^|[\s/(-])([a-z])/g,
    (_, before: string, letter: string) => before + letter.toUpperCase(),
  );
}

/** A flat label as it lies on a round bottle, seen from the front. */
function aroundBottle(width: number, half: number) {
  return (x: number, y: number) => {
    const across = (2 * x) / width - 1;
    const angle = Math.asin(Math.max(-1, Math.min(1, across * Math.sin(half))));
    const bend = 14 * (Math.cos(angle) - Math.cos(half));
    return { x: ((angle / half + 1) * width) / 2, y: y - bend };
  };
}
