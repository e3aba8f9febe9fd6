import { dayOfDate } from '@/core/measures';
import { recordsAdded, type AppStore } from '@/store';

/** Fills an empty store with the demo; its code is fetched only then. */
export async function loadDemo(dispatch: AppStore['dispatch']): Promise<void> {
  const { demoRecords } = await import('@/core/simulation');
  dispatch(recordsAdded(demoRecords(dayOfDate(new Date()))));
}
