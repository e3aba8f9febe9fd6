/**
 * Twelve weeks of seeded virtual heads under this planner and under four habits, planning anew every week from noisy readings. Prints the
 * table that docs/model.md carries: means with 90 % intervals. Arguments: heads (default 60), first seed (default 2001; the planner was
 * looked at on seeds up to 40 and once on 1001 to 1060 before).
 */
import loadHighs from 'highs';
import { livedRhythm, RHYTHM_IDS, RHYTHM_WORDS, type RhythmOutcome } from '../src/core/lab/calibration';
import { Z90 } from '../src/core/hair/state';
import { solverFrom } from '../src/core/base/programme';

const heads = Number(process.argv[2] ?? '60');
const firstSeed = Number(process.argv[3] ?? '2001');
if (!Number.isInteger(heads) || heads < 2 || !Number.isInteger(firstSeed))
  throw new Error('how many heads, from which seed? whole numbers, two heads at least');

const solve = solverFrom(await loadHighs());
const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
/** Half of a 90 % interval of the mean. */
const halfOf = (values: readonly number[]) => {
  const mean = meanOf(values);
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1);
  return Z90 * Math.sqrt(variance / values.length);
};
const text = (values: readonly number[], digits: number) =>
  `${meanOf(values).toFixed(digits)} ± ${halfOf(values).toFixed(digits)}`;

const lives = new Map<string, RhythmOutcome[]>();
console.log(`${heads} heads from seed ${firstSeed} on, 12 weeks.\n`);
console.log(
  '| rhythm | days outside the lane, % | broken pieces a day | overloads | minutes a week | cost a week |',
);
console.log('|---|---|---|---|---|---|');
for (const id of RHYTHM_IDS) {
  const outcomes = Array.from({ length: heads }, (_, index) => livedRhythm(id, firstSeed + index, solve));
  lives.set(id, outcomes);
  const column = (of: (outcome: RhythmOutcome) => number) => outcomes.map(of);
  console.log(
    `| ${[
      RHYTHM_WORDS[id],
      text(
        column(({ inLane }) => 100 * (1 - inLane)),
        1,
      ),
      text(
        column(({ broken }) => broken),
        2,
      ),
      text(
        column(({ overloads }) => overloads),
        2,
      ),
      text(
        column(({ minutes }) => minutes / 12),
        0,
      ),
      text(
        column(({ cost }) => cost / 12),
        2,
      ),
    ].join(' | ')} |`,
  );
}

const planner = lives.get('planner') ?? [];
console.log('\nagainst the planner, on the same heads (negative: the planner is less):');
for (const id of RHYTHM_IDS) {
  if (id === 'planner') continue;
  const other = lives.get(id) ?? [];
  const paired = (of: (outcome: RhythmOutcome) => number) =>
    planner.map((outcome, index) => of(outcome) - of(other[index] as RhythmOutcome));
  const outside = (outcome: RhythmOutcome) => 1 - outcome.inLane;
  const share = meanOf(planner.map(outside)) / meanOf(other.map(outside)) - 1;
  console.log(
    `${RHYTHM_WORDS[id]}: outside the lane ${(100 * share).toFixed(0)} % (${text(
      paired((outcome) => 100 * outside(outcome)),
      1,
    )} points), overloads ${text(
      paired(({ overloads }) => overloads),
      2,
    )}, minutes a week ${text(
      paired(({ minutes }) => minutes / 12),
      0,
    )}`,
  );
}
