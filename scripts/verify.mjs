/**
 * Everything that must hold: types, lint, layers, unit tests, build, browser tests. Ends with the minutes of each stage, the
 * slowest tests, and one line of counts.
 */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBrowser, ensureBuilt, ensureCatalogues, ensureInstalled } from './lib/ensure.mjs';
import { bin, node, run, say, TYPES } from './lib/run.mjs';

const SLOWEST = 10;
const SOURCES = ['app', 'src', 'server', 'cli', 'e2e', 'scripts'];
const eslint = [bin('eslint'), '.', '--cache', '--cache-location', '.cache/eslint', '--max-warnings', '0'];
const prettier = [
  bin('prettier'),
  '--check',
  '.',
  '--log-level',
  'warn',
  '--cache',
  '--cache-location',
  '.cache/prettier',
];

let passed = 0;
let failed = 0;
const stages = [];
const tested = [];

/** Runs a stage and takes its time. */
async function stage(what, work) {
  const started = performance.now();
  say(what);
  await work();
  stages.push({ what, seconds: (performance.now() - started) / 1000 });
}

async function check(what, args) {
  const code = await run(...node(args));
  if (code === 0) return;
  failed += 1;
  console.error(`   ${what}: FAILED`);
}

/** As many at once as the smallest machine this runs on has cores. */
async function inTwoLanes(jobs) {
  const waiting = [...jobs];
  const lane = async () => {
    for (let job = waiting.shift(); job; job = waiting.shift()) await job();
  };
  await Promise.all([lane(), lane()]);
}

/** Runs jest projects and adds their tests to the counts; a run that ends without a report is a failure. */
async function tests(what, projects) {
  const report = `.cache/jest-${projects.join('-')}.json`;
  rmSync(report, { force: true });
  const code = await run(
    ...node([bin('jest'), '--selectProjects', ...projects, '--json', `--outputFile=${report}`]),
    { quiet: true },
  );
  try {
    const result = JSON.parse(readFileSync(report, 'utf8'));
    passed += result.numPassedTests;
    failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
    if (code !== 0 && result.numFailedTests + result.numRuntimeErrorTestSuites === 0) failed += 1;
    if (result.numTotalTests === 0) failed += 1;
    for (const { name, assertionResults } of result.testResults)
      for (const { fullName, duration } of assertionResults)
        tested.push({ seconds: (duration ?? 0) / 1000, what: `${path.relative('.', name)}: ${fullName}` });
  } catch {
    failed += 1;
    console.error(`   ${what}: no report was written`);
  }
}

function table(title, rows) {
  say(title);
  for (const { seconds, what } of rows) {
    const time = seconds < 60 ? `${seconds.toFixed(1)} s` : `${(seconds / 60).toFixed(1)} min`;
    console.log(`${time.padStart(9)}  ${what.slice(0, 140)}`);
  }
}

const started = performance.now();
await stage('Packages, and beside them the browser', () => Promise.all([ensureInstalled(), ensureBrowser()]));
mkdirSync('.cache', { recursive: true });
await ensureCatalogues();
await stage('Build, lint, types, format, layers, dead code and audit, two at a time', () =>
  inTwoLanes([
    ensureBuilt,
    () => check('Lint', eslint),
    () => check('Types', TYPES),
    () => check('Format', prettier),
    () => check('Layers', [bin('depcruise'), ...SOURCES, '--output-type', 'err']),
    () => check('Dead code', [bin('knip')]),
    () => check('Audit', ['scripts/audit.mjs']),
    () => check('Catalogues', ['scripts/checkCatalogues.mjs']),
  ]),
);
await stage('Unit tests', () => tests('Unit tests', ['core', 'node', 'interface']));
await stage('Browser tests', () => tests('Browser tests', ['browser']));

table('Time of each stage', [
  ...stages,
  { what: 'all of it', seconds: (performance.now() - started) / 1000 },
]);
table(`The ${SLOWEST} slowest tests`, tested.sort((a, b) => b.seconds - a.seconds).slice(0, SLOWEST));
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
