import jsQR from 'jsqr';
import { createWorker, OEM, PSM, type Worker as LettersWorker } from 'tesseract.js';
import { packed } from '@/core/files/handover';
import { measureHairs, type MeasuredSheet } from '@/core/vision/hairs';
import {
  readLabel,
  readPrinted,
  wordsOfPage,
  type ReadLabel,
  type ReadPrinted,
  type Recognise,
} from '@/core/vision/labels';
import type { Corners, Cv, Gray, Picture, Point } from '@/core/vision/pictures';

/** Where image library, reader of letters and its language lie: fetched when the first picture comes, and kept by the browser. */
const PLACE = '/vision/';
const at = (file: string) => new URL(`${PLACE}${file}`, globalThis.location.origin).href;

/** Longer sides are made smaller when a picture is opened, pixels. */
const LONGEST = 3000;

declare const importScripts: (...scripts: string[]) => void;

let libraryLoading: Promise<{ readonly cv: Cv }> | undefined;

/** The image library is a thenable of its own making: it is handed on in a box, for whoever awaits it waits for ever. */
function library(): Promise<{ readonly cv: Cv }> {
  libraryLoading ??= new Promise((resolve) => {
    importScripts(at('opencv.js'));
    const { cv } = globalThis as unknown as { cv: Cv };
    if ('Mat' in cv) resolve({ cv });
    else Object.assign(cv, { onRuntimeInitialized: () => resolve({ cv }) });
  });
  libraryLoading.catch(() => (libraryLoading = undefined));
  return libraryLoading;
}

let lettersLoading: Promise<LettersWorker> | undefined;

function letters(): Promise<LettersWorker> {
  lettersLoading ??= startLetters();
  lettersLoading.catch(() => (lettersLoading = undefined));
  return lettersLoading;
}

async function startLetters(): Promise<LettersWorker> {
  const worker = await createWorker('eng', OEM.LSTM_ONLY, {
    workerPath: at('letters.worker.js'),
    corePath: at('letters.core.js'),
    langPath: at('').replace(/\/$/, ''),
    workerBlobURL: false,
    cacheMethod: 'none',
    gzip: true,
  });
  await worker.setParameters({ tessedit_pageseg_mode: PSM.SINGLE_BLOCK, user_defined_dpi: '300' });
  return worker;
}

const recognise: Recognise = async (sheet) =>
  wordsOfPage((await (await letters()).recognize(canvasOf(sheet), {}, { blocks: true })).data);

function canvasOf({ width, height, data }: Gray): OffscreenCanvas {
  const canvas = new OffscreenCanvas(width, height);
  const pixels = new ImageData(width, height);
  // Four bytes at once: a sheet has millions of pixels.
  const all = new Uint32Array(pixels.data.buffer);
  data.forEach((value, place) => (all[place] = 0xff000000 + value * 0x010101));
  canvas.getContext('2d')?.putImageData(pixels, 0, 0);
  return canvas;
}

/** The pixels of a file, upright. */
async function pictureOf(file: Blob): Promise<Picture> {
  return pixelsOf(await createImageBitmap(file, { imageOrientation: 'from-image' }), LONGEST);
}

function pixelsOf(bitmap: ImageBitmap, longest: number): Picture {
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const context = new OffscreenCanvas(width, height).getContext('2d');
  if (!context) throw new Error('No canvas in this worker.');
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return { width, height, data: context.getImageData(0, 0, width, height).data };
}

export interface SeenSheet extends Omit<MeasuredSheet, 'card'> {
  readonly width: number;
  readonly height: number;
}

/** Larger pictures of a camera have no clearer codes, pixels. */
const LONGEST_CODE = 800;

/** Whatever is seen on pictures. Nothing of it leaves the device. */
export const visionApi = {
  /** @returns the bytes of a code on a picture of the camera; null where there is none */
  code: (bitmap: ImageBitmap): Uint8Array | null => {
    const { width, height, data } = pixelsOf(bitmap, LONGEST_CODE);
    const found = jsQR(data, width, height, { inversionAttempts: 'dontInvert' });
    return found && Uint8Array.from(found.binaryData);
  },
  /** Years of records take longer than a page may stand still. */
  pack: (text: string): Uint8Array => packed(text),
  /** @param corners of the list as shares of the picture, from the upper left with the clock; null for all of it */
  label: async (file: Blob, corners: Corners | null): Promise<ReadLabel> => {
    const [picture, { cv }] = await Promise.all([pictureOf(file), library()]);
    const onPicture = ({ x, y }: Point): Point => ({ x: x * picture.width, y: y * picture.height });
    return readLabel(
      cv,
      recognise,
      picture,
      corners && [onPicture(corners[0]), onPicture(corners[1]), onPicture(corners[2]), onPicture(corners[3])],
    );
  },
  page: async (file: Blob): Promise<ReadPrinted> => {
    const [picture, { cv }] = await Promise.all([pictureOf(file), library()]);
    return readPrinted(cv, recognise, picture);
  },
  hairs: async (file: Blob): Promise<SeenSheet> => {
    const [picture, { cv }] = await Promise.all([pictureOf(file), library()]);
    const { card: _, ...sheet } = measureHairs(cv, picture);
    return { ...sheet, width: picture.width, height: picture.height };
  },
};

export type VisionApi = typeof visionApi;
