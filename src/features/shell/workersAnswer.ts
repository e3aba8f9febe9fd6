import { proxy } from 'comlink';
import type { Answerer } from '@/store';
import { askEstimator, askScheduler, stopScheduler, warmWorkers, type PlanNews } from '@/workers';

/** The workers compute, off the main thread; they start at once, for reading their code takes longer than most answers. */
export function workersAnswer(): Answerer {
  warmWorkers();
  return {
    estimate: (question) => askEstimator('estimate', question),
    firstPlan: (question) => askScheduler('firstPlan', question),
    plan: (question, onFirst, onGap) =>
      askScheduler(
        'plan',
        question,
        onFirst !== null,
        proxy((news: PlanNews) => (news.what === 'gap' ? onGap(news.gap) : onFirst?.(news.answer))),
      ),
    stopPlan: stopScheduler,
  };
}
