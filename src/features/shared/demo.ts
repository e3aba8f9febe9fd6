import { dayOfDate } from '@/core/measures';
import { recordsAdded, type AppStore } from '@/store';
import { askEstimator } from '@/workers';

/** Fills an empty store with the demo. */
export async function loadDemo(dispatch: AppStore['dispatch']): Promise<void> {
  dispatch(recordsAdded(await askEstimator('demo', dayOfDate(new Date()))));
}
