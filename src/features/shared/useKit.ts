import { lacksOf, type KitItem, PLACES, type Place } from '@/core/records/shapes';
import { ofKind } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';

/** What the household lacks, and where it can keep things. */
export function useKit(): { readonly lacks: readonly KitItem[]; readonly places: readonly Place[] } {
  const lacks = lacksOf(ofKind(useAppSelector(selectLiveRecords), 'kit'));
  return { lacks, places: PLACES.filter((place) => place !== 'freezer' || !lacks.includes('freezer')) };
}
