import { transfer } from 'comlink';
import type { JudgedText } from '@/core/kitchen/formulation';
import type { StoredRecord } from '@/core/records/shapes';
import { clientOf } from './clientOf';
import type { ClockApi } from './clock';
import type { EstimatorApi, TextQuestion } from './estimating';
import type { VisionApi } from './seeing';
import type { SolverApi } from './solving';

/**
 * Seconds after which a worker is taken for dead: five years of records are estimated in half a second, and the longest
 * search for a plan may take a minute for each of several tries.
 */
const LIMIT_SECONDS = { short: 60, plan: 300 } as const;

/** What answers where no worker can start. */
export interface OnThePage {
  readonly estimatorApi: EstimatorApi;
  readonly solverApi: SolverApi;
}
let loadOnThePage: () => Promise<OnThePage> = () => Promise.reject(new Error('No worker can start here.'));

function onThePage(): Promise<OnThePage> {
  // Slower to the touch: whoever looks into why finds it said, and no browser test passes over it.
  // eslint-disable-next-line no-console
  console.warn('No worker answers here: the page computes by itself.');
  return loadOnThePage();
}

/**
 * Where the same code can be had for the page itself. It is told from above, so that it comes in one file with the screens that use
 * most of it: what two files share would come with the first screen.
 */
export function answersOnThePageFrom(load: () => Promise<OnThePage>): void {
  loadOnThePage = load;
}

const estimator = clientOf<EstimatorApi>(
  () => new Worker(new URL('./estimator.worker', import.meta.url)),
  async () => (await onThePage()).estimatorApi,
  LIMIT_SECONDS.short,
);

const startSolver = () => new Worker(new URL('./solver.worker', import.meta.url));
const solverOnThePage = async () => (await onThePage()).solverApi;

const solver = clientOf<SolverApi>(startSolver, solverOnThePage, LIMIT_SECONDS.short);

/** The solver once more, in a forecast of its own: a plan that is given up takes nothing else with it. */
const scheduler = clientOf<SolverApi>(startSolver, solverOnThePage, LIMIT_SECONDS.plan);

export const askSolver = solver.ask;
export const askScheduler = scheduler.ask;
export const askEstimator = estimator.ask;
/** Records that a larder is made of: all of them, and those that count. */
export interface LarderContents {
  readonly all: readonly StoredRecord[];
  readonly live: readonly StoredRecord[];
}

let told: { readonly contents: LarderContents; readonly id: number } | undefined;

/** A text judged by the estimator; what recipes can be made of is sent only when it is not known there. */
export async function askJudgement(
  question: Omit<TextQuestion, 'larderId'>,
  contents: LarderContents,
): Promise<JudgedText | null> {
  if (told?.contents !== contents) told = { contents, id: (told?.id ?? 0) + 1 };
  const { id } = told;
  const asked = { ...question, larderId: id };
  const judged = await askEstimator('judgeText', asked);
  if (judged) return judged;
  await askEstimator('knowLarder', id, contents.all, contents.live);
  return askEstimator('judgeText', asked);
}

/** Ends whatever plan is being worked at. */
export const stopScheduler = scheduler.stop;

const clock = clientOf<ClockApi>(
  () => new Worker(new URL('./clock.worker', import.meta.url)),
  async () => (await import('./clock')).clockApi,
  null,
);

/** Pictures are seen in a worker or not at all: the page would stand still for seconds. */
const vision = clientOf<VisionApi>(
  () => new Worker(new URL('./vision.worker', import.meta.url)),
  () => Promise.reject(new Error('No worker can start here.')),
  LIMIT_SECONDS.short,
);
export const askVision = vision.ask;

/** The bytes of a code on a picture of the camera, which is handed over and not copied: there are many a second. */
export const askCode = (picture: ImageBitmap): Promise<Uint8Array | null> =>
  vision.ask('code', transfer(picture, [picture]));

/** Resolves after so many milliseconds, to the second even while the page is hidden. */
export const ringAfter = (milliseconds: number): Promise<void> => clock.ask('after', milliseconds);

/** The answerer of the first screen. */
export function warmWorkers(): void {
  estimator.warm();
  scheduler.warm();
}
