/**
 * Twelve weeks of seeded virtual heads, decided anew on each free day from the same readings by the tool and by habits, in the
 * model's own world and in worlds in which it is wrong. Prints the tables that docs/model.md carries: means with 90 % intervals.
 * Arguments: heads a world (default 100), first seed (default 3001; the decision and the habits were looked at on seeds from 101 on),
 * worlds by name, comma between (default all).
 */
import {
  livedUnder,
  POLICY_IDS,
  POLICY_WORDS,
  policyOf,
  WORLD_IDS,
  WORLDS,
  type Outcome,
  type PolicyId,
  type WorldId,
} from '../src/core/lab/calibration';
import { mean, sum, Z90 } from '../src/core/base/measures';

const heads = Number(process.argv[2] ?? '100');
const firstSeed = Number(process.argv[3] ?? '3001');
const asked = process.argv[4]?.split(',') ?? WORLD_IDS;
if (!Number.isInteger(heads) || heads < 2 || !Number.isInteger(firstSeed))
  throw new Error('how many heads, from which seed? whole numbers, two heads at least');
const worlds = asked.map((id) => {
  if (!(id in WORLDS)) throw new Error(`worlds are ${WORLD_IDS.join(', ')}`);
  return id as WorldId;
});

/** Half of a 90 % interval of the mean. */
function halfOf(values: readonly number[]): number {
  const middle = mean(values);
  const variance = sum(values.map((value) => (value - middle) ** 2)) / (values.length - 1);
  return Z90 * Math.sqrt(variance / values.length);
}
const text = (values: readonly number[], digits: number) =>
  `${mean(values).toFixed(digits)} ± ${halfOf(values).toFixed(digits)}`;

console.log(`${heads} heads a world from seed ${firstSeed} on, 12 weeks.`);
for (const id of worlds) {
  const world = WORLDS[id];
  console.log(`\n**${world.name}**\n`);
  console.log(
    '| what is done | days outside, % | overloads | minutes a week | cost a week | broken pieces a day |',
  );
  console.log('|---|---|---|---|---|---|');
  const lives = new Map<PolicyId, Outcome[]>();
  for (const policy of POLICY_IDS) {
    const outcomes = Array.from({ length: heads }, (_, index) =>
      livedUnder(policyOf(policy), world, firstSeed + index),
    );
    lives.set(policy, outcomes);
    const column = (of: (outcome: Outcome) => number, digits: number) => text(outcomes.map(of), digits);
    const cells = [
      column(({ outside }) => 100 * outside, 1),
      column(({ overloads }) => overloads, 2),
      column(({ minutes }) => minutes, 0),
      column(({ cost }) => cost, 2),
      column(({ broken }) => broken, 2),
    ];
    console.log(`| ${[POLICY_WORDS[policy], ...cells].join(' | ')} |`);
  }
  const tool = lives.get('today') ?? [];
  const habits = POLICY_IDS.filter((policy) => !policy.startsWith('today'));
  const outsideOf = (policy: PolicyId) => mean((lives.get(policy) ?? []).map(({ outside }) => outside));
  const best = habits.reduce((a, b) => (outsideOf(b) < outsideOf(a) ? b : a));
  const other = lives.get(best) ?? [];
  const paired = tool.map(({ outside }, index) => 100 * (outside - (other[index]?.outside ?? 0)));
  const share = 100 * (outsideOf('today') / outsideOf(best) - 1);
  console.log(
    `\nAgainst “${POLICY_WORDS[best]}”, the best habit here, on the same heads: ${share.toFixed(0)} % days outside (${text(paired, 1)} points).`,
  );
}
