import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { OFFLINE_ENV, run, runOrStop, say } from './run.mjs';

const STAMP_OF_CATALOGUES = '.cache/catalogues';

const root = path.resolve(import.meta.dirname, '../..');
process.chdir(root);

function filesIn(place) {
  if (!existsSync(place)) return [];
  if (statSync(place).isFile()) return [place];
  return readdirSync(place, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.parentPath, entry.name))
    .sort();
}

/** One hash for the contents of files and folders; tests do not count, the build does not hold them. */
function hashOf(places) {
  const hash = createHash('sha256').update(process.version);
  for (const file of places.flatMap(filesIn)) {
    if (/\.test\.tsx?$/.test(file)) continue;
    hash.update(file).update('\0').update(readFileSync(file));
  }
  return hash.digest('hex');
}

/** Does `work` unless `stamp` holds the hash of `places` already. */
async function unlessUnchanged(what, stamp, places, work) {
  const hash = hashOf(places);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) {
    console.log(`== ${what}: unchanged, nothing to do`);
    return;
  }
  say(`${what} …`);
  await work();
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, hash);
}

/** A registry that drops one of 1,500 packages fails the whole installation: what did arrive is kept by npm, so a second try is short. */
const INSTALL = ['ci', '--no-audit', '--no-fund', '--prefer-offline', '--fetch-retries=5'];

export function ensureInstalled() {
  return unlessUnchanged(
    'Packages',
    'node_modules/.velvet-stamp',
    ['package.json', 'package-lock.json'],
    async () => {
      if ((await run('npm', INSTALL)) === 0) return;
      say('Packages did not all arrive; once more …');
      await runOrStop('Installing packages', 'npm', INSTALL);
    },
  );
}

const LANGUAGES = 'data/languages';
/** What is made of the catalogues for translators. */
const COMPILED = ['spoken.ts', 'catalogues.ts', 'wordings.ts'];

/** Installing compiles them, too; this is for who has changed or fetched one since. */
export function ensureCatalogues() {
  const files = readdirSync(LANGUAGES).filter((name) => name.endsWith('.po'));
  const made = [...COMPILED, ...files.map((name) => name.replace(/po$/, 'ts'))];
  const isThere = made.every((name) => existsSync(`${LANGUAGES}/${name}`));
  if (!isThere) rmSync(STAMP_OF_CATALOGUES, { force: true });
  return unlessUnchanged(
    'Catalogues',
    STAMP_OF_CATALOGUES,
    [...files.map((name) => `${LANGUAGES}/${name}`), 'lingui.config.js', 'scripts/listLanguages.mjs'],
    () => runOrStop('Compiling the catalogues', 'npm', ['run', '-s', 'prepare']),
  );
}

const BUILD_INPUTS = [
  'index.ts',
  'app',
  'src',
  'data',
  'public/index.html',
  'public/fonts.css',
  'public/icon.svg',
  'public/icons',
  'public/manifest.webmanifest',
  'global.css',
  'app.json',
  'babel.config.js',
  'lingui.config.js',
  'metro.config.js',
  'tailwind.config.js',
  'tsconfig.json',
  'package-lock.json',
  'scripts/metro',
  'scripts/copyAssets.mjs',
  'scripts/lib/imageLibrary.mjs',
  'scripts/notices.mjs',
  'scripts/packBuild.mjs',
  'scripts/serviceWorker.mjs',
];

export async function ensureBuilt() {
  await ensureCatalogues();
  return unlessUnchanged('Build', 'dist/.velvet-stamp', BUILD_INPUTS, async () => {
    await runOrStop('Copying fonts and the solver', process.execPath, ['scripts/copyAssets.mjs']);
    await runOrStop(
      'Building',
      process.execPath,
      [
        'node_modules/.bin/expo',
        'export',
        '--platform',
        'web',
        '--output-dir',
        'dist',
        '--source-maps',
        'external',
      ],
      { env: OFFLINE_ENV },
    );
    await runOrStop('Writing the notices', process.execPath, ['scripts/notices.mjs']);
    await runOrStop('Writing the service worker', process.execPath, ['scripts/serviceWorker.mjs']);
    await runOrStop('Compressing the build', process.execPath, ['scripts/packBuild.mjs']);
  });
}

const { driver: DRIVER, shell: SHELL, whole: WHOLE } = JSON.parse(readFileSync('e2e/chromium.json', 'utf8'));
const PACKAGES = ['chromium-headless-shell', 'chromium-driver'];

/** The browser of the tests: without windows of its own it starts in a third of the time. */
export async function ensureBrowser() {
  if (existsSync(DRIVER) && existsSync(SHELL)) {
    console.log('== Browser: present, nothing to do');
    return;
  }
  say(`Browser for the tests (Debian packages ${PACKAGES.join(' and ')}) …`);
  const apt = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get'];
  const quietly = { env: { DEBIAN_FRONTEND: 'noninteractive' } };
  // A machine without apt or sudo is one where it cannot be installed, too.
  const did = async (...args) =>
    (await run(apt[0], [...apt.slice(1), ...args], quietly).catch(() => 1)) === 0;
  if ((await did('update', '-qq')) && (await did('install', '-y', '-qq', ...PACKAGES))) return;
  if (existsSync(DRIVER) && existsSync(WHOLE)) {
    console.log('   not installed; the tests run in the whole Chromium that is here, which takes longer');
    return;
  }
  console.error('\nInstalling the browser failed.');
  process.exit(1);
}
