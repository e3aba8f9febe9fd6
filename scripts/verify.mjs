/** Everything that must hold: types, lint, layers, unit tests, build, browser tests. Ends in one line of counts. */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureBrowser, ensureBuilt, ensureInstalled } from './lib/ensure.mjs';
import { run, say } from './lib/run.mjs';

const started = Date.now();
let passed = 0;
let failed = 0;

async function check(what, command, args) {
  say(what);
  const code = await run(command, args);
  if (code !== 0) {
    failed += 1;
    console.error(`   ${what}: FAILED`);
  }
}

/** Runs jest projects and adds their tests to the counts; a run that ends without a report is a failure. */
async function tests(what, projects, more = []) {
  say(what);
  const report = `.cache/jest-${projects.join('-')}.json`;
  rmSync(report, { force: true });
  const code = await run(
    process.execPath,
    ['node_modules/.bin/jest', '--selectProjects', ...projects, '--json', `--outputFile=${report}`, ...more],
    { quiet: true },
  );
  try {
    const result = JSON.parse(readFileSync(report, 'utf8'));
    passed += result.numPassedTests;
    failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
    if (code !== 0 && result.numFailedTests + result.numRuntimeErrorTestSuites === 0) failed += 1;
    if (result.numTotalTests === 0) failed += 1;
  } catch {
    failed += 1;
    console.error(`   ${what}: no report was written`);
  }
}

await ensureInstalled();
await ensureBrowser();
mkdirSync('.cache', { recursive: true });
await check('Audit', process.execPath, ['scripts/audit.mjs']);
await check('Types', process.execPath, [
  'node_modules/.bin/tsc',
  '--noEmit',
  '--incremental',
  '--tsBuildInfoFile',
  '.cache/types.tsbuildinfo',
]);
await check('Lint', process.execPath, [
  'node_modules/.bin/eslint',
  '.',
  '--cache',
  '--cache-location',
  '.cache/eslint',
  '--max-warnings',
  '0',
]);
await check('Format', process.execPath, [
  'node_modules/.bin/prettier',
  '--check',
  '.',
  '--log-level',
  'warn',
  '--cache',
  '--cache-location',
  '.cache/prettier',
]);
await check('Layers', process.execPath, [
  'node_modules/.bin/depcruise',
  'app',
  'src',
  'server',
  'cli',
  'e2e',
  '--output-type',
  'err',
]);
await check('Dead code', process.execPath, ['node_modules/.bin/knip']);
await tests('Unit tests', ['core', 'node', 'interface']);
await ensureBuilt();
await tests('Browser tests', ['browser'], ['--runInBand']);

say(`Done in ${Math.round((Date.now() - started) / 1000)} s`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
