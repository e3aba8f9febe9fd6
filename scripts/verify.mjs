/**
 * Everything that must hold: types, lint, layers, unit tests, build, browser tests. Ends with the minutes of each stage, the
 * slowest tests, and one line of counts.
 */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBrowser, ensureBuilt, ensureInstalled } from './lib/ensure.mjs';
import { node, run, say } from './lib/run.mjs';

const SLOWEST = 10;

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

/** Runs jest projects and adds their tests to the counts; a run that ends without a report is a failure. */
async function tests(what, projects) {
  const report = `.cache/jest-${projects.join('-')}.json`;
  rmSync(report, { force: true });
  const code = await run(
    ...node(['node_modules/.bin/jest', '--selectProjects', ...projects, '--json', `--outputFile=${report}`]),
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
// One core builds while the other reads the sources.
await stage('Build, and beside it audit, types, lint, format, layers and dead code', async () => {
  await Promise.all([
    ensureBuilt(),
    (async () => {
      await check('Audit', ['scripts/audit.mjs']);
      await check('Types', [
        'node_modules/.bin/tsc',
        '--noEmit',
        '--incremental',
        '--tsBuildInfoFile',
        '.cache/types.tsbuildinfo',
      ]);
      await check('Lint', [
        'node_modules/.bin/eslint',
        '.',
        '--cache',
        '--cache-location',
        '.cache/eslint',
        '--max-warnings',
        '0',
      ]);
      await check('Format', [
        'node_modules/.bin/prettier',
        '--check',
        '.',
        '--log-level',
        'warn',
        '--cache',
        '--cache-location',
        '.cache/prettier',
      ]);
      await check('Layers', [
        'node_modules/.bin/depcruise',
        'app',
        'src',
        'server',
        'cli',
        'e2e',
        'scripts',
        '--output-type',
        'err',
      ]);
      await check('Dead code', ['node_modules/.bin/knip']);
    })(),
  ]);
});
await stage('Unit tests', () => tests('Unit tests', ['core', 'node', 'interface']));
await stage('Browser tests', () => tests('Browser tests', ['browser']));

table('Time of each stage', [
  ...stages,
  { what: 'all of it', seconds: (performance.now() - started) / 1000 },
]);
table(`The ${SLOWEST} slowest tests`, tested.sort((a, b) => b.seconds - a.seconds).slice(0, SLOWEST));
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
