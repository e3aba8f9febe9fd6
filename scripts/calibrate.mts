/**
 * How often the 90 % intervals of the estimator hold, over seeded heads whose truth is known, and how much better than the recipes
 * alone it knows their effects. Prints the table that docs/model.md carries. Argument: heads a row (default 1000).
 */
import { AS_FEARED, AS_PROMISED, calibrated } from '../src/core/lab/calibration';

const heads = Number(process.argv[2] ?? '1000');
if (!Number.isInteger(heads) || heads < 1) throw new Error('how many heads? a whole number from 1 on');

const settings = [...[4, 12, 26].map((weeks) => ({ ...AS_PROMISED, weeks })), ...AS_FEARED];
const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

console.log(`${heads} seeded heads a row.\n`);
console.log('| heads | weeks | effects held | level held | past held | error of effects | of the recipes’ |');
console.log('|---|---|---|---|---|---|---|');
for (const setting of settings) {
  const row = calibrated(setting, heads);
  console.log(
    `| ${[
      setting.name,
      setting.weeks,
      percent(row.effects),
      percent(row.level),
      percent(row.past),
      row.effectRms.toFixed(3),
      row.ofPrior.toFixed(2),
    ].join(' | ')} |`,
  );
}
