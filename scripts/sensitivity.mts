/**
 * What the answers depend on: each constant of the verdict halved and doubled, over the recipes that docs/model.md argues; each constant
 * of the filter halved and doubled, over seeded heads whose truth stays as it is. Prints the tables that docs/model.md carries.
 * Arguments: heads (default 24), first seed (default 7001).
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { SIGNALS } from '../src/core/hair/state';
import { calibrated, WORLDS } from '../src/core/lab/calibration';
import { modelRows, verdictOf } from '../src/core/lab/testing';
import { AVAILABILITY, HALF_LOAD, KIND_EDGES, SOFTENING } from '../src/core/recipe/classification';

const heads = Number(process.argv[2] ?? '24');
const firstSeed = Number(process.argv[3] ?? '7001');
if (!Number.isInteger(heads) || heads < 1 || !Number.isInteger(firstSeed))
  throw new Error('how many heads, from which seed? whole numbers, one head at least');

type Numbers = Record<string, number>;
/** Runs with one constant at another value, and puts it back. */
function withValue<T>(of: object, key: string, factor: number, run: () => T): T {
  const constants = of as Numbers;
  const usual = constants[key] as number;
  constants[key] = usual * factor;
  try {
    return run();
  } finally {
    constants[key] = usual;
  }
}

const model = readFileSync(path.resolve(import.meta.dirname, '../docs/model.md'), 'utf8');
const recipes = modelRows(model);
const kinds = () => recipes.map(({ lines }) => verdictOf(lines).kind);
const usualKinds = kinds();
const changed = (of: object, key: string, factor: number) =>
  withValue(of, key, factor, () => kinds().filter((kind, index) => kind !== usualKinds[index]).length);

const VERDICT: readonly (readonly [string, object, string])[] = [
  ['half load, firm', HALF_LOAD, 'firm'],
  ['half load, soft', HALF_LOAD, 'soft'],
  ['half load, oil', HALF_LOAD, 'oil'],
  ['intact protein that acts, my hair', AVAILABILITY['my-hair'], 'intact'],
  ['what water softens', SOFTENING, 'water'],
  ['what mucilage softens', SOFTENING, 'mucilage'],
  ['what conditioner softens', SOFTENING, 'cationic'],
  ['what sugars soften', SOFTENING, 'sugars'],
  ['what starch softens', SOFTENING, 'starch'],
  ['lead of one push', KIND_EDGES, 'lead'],
  ['fat of an oil treatment', KIND_EDGES, 'oilFat'],
];
console.log(`Of ${recipes.length} recipes, by how many the kind changes (my hair):\n`);
console.log('| constant | halved | doubled |');
console.log('|---|---|---|');
for (const [name, of, key] of VERDICT)
  console.log(`| ${name} | ${changed(of, key, 0.5)} | ${changed(of, key, 2)} |`);

const STATE: readonly (readonly [string, string])[] = [
  ['what is believed of a new head (startSd)', 'startSd'],
  ['where it rests (restSd)', 'restSd'],
  ['what a day adds (dailySd)', 'dailySd'],
  ['how far effects lie from the recipe (effectSd)', 'effectSd'],
];
const percent = (share: number) => `${Math.round(100 * share)} %`;
const row = (name: string) => {
  const { effects, level, forecast, effectRms } = calibrated(WORLDS.own, heads, firstSeed);
  console.log(
    `| ${name} | ${percent(effects)} | ${percent(level)} | ${percent(forecast)} | ${effectRms.toFixed(3)} |`,
  );
};
console.log(`\n${heads} seeded heads from ${firstSeed} on; firmness, twelve weeks after eight:\n`);
console.log('| constant | effects held | level held | forecast held | error of effects |');
console.log('|---|---|---|---|---|');
row('as written');
for (const [name, key] of STATE)
  for (const [word, factor] of [
    ['halved', 0.5],
    ['doubled', 2],
  ] as const)
    withValue(SIGNALS.firmness, key, factor, () => row(`${name} ${word}`));
