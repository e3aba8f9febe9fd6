import { useMemo } from 'react';
import { hairMassGrams } from '@/core/hair/state';
import { selectOwnMeasures, selectPrefs, useAppSelector } from '@/store';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';

/** What a text is read with: her larder, her measures, and for how much hair. */
export function useReading() {
  const larder = useLarder();
  const { cup } = useAppSelector(selectPrefs);
  const own = useAppSelector(selectOwnMeasures);
  const head = useHead();
  const hairGrams = head && hairMassGrams(head);
  return useMemo(() => ({ larder, cup, own, hairGrams }), [larder, cup, own, hairGrams]);
}
