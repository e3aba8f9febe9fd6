/**
 * Writes dist/NOTICES.txt: every package and font that the build holds, with its version and licence. Which packages those are
 * is read from the source maps of the bundles, which are taken out of the build again.
 */
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ASSETS } from './copyAssets.mjs';

const PACKAGE = /node_modules\/((?:@[^/]+\/)?[^/]+)\//g;
const LICENCE = /^(licen[cs]e|copying|ofl|notice)(?:[.-].*)?$/i;

/** The folder of the package that a source file lies in, as deep as packages lie within packages. */
function folderOf(source) {
  const last = [...source.matchAll(PACKAGE)].at(-1);
  return last ? source.slice(source.indexOf('node_modules'), last.index + last[0].length - 1) : null;
}

function noticeOf(folder) {
  const { name, version, license } = JSON.parse(readFileSync(path.join(folder, 'package.json'), 'utf8'));
  const texts = readdirSync(folder)
    .filter((file) => LICENCE.test(file) && !/\.(js|ts|json)$/.test(file))
    .map((file) => readFileSync(path.join(folder, file), 'utf8').trim());
  const kind = typeof license === 'string' ? license : (license?.type ?? 'see its text');
  return { heading: `${name} ${version} (${kind})`, text: texts.join('\n\n') };
}

const folders = new Set(Object.values(ASSETS).map((asset) => folderOf(`node_modules/${asset}`)));
// Written into the service worker by its builder.
folders
  .add('node_modules/workbox-core')
  .add('node_modules/workbox-precaching')
  .add('node_modules/workbox-routing');
const maps = readdirSync('dist', { recursive: true }).filter((file) => String(file).endsWith('.map'));
if (maps.length === 0) throw new Error('There are no source maps to read the packages from.');
for (const map of maps) {
  const file = path.join('dist', String(map));
  for (const source of JSON.parse(readFileSync(file, 'utf8')).sources) folders.add(folderOf(source));
  rmSync(file);
  // Nobody shall look for a map that is not there.
  const script = file.slice(0, -'.map'.length);
  writeFileSync(script, readFileSync(script, 'utf8').replace(/\n\/\/# sourceMappingURL=.*\s*$/, '\n'));
}
const all = [...folders]
  .filter((folder) => folder !== null && existsSync(path.join(folder, 'package.json')))
  .map(noticeOf);
// The same version may lie in two places.
const notices = [...new Map(all.map((notice) => [notice.heading, notice])).values()].sort((a, b) =>
  a.heading < b.heading ? -1 : 1,
);
const silent = notices.filter(({ text }) => text === '').map(({ heading }) => heading);
writeFileSync(
  'dist/NOTICES.txt',
  [
    'Velvet Rhythm is built from the packages and fonts below, each under its own licence.',
    ...notices.map(
      ({ heading, text }) =>
        `${'='.repeat(heading.length)}\n${heading}\n${'='.repeat(heading.length)}\n\n${text || 'The package comes with no text of its licence; its name is above.'}`,
    ),
  ].join('\n\n\n') + '\n',
);
console.log(
  `dist/NOTICES.txt names ${notices.length} packages${silent.length > 0 ? `; without a text of their own: ${silent.length}` : ''}`,
);
