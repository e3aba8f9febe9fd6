import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import sharp from 'sharp';
import { createWorker, OEM, PSM } from 'tesseract.js';
import { measureHairs, type MeasuredSheet } from '../src/core/vision/hairs';
import {
  readLabel,
  readPrinted,
  wordsOfPage,
  type ReadLabel,
  type ReadPrinted,
  type Recognise,
} from '../src/core/vision/labels';
import type { Cv, Picture } from '../src/core/vision/pictures';
import { sheetTroubleWords, labelTroubleWords } from '../src/core/vision/words';
import { CommandError, shortNumbers, type CommandOptions } from './commands';

/** Longer sides are made smaller when a picture is opened: nothing looks at more, pixels. */
const LONGEST = 3000;

/** Any usual picture file, upright. */
async function pictureFrom(file: string | undefined): Promise<Picture> {
  if (file === undefined) throw new CommandError('--image wants the file of a picture');
  if (!existsSync(file)) throw new CommandError(`${file} is not there`);
  try {
    const { data, info } = await sharp(file)
      .rotate()
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#fff' })
      .toColourspace('srgb')
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return { width: info.width, height: info.height, data: new Uint8ClampedArray(data) };
  } catch {
    throw new CommandError(`${file} is no picture that can be opened (PNG, JPEG, WebP, AVIF, TIFF, GIF)`);
  }
}

/** The image library. It is a thenable of its own making: whoever awaits it waits for ever. */
function loadCv(): Promise<{ cv: Cv }> {
  const cv = createRequire(import.meta.url)('@techstark/opencv-js') as Cv;
  return new Promise((resolve) => {
    if ('Mat' in cv) resolve({ cv });
    else Object.assign(cv, { onRuntimeInitialized: () => resolve({ cv }) });
  });
}

/** The reader of letters, from its pinned packages. */
async function lettersReader(): Promise<{ recognise: Recognise; end: () => Promise<unknown> }> {
  const language = createRequire(import.meta.url).resolve(
    '@tesseract.js-data/eng/4.0.0_best_int/eng.traineddata.gz',
  );
  const worker = await createWorker('eng', OEM.LSTM_ONLY, {
    langPath: path.dirname(language),
    cacheMethod: 'none',
    gzip: true,
  });
  await worker.setParameters({ tessedit_pageseg_mode: PSM.SINGLE_BLOCK, user_defined_dpi: '300' });
  return {
    recognise: async ({ width, height, data }) => {
      const png = await sharp(Buffer.from(data), { raw: { width, height, channels: 1 } })
        .png({ compressionLevel: 1 })
        .toBuffer();
      return wordsOfPage((await worker.recognize(png, {}, { blocks: true })).data);
    },
    end: () => worker.terminate(),
  };
}

/** Library and reader, opened once for as many pictures as there are. */
interface Pictures {
  readonly readFile: (file: string | undefined) => Promise<ReadLabel>;
  readonly readPage: (file: string | undefined) => Promise<ReadPrinted>;
  readonly measureFile: (file: string | undefined) => Promise<MeasuredSheet>;
  readonly end: () => Promise<unknown>;
}

export async function openPictures(): Promise<Pictures> {
  const { cv } = await loadCv();
  let letters: ReturnType<typeof lettersReader> | undefined;
  const recognised = async () => (await (letters ??= lettersReader())).recognise;
  return {
    readFile: async (file) => {
      const picture = await pictureFrom(file);
      return readLabel(cv, await recognised(), picture);
    },
    readPage: async (file) => {
      const picture = await pictureFrom(file);
      return readPrinted(cv, await recognised(), picture);
    },
    measureFile: async (file) => measureHairs(cv, await pictureFrom(file)),
    end: async () => (await letters)?.end(),
  };
}

/** Answers a question about pictures, and ends what was opened for it. */
async function asked<Answer>(ask: (pictures: Pictures) => Promise<Answer>): Promise<Answer> {
  const pictures = await openPictures();
  try {
    return await ask(pictures);
  } finally {
    await pictures.end();
  }
}

/** The names on a photo of an ingredient list, in their order, with how sure each is. */
export async function labelCommand({ image }: CommandOptions): Promise<unknown> {
  const { names, troubles } = await asked(({ readFile }) => readFile(image));
  return shortNumbers({
    names: names
      .filter(({ fate }) => fate !== 'struck')
      .map(({ name, sure, fate, read, isKnown }) => ({ name, sure, fate, read, known: isKnown })),
    troubles: troubles.map((trouble) => labelTroubleWords()[trouble]),
  });
}

/** A recipe on a printed page, as a text that `classify` takes. */
export async function pageCommand({ image }: CommandOptions): Promise<unknown> {
  const { text, sure, isReadable } = await asked(({ readPage }) => readPage(image));
  return shortNumbers({ text, sure, readable: isReadable });
}

/** The hairs on a photo of a sheet with a bank card beside them. */
export async function hairsCommand({ image }: CommandOptions): Promise<unknown> {
  const { hairs, balls, sure, troubles } = await asked(({ measureFile }) => measureFile(image));
  const of = (kind: 'broken' | 'shed') => hairs.filter((hair) => hair.kind === kind);
  return shortNumbers({
    broken: of('broken').length,
    shed: of('shed').length,
    lengthsMm: hairs.map(({ lengthMm }) => Math.round(lengthMm)).sort((a, b) => b - a),
    sure,
    hairs: hairs.map(({ lengthMm, kind, hasRoot }) => ({ lengthMm, kind, root: hasRoot })),
    balls: balls.map(({ acrossMm, hairs: within }) => ({ acrossMm: Math.round(acrossMm), hairs: within })),
    troubles: troubles.map((trouble) => sheetTroubleWords()[trouble]),
  });
}
