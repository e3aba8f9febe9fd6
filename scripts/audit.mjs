/**
 * What can be said of the packages without trusting them: every version is pinned, every archive has its hash, only known
 * ones run something when they are installed. Where the registry answers, known holes are asked for too.
 */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';

process.chdir(path.resolve(import.meta.dirname, '..'));
const read = (file) => JSON.parse(readFileSync(file, 'utf8'));
/** They look whether their own binary, which ships as a package beside them, runs here; the last asks for money and does nothing. */
const MAY_INSTALL = new Set(['esbuild', '@swc/core', 'tesseract.js']);
const WORST = ['high', 'critical'];

const wrong = [];
const { dependencies, devDependencies } = read('package.json');
for (const [name, version] of Object.entries({ ...dependencies, ...devDependencies })) {
  if (!/^(npm:\w+@)?\d+\.\d+\.\d+(-[\w.]+)?$/.test(version)) wrong.push(`${name} is not pinned: ${version}`);
}
const locked = Object.entries(read('package-lock.json').packages).filter(([place]) => place !== '');
for (const [place, { integrity, hasInstallScript, link }] of locked) {
  if (!link && !integrity?.startsWith('sha512-')) wrong.push(`${place} has no hash in the lock file`);
  if (hasInstallScript && !MAY_INSTALL.has(place.replace(/^.*node_modules\//, '')))
    wrong.push(`${place} runs something when it is installed`);
}

function knownHoles() {
  let report;
  try {
    report = execFileSync('npm', ['audit', '--omit=dev', '--json'], {
      stdio: ['ignore', 'pipe', 'ignore'],
      timeout: 60_000,
    });
  } catch (error) {
    // It ends with 1 where it found something, and where it got no answer.
    report = error.stdout;
  }
  try {
    return JSON.parse(String(report)).metadata?.vulnerabilities ?? null;
  } catch {
    return null;
  }
}

const holes = knownHoles();
for (const level of holes ? WORST : []) {
  if (holes[level] > 0) wrong.push(`${holes[level]} known holes of level ${level}: npm audit names them`);
}
console.log(
  `${locked.length} packages: pinned, with their hashes; known holes: ${holes ? JSON.stringify(holes) : 'the registry gave no answer'}`,
);
wrong.forEach((line) => console.error(line));
process.exit(wrong.length === 0 ? 0 : 1);
