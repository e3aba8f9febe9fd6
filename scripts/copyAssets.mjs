/** Puts what ships as a file where the page finds it: fonts, the solver and what sees pictures, from their pinned packages, into public/. */
import { copyFileSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { imageLibraryFiles } from './lib/imageLibrary.mjs';

const require = createRequire(import.meta.url);
const IMAGE_LIBRARY = 'vision/opencv.js';
const IMAGE_WASM = 'vision/opencv.wasm';

export const ASSETS = {
  'fonts/Atkinson.woff2':
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2',
  'fonts/AtkinsonBold.woff2':
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2',
  'fonts/Bricolage.woff2': '@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff2',
  'solver/highs.wasm': 'highs/runtime',
  [IMAGE_LIBRARY]: '@techstark/opencv-js',
  'vision/letters.worker.js': 'tesseract.js/dist/worker.min.js',
  'vision/letters.core.js': 'tesseract.js-core/tesseract-core-simd-lstm.wasm.js',
  'vision/eng.traineddata.gz': '@tesseract.js-data/eng/4.0.0_best_int/eng.traineddata.gz',
};

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const folder = new URL('../public/', import.meta.url);
  for (const [name, source] of Object.entries(ASSETS)) {
    const target = new URL(name, folder);
    mkdirSync(new URL('.', target), { recursive: true });
    if (name === IMAGE_LIBRARY) {
      const { script, wasm } = imageLibraryFiles(
        readFileSync(require.resolve(source), 'utf8'),
        `/${IMAGE_WASM}`,
      );
      writeFileSync(target, script);
      writeFileSync(new URL(IMAGE_WASM, folder), wasm);
    } else copyFileSync(require.resolve(source), fileURLToPath(target));
  }
}
