/**
 * Reads rendered labels and follows rendered hairs that nothing was tuned on, and prints what docs/vision.md says of them.
 * Usage: npm run bench:vision [-- labels sheets], 60 and 100 if nothing is said.
 */
import path from 'node:path';
import { tmpdir } from 'node:os';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { openPictures } from '../cli/pictures';
import { labelPicture, pngOf, sheetPicture } from '../src/core/lab/rendering';

/** Seeds below were looked at while the constants were found. */
const FIRST = { label: 1001, sheet: 1001 } as const;
const [labels = 60, sheets = 100] = process.argv.slice(2).map(Number);
const folder = mkdtempSync(path.join(tmpdir(), 'vision-'));
const { readFile, measureFile, end } = await openPictures();
const fileOf = (png: Buffer) => {
  const file = path.join(folder, 'picture.png');
  writeFileSync(file, png);
  return file;
};
const quantile = (values: readonly number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? 0;
const percent = (part: number, whole: number) => `${((100 * part) / Math.max(1, whole)).toFixed(1)} %`;

const read = { names: 0, right: 0, accepted: 0, acceptedWrong: 0, askedWrong: 0, ms: [] as number[] };
for (let seed = FIRST.label; seed < FIRST.label + labels; seed++) {
  const { picture, names } = labelPicture(seed);
  const file = fileOf(pngOf(picture));
  const began = performance.now();
  const found = (await readFile(file)).names.filter(({ fate }) => fate !== 'struck');
  read.ms.push(performance.now() - began);
  read.names += names.length;
  read.right += names.filter((name) => found.some((each) => each.name === name)).length;
  for (const { name, fate } of found) {
    const isWrong = !names.includes(name);
    if (fate === 'accepted') read.accepted++;
    if (isWrong && fate === 'accepted') read.acceptedWrong++;
    if (isWrong && fate === 'asked') read.askedWrong++;
  }
}
console.log(
  `${labels} labels, ${read.names} names: ${percent(read.right, read.names)} right; ${read.accepted} taken without asking, ${read.acceptedWrong} of them wrong; asked about and wrong: ${read.askedWrong}; ${Math.round(quantile(read.ms, 0.5))} ms each, ${Math.round(quantile(read.ms, 0.95))} at most in 19 of 20`,
);

interface Sheet {
  readonly isClose: boolean;
  readonly isSure: boolean;
  readonly total: number;
  readonly each: number;
  readonly broken: number;
}
const followed: Sheet[] = [];
const times: number[] = [];
let noCard = 0;
for (let seed = FIRST.sheet; seed < FIRST.sheet + sheets; seed++) {
  const { picture, hairs } = sheetPicture(seed);
  const file = fileOf(pngOf(picture));
  const began = performance.now();
  const found = await measureFile(file);
  times.push(performance.now() - began);
  if (found.troubles.includes('no-card')) noCard++;
  const lengths = (list: readonly { readonly lengthMm: number }[]) =>
    list.map(({ lengthMm }) => lengthMm).sort((a, b) => b - a);
  const [drawn, measured] = [lengths(hairs), lengths(found.hairs)];
  const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
  const broken = found.hairs.filter(({ kind }) => kind === 'broken').length;
  followed.push({
    isClose: Math.abs(found.hairs.length - hairs.length) <= Math.max(0.5, 0.1 * hairs.length),
    isSure: found.troubles.length === 0,
    total: Math.abs(sum(measured) / sum(drawn) - 1),
    each: sum(drawn.map((length, at) => Math.abs((measured[at] ?? 0) - length))) / sum(drawn),
    broken: Math.abs(broken - hairs.filter(({ hasRoot }) => !hasRoot).length),
  });
}
for (const [name, some] of [
  ['all', followed],
  ['taken', followed.filter(({ isSure }) => isSure)],
  ['“too tangled” or no card', followed.filter(({ isSure }) => !isSure)],
] as const) {
  const share = (is: (sheet: Sheet) => boolean) => percent(some.filter(is).length, some.length);
  console.log(
    `${some.length} sheets (${name}): count within a tenth ${share(({ isClose }) => isClose)}; total length within 8 % ${share(({ total }) => total <= 0.08)}; length by length within 8 % ${share(({ each }) => each <= 0.08)}; broken counted wrong by ${(some.reduce((all, { broken }) => all + broken, 0) / Math.max(1, some.length)).toFixed(1)}`,
  );
}
console.log(
  `no card seen on ${noCard}; ${Math.round(quantile(times, 0.5))} ms each, ${Math.round(quantile(times, 0.95))} at most in 19 of 20`,
);
/** Balls beside single hairs, on seeds that nothing was tuned on. */
const BALLS = { from: 1401, count: 60, single: 8, most: 150 } as const;
const balls = { found: 0, counted: 0, within: 0, error: [] as number[], wide: [] as number[] };
for (let seed = BALLS.from; seed < BALLS.from + BALLS.count; seed++) {
  const { picture, inBall } = sheetPicture(seed, BALLS.single, BALLS.most);
  const found = await measureFile(fileOf(pngOf(picture)));
  if (found.balls.length === 1) balls.found++;
  const count = found.balls[0]?.hairs;
  if (!count) continue;
  balls.counted++;
  if (count.low <= inBall && inBall <= count.high) balls.within++;
  balls.error.push(Math.abs(Math.log(count.middle / inBall)));
  balls.wide.push(count.high / count.low);
}
console.log(
  `${BALLS.count} balls: ${percent(balls.found, BALLS.count)} found as one, ${balls.counted} counted; the truth within what was said ${percent(balls.within, balls.counted)}; off by a factor of ${Math.exp(quantile(balls.error, 0.5)).toFixed(2)} in the middle, said from one to ${quantile(balls.wide, 0.5).toFixed(1)} times as many`,
);
await end();
rmSync(folder, { recursive: true });
process.exit(0);
