import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { formatDay } from '@/core/base/measures';
import type { ShelfNote } from '@/core/plan/question';
import { Button } from '@/ui';
import { Entry } from '../shared/Entry';

/** What stands on the shelf and has to be used or thrown out. Silent while everything keeps. */
export function ShelfDue({ shelf }: { shelf: readonly ShelfNote[] }) {
  return shelf.map(({ batchId, name, state, useBy, left }) => (
    <Entry
      key={batchId}
      title={state === 'past' ? t`Throw out: ${name}` : t`Use first: ${name}`}
      text={
        state === 'past'
          ? t`Past since ${{ useBy: formatDay(useBy, 'EEEE d MMMM') }}.`
          : t`${plural(left, { one: '# portion', other: '# portions' })}, good until ${{ useBy: formatDay(useBy, 'EEEE d MMMM') }}.`
      }
    >
      <Button label={t`To the shelf`} hint={t`To the shelf, ${name}`} onPress={() => router.push('/shelf')} />
    </Entry>
  ));
}
