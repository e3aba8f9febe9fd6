import { wrap } from 'comlink';
import type { Backup } from '@/core/exchange';
import type { HairState } from '@/core/hair';
import type { Result } from '@/core/measures';
import type { Plan } from '@/core/planning';
import type { HairQuestion, PlanQuestion } from './compute';

type Answering<Question, Answer> = (question: Question) => Promise<Answer>;

/**
 * A function that answers in a worker. Where no worker can start, the same code answers on the page: slower to the
 * touch, not different in its answer.
 */
function inWorker<Question, Answer>(
  start: () => Worker,
  onThePage: () => Promise<(question: Question) => Answer>,
): Answering<Question, Answer> {
  let answering: Answering<Question, Answer> | undefined;
  const fallback: Answering<Question, Answer> = async (question) => (await onThePage())(question);
  return (question) => {
    answering ??= (() => {
      try {
        const worker = start();
        const remote = wrap<(question: Question) => Answer>(worker) as unknown as Answering<Question, Answer>;
        const broken = new Promise<never>((_, reject) => {
          worker.addEventListener('error', () => reject(new Error('The worker did not start.')));
        });
        broken.catch(() => {
          answering = fallback;
        });
        return (asked) => Promise.race([remote(asked), broken]).catch(() => fallback(asked));
      } catch {
        return fallback;
      }
    })();
    return answering(question);
  };
}

export const estimateInWorker = inWorker<HairQuestion, HairState>(
  () => new Worker(new URL('./estimator.worker', import.meta.url)),
  async () => (await import('./compute')).estimateFor,
);

export const planInWorker = inWorker<PlanQuestion, Plan>(
  () => new Worker(new URL('./planner.worker', import.meta.url)),
  async () => (await import('./compute')).planFor,
);

export const readBackupInWorker = inWorker<string, Result<Backup>>(
  () => new Worker(new URL('./backup.worker', import.meta.url)),
  async () => (await import('@/core/exchange')).readBackup,
);
