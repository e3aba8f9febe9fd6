/** The inner loop: types, lint of what changed, and the unit tests that what changed could break. */
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync } from 'node:fs';
import { ensureCatalogues, ensureInstalled } from './lib/ensure.mjs';
import { bin, node, run, say, TYPES } from './lib/run.mjs';

const started = performance.now();
await ensureInstalled();
await ensureCatalogues();
mkdirSync('.cache', { recursive: true });

const git = (...args) => execFileSync('git', args, { encoding: 'utf8' }).split('\n').filter(Boolean);
/** Against what is committed; in a clean tree against the commit before, so that the last step can be looked at again. */
const uncommitted = [
  ...git('diff', '--name-only', 'HEAD'),
  ...git('ls-files', '--others', '--exclude-standard'),
];
const changed = (uncommitted.length > 0 ? uncommitted : git('diff', '--name-only', 'HEAD~1')).filter((file) =>
  existsSync(file),
);
const code = changed.filter((file) => /\.(ts|tsx|mts|mjs|js|cjs)$/.test(file));

let failed = 0;
async function check(what, args) {
  say(what);
  if ((await run(...node(args))) !== 0) failed += 1;
}

await Promise.all([
  check('Types', TYPES),
  (async () => {
    if (code.length === 0) return;
    await check('Lint of what changed', [bin('eslint'), '--max-warnings', '0', '--no-warn-ignored', ...code]);
    await check('Format of what changed', [bin('prettier'), '--check', '--log-level', 'warn', ...changed]);
  })(),
]);
/** Suites that try thousands of cases or solve dozens of plans, half of all test time: left to verify, unless they are what changed. */
const LONG =
  /(fuzz\w*|properties|mutation|plans|relax|shelf|bruteForce|calibrated|commands|constants|demoData|app)\.test\.ts$/;
// Beside the tests that import what changed; a file of data counts as code of those that read it.
const sources = changed.filter((file) => /^(src|cli|server|data)\//.test(file));
if (sources.length > 0)
  await check('Unit tests of what changed', [
    bin('jest'),
    '--selectProjects',
    'core',
    'node',
    'interface',
    '--passWithNoTests',
    ...(sources.some((file) => LONG.test(file))
      ? []
      : ['--testPathIgnorePatterns', LONG.source, '/node_modules/']),
    '--findRelatedTests',
    ...sources,
  ]);
say(
  `Done in ${Math.round((performance.now() - started) / 1000)} s: ${failed === 0 ? 'all well' : `${failed} failed`}`,
);
process.exit(failed === 0 ? 0 : 1);
