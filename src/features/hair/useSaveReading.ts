import { t } from '@lingui/core/macro';
import { router, useLocalSearchParams } from 'expo-router';
import type { CalendarDay, Result } from '@/core/base/measures';
import { readingOf } from '@/core/hair/checks';
import { HAIR_SIDES, type Head, type Measured, type Moment, type Reading } from '@/core/records/shapes';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useToday } from '../shared/useToday';

/** Writes a reading of today down and goes to what it changed, or back to the day that asked for it; a problem comes back. */
export function useSaveReading(head: Head): (measured: Partial<Measured>, moment: Moment) => Result<Reading> {
  const add = useAddRecords();
  const today: CalendarDay = useToday();
  const { then, side, trial } = useLocalSearchParams<{ then?: string; side?: string; trial?: string }>();
  const ofSide = HAIR_SIDES.find((each) => each === side);
  return (measured, moment) => {
    const where = { ...newStamp(), headId: head.headId, day: today, moment };
    const made = readingOf(measured, ofSide ? { ...where, side: ofSide } : where, today);
    if (made.ok) {
      add([made.value], t`Hair check saved, ${{ headName: head.name }}.`);
      if (ofSide && trial) router.navigate(`/hair/trials/${trial}`);
      else router.navigate(then === 'today' ? '/' : '/hair');
    }
    return made;
  };
}
