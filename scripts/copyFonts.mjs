/** Puts the shipped fonts where the page finds them: public/fonts/, from the pinned font packages. */
import { copyFileSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

const require = createRequire(import.meta.url);
const FONTS = {
  'Atkinson.ttf':
    '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  'AtkinsonBold.ttf':
    '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  'Bricolage.ttf': '@expo-google-fonts/bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
};

const folder = new URL('../public/fonts/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const [name, source] of Object.entries(FONTS)) {
  copyFileSync(require.resolve(source), fileURLToPath(new URL(name, folder)));
}
