import { wrap } from 'comlink';
import { currentSpeech, onSpeak, type Speech } from '@/core/base/language';
import { Stopped, TookTooLong } from '@/core/base/measures';

export type Answers = Record<string, (...question: never[]) => unknown>;
/** Which language a worker has to speak, other than English. */
export type Spoken = Pick<Speech, 'language' | 'messages'>;

/** What every worker exposes: see {@link file://./answers.ts}. */
interface Remote {
  readonly speak: (spoken: Spoken | null) => void;
  readonly answer: (name: string, ...question: unknown[]) => unknown;
}

function spokenNow(): Spoken | null {
  const speech = currentSpeech();
  return speech && { language: speech.language, messages: speech.messages };
}

type Ask<Api extends Answers> = <Name extends keyof Api>(
  name: Name,
  ...question: Parameters<Api[Name]>
) => Promise<Awaited<ReturnType<Api[Name]>>>;

interface Client<Api extends Answers> {
  /** Starts the worker before it is needed: reading its code takes longer than most answers. */
  readonly warm: () => void;
  readonly ask: Ask<Api>;
  /** Ends what the worker is at; what was asked is refused with {@link Stopped}. The next question starts it anew. */
  readonly stop: () => void;
}

const SECOND_MS = 1000;

/**
 * Rejects when so many seconds have passed for this page: second by second, so that a device that sleeps uses up none of
 * them. A worker may die without a word, and whoever waits for it must not wait for ever.
 */
function timeLimit(seconds: number): { readonly over: Promise<never>; readonly end: () => void } {
  let left = seconds;
  let timer: ReturnType<typeof setInterval> | undefined;
  const over = new Promise<never>((_, reject) => {
    timer = setInterval(() => {
      left -= 1;
      if (left <= 0) reject(new TookTooLong());
    }, SECOND_MS);
  });
  return { over, end: () => clearInterval(timer) };
}

/**
 * Asks a worker. Where no worker can start, the same code answers on the page: slower to the touch, not different in
 * its answer.
 * @param limitSeconds far above the longest answer; null for a worker whose answer may be hours away
 */
export function clientOf<Api extends Answers>(
  startWorker: () => Worker,
  onThePage: () => Promise<Api>,
  limitSeconds: number | null,
): Client<Api> {
  let started: Ask<Api> | undefined;
  let end: (() => void) | undefined;
  let say: (() => void) | undefined;
  onSpeak(() => say?.());

  const askPage: Ask<Api> = async (name, ...question) => {
    const answer = (await onThePage())[name] as unknown as (...asked: unknown[]) => never;
    return answer(...question);
  };

  const askWorker = (): Ask<Api> => {
    let worker: Worker;
    try {
      worker = startWorker();
    } catch {
      return askPage;
    }
    const remote = wrap<Remote>(worker);
    // Messages keep their order: nothing that is asked after it is answered before it. A worker that cannot hear it cannot answer either.
    say = () => void remote.speak(spokenNow()).catch(() => undefined);
    if (currentSpeech()) say();
    const broken = new Promise<never>((_, reject) => {
      worker.addEventListener('error', () => {
        started = askPage;
        reject(new Error('The worker did not start.'));
      });
      end = () => {
        worker.terminate();
        started = undefined;
        reject(new Stopped('It was given up.'));
      };
    });
    broken.catch(() => undefined);
    const ask = async (name: keyof Api, ...question: never[]) => {
      const limit = limitSeconds === null ? null : timeLimit(limitSeconds);
      try {
        const answer = remote.answer(String(name), ...question) as Promise<never>;
        return await Promise.race([answer, broken, ...(limit ? [limit.over] : [])]);
      } catch (error) {
        if (error instanceof Stopped) throw error;
        if (!(error instanceof TookTooLong))
          return askPage(name, ...(question as unknown as Parameters<Api[keyof Api]>));
        worker.terminate();
        started = undefined;
        throw error;
      } finally {
        limit?.end();
      }
    };
    return ask as unknown as Ask<Api>;
  };

  const warm = () => {
    started ??= askWorker();
  };
  const ask: Ask<Api> = (name, ...question) => {
    warm();
    return (started ?? askPage)(name, ...question);
  };
  return { warm, ask, stop: () => end?.() };
}
