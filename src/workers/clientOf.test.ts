import { calendarDay, Stopped, TookTooLong } from '@/core/base/measures';
import { headsIn } from '@/core/hair/history';
import { clientOf } from './clientOf';
import { estimatorApi, type EstimatorApi } from './estimating';
import { solverApi, type SolverApi } from './solving';

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
    const estimator = clientOf<EstimatorApi>(start, async () => estimatorApi, 60);
    const planner = clientOf<SolverApi>(start, async () => solverApi, 60);
    estimator.warm();
    const records = await estimator.ask('demo', day);
    const [head] = headsIn(records);
    const question = { head: head!, records, today: day };
    const state = await estimator.ask('estimate', question);
    const { plans } = await planner.ask('firstPlan', {
      heads: [{ head: head!, state, agreement: null }],
      records,
      today: day,
      weeks: 1,
      effort: 'brief',
    });
    expect(state).toEqual(estimatorApi.estimate(question));
    expect(plans.map(({ headId, days }) => [headId, days.length])).toEqual([['maren', 7]]);
    expect((await estimator.ask('readBackup', 'no backup')).ok).toBe(false);
  });
});

/** Never answers. */
class BusyWorker extends EventTarget {
  ended = false;
  postMessage() {
    // Busy.
  }
  terminate() {
    this.ended = true;
  }
}

describe('a worker', () => {
  it('can be stopped: what was asked is refused, nothing is computed on the page, and the next question starts it anew', async () => {
    const workers: BusyWorker[] = [];
    let onThePage = 0;
    const client = clientOf<EstimatorApi>(
      () => {
        workers.push(new BusyWorker());
        return workers.at(-1) as unknown as Worker;
      },
      async () => {
        onThePage++;
        return estimatorApi;
      },
      60,
    );
    const asked = client.ask('readBackup', '{}');
    client.stop();
    await expect(asked).rejects.toBeInstanceOf(Stopped);
    const again = client.ask('readBackup', '{}');
    expect(workers.map(({ ended }) => ended)).toEqual([true, false]);
    client.stop();
    await expect(again).rejects.toBeInstanceOf(Stopped);
    expect(onThePage).toBe(0);
  });

  it('is started once, however often it is asked', async () => {
    let starts = 0;
    const client = clientOf<EstimatorApi>(
      () => {
        starts++;
        return new BrokenWorker() as unknown as Worker;
      },
      async () => estimatorApi,
      60,
    );
    client.warm();
    await Promise.all([client.ask('readBackup', ''), client.ask('readBackup', '{}')]);
    await client.ask('readBackup', '[]');
    expect(starts).toBe(1);
  });

  it('that dies without a word is given up when its time is over, says what to do, and is started anew by the next question', async () => {
    jest.useFakeTimers();
    try {
      const workers: BusyWorker[] = [];
      const client = clientOf<EstimatorApi>(
        () => {
          workers.push(new BusyWorker());
          return workers.at(-1) as unknown as Worker;
        },
        async () => estimatorApi,
        30,
      );
      const refused = expect(client.ask('readBackup', '{}')).rejects.toBeInstanceOf(TookTooLong);
      await jest.advanceTimersByTimeAsync(29_000);
      expect(workers[0]?.ended).toBe(false);
      await jest.advanceTimersByTimeAsync(1_000);
      await refused;
      expect(workers[0]?.ended).toBe(true);
      const again = client.ask('readBackup', '{}');
      expect(workers).toHaveLength(2);
      client.stop();
      await expect(again).rejects.toBeInstanceOf(Stopped);
      expect(jest.getTimerCount()).toBe(0);
    } finally {
      jest.useRealTimers();
    }
  });
});
