import { router } from 'expo-router';
import { formatDay } from '@/core/measures';
import { Button } from '@/ui';
import type { ShelfNote } from '@/workers';
import { Entry } from '../shared/Entry';

/** What stands on the shelf and has to be used or thrown out. Silent while everything keeps. */
export function ShelfDue({ shelf }: { shelf: readonly ShelfNote[] }) {
  return shelf.map(({ batchId, name, state, useBy, left }) => (
    <Entry
      key={batchId}
      title={state === 'past' ? `Throw out: ${name}` : `Use first: ${name}`}
      text={
        state === 'past'
          ? `Past since ${formatDay(useBy, 'EEEE d MMMM')}.`
          : `${left} ${left === 1 ? 'portion' : 'portions'}, good until ${formatDay(useBy, 'EEEE d MMMM')}.`
      }
    >
      <Button label="To the shelf" hint={`To the shelf, ${name}`} onPress={() => router.push('/shelf')} />
    </Entry>
  ));
}
