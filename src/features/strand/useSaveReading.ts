import { t } from '@lingui/core/macro';
import { router, useLocalSearchParams } from 'expo-router';
import type { CalendarDay, Result } from '@/core/base/measures';
import { readingOf } from '@/core/hair/checks';
import type { Head, Measured, Moment, Reading } from '@/core/records/shapes';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useToday } from '../shared/useToday';

/** Writes a reading of today down and goes to what it changed, or back to the day that asked for it; a problem comes back. */
export function useSaveReading(head: Head): (measured: Partial<Measured>, moment: Moment) => Result<Reading> {
  const add = useAddRecords();
  const today: CalendarDay = useToday();
  const { then } = useLocalSearchParams<{ then?: string }>();
  return (measured, moment) => {
    const made = readingOf(measured, { ...newStamp(), headId: head.headId, day: today, moment }, today);
    if (made.ok) {
      add([made.value], t`The reading of ${{ headName: head.name }} is written down.`);
      router.navigate(then === 'today' ? '/' : '/strand');
    }
    return made;
  };
}
