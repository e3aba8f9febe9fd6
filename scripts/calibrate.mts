/**
 * How often the 90 % intervals of the estimator hold, over seeded heads whose truth is known, in the model's own world and in worlds in
 * which it is wrong: readings go through raw millimetres, counts and seconds, and treatments are chosen because of them. Prints the
 * table that docs/model.md carries. Arguments: heads a world (default 200), first seed (default 1).
 */
import { calibrated, WORLD_IDS, WORLDS } from '../src/core/lab/calibration';

const heads = Number(process.argv[2] ?? '200');
const firstSeed = Number(process.argv[3] ?? '1');
if (!Number.isInteger(heads) || heads < 1 || !Number.isInteger(firstSeed))
  throw new Error('how many heads, from which seed? whole numbers, one head at least');

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

console.log(`${heads} seeded heads a world from seed ${firstSeed} on; twelve weeks after eight.\n`);
console.log(
  '| world | effects held | level held | beyond ±1.5 (how many) | forecast held | breakage and porosity held | error of effects | of the recipes’ |',
);
console.log('|---|---|---|---|---|---|---|---|');
for (const id of WORLD_IDS) {
  const row = calibrated(WORLDS[id], heads, firstSeed);
  const cells = [
    WORLDS[id].name,
    percent(row.effects),
    percent(row.level),
    row.farLevels === 0 ? 'none' : `${percent(row.farLevel)} (${row.farLevels})`,
    percent(row.forecast),
    percent(row.others),
    row.effectRms.toFixed(3),
    row.ofPrior.toFixed(2),
  ];
  console.log(`| ${cells.join(' | ')} |`);
}
