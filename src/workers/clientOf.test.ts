import { headsIn } from '@/core/exchange';
import { calendarDay } from '@/core/measures';
import { clientOf } from './clientOf';
import { estimatorApi, plannerApi, type EstimatorApi, type PlannerApi } from './compute';

const day = calendarDay('2026-05-13');

/** Breaks as soon as it is asked. */
class BrokenWorker extends EventTarget {
  postMessage() {
    queueMicrotask(() => this.dispatchEvent(new Event('error')));
  }
}

describe.each([
  [
    'cannot start',
    () => {
      throw new Error('blocked by the browser');
    },
  ],
  ['breaks', () => new BrokenWorker() as unknown as Worker],
])('where a worker %s', (_, start) => {
  it('the page itself gives the same answers', async () => {
    const estimator = clientOf<EstimatorApi>(start, async () => estimatorApi);
    const planner = clientOf<PlannerApi>(start, async () => plannerApi);
    estimator.warm();
    const records = await estimator.ask('demo', day);
    const [head] = headsIn(records);
    const question = { head: head!, records, today: day };
    const state = await estimator.ask('estimate', question);
    const plan = await planner.ask('plan', { ...question, state, weeks: 1 });
    expect(state).toEqual(estimatorApi.estimate(question));
    expect([plan.headId, plan.days.length]).toEqual(['maren', 7]);
    expect((await estimator.ask('readBackup', 'no backup')).ok).toBe(false);
  });
});

describe('a worker', () => {
  it('is started once, however often it is asked', async () => {
    let starts = 0;
    const client = clientOf<EstimatorApi>(
      () => {
        starts++;
        return new BrokenWorker() as unknown as Worker;
      },
      async () => estimatorApi,
    );
    client.warm();
    await Promise.all([client.ask('readBackup', ''), client.ask('readBackup', '{}')]);
    await client.ask('readBackup', '[]');
    expect(starts).toBe(1);
  });
});
