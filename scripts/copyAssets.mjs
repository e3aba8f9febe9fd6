/** Puts what ships as a file where the page finds it: fonts and the solver, from their pinned packages, into public/. */
import { copyFileSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

const require = createRequire(import.meta.url);
export const ASSETS = {
  'fonts/Atkinson.ttf':
    '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  'fonts/AtkinsonBold.ttf':
    '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  'fonts/Bricolage.ttf': '@expo-google-fonts/bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
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
