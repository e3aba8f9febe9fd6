import { lacksOf, type KitItem } from '@/core/agenda';
import { PLACES, type Place } from '@/core/batches';
import { ofKind } from '@/core/exchange';
import { selectLiveRecords, useAppSelector } from '@/store';

/** What the household lacks, and where it can keep things. */
export function useKit(): { readonly lacks: readonly KitItem[]; readonly places: readonly Place[] } {
  const lacks = lacksOf(ofKind(useAppSelector(selectLiveRecords), 'kit'));
  return { lacks, places: PLACES.filter((place) => place !== 'freezer' || !lacks.includes('freezer')) };
}
