/** Puts what ships as a file where the page finds it: fonts and the solver, from their pinned packages, into public/. */
import { copyFileSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

const require = createRequire(import.meta.url);
export const ASSETS = {
  'fonts/Atkinson.woff2':
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2',
  'fonts/AtkinsonBold.woff2':
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2',
  'fonts/Bricolage.woff2': '@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff2',
  'solver/highs.wasm': 'highs/runtime',
};

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const folder = new URL('../public/', import.meta.url);
  for (const [name, source] of Object.entries(ASSETS)) {
    const target = new URL(name, folder);
    mkdirSync(new URL('.', target), { recursive: true });
    copyFileSync(require.resolve(source), fileURLToPath(target));
  }
}
