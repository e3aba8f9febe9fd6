import { t } from '@lingui/core/macro';
import { dayOfDate } from '@/core/base/measures';
import { recordsTaken, undoOffered, type AppStore } from '@/store';
import { askEstimator } from '@/workers';

/** Fills an empty store with the demo. */
export async function loadDemo(dispatch: AppStore['dispatch']): Promise<void> {
  try {
    dispatch(recordsTaken(await askEstimator('demo', dayOfDate(new Date()))));
  } catch (error) {
    dispatch(
      undoOffered({ said: t`The demo could not be made. ${{ message: messageOf(error) }}`, recordIds: [] }),
    );
  }
}

const messageOf = (error: unknown) => (error instanceof Error ? error.message : '');
