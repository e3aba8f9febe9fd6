import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { addDays, formatDay, type CalendarDay } from '@/core/base/measures';
import type { ShelfNote } from '@/core/plan/question';
import { ofKind, USE_FIRST_DAYS } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button } from '@/ui';
import { Entry } from '../shared/Entry';
import { useToday } from '../shared/useToday';

/** What stands on the shelf and has to be used or thrown out. Silent while everything keeps. */
export function ShelfDue({ shelf }: { shelf: readonly ShelfNote[] }) {
  return (
    <>
      <BatchesDue shelf={shelf} />
      <LeftoversDue />
    </>
  );
}

/** What a batch left over is used within days, or thrown out. */
function LeftoversDue() {
  const today = useToday();
  return ofKind(useAppSelector(selectLiveRecords), 'leftover')
    .filter(({ useBy }) => useBy <= addDays(today, USE_FIRST_DAYS))
    .map(({ id, name, useBy }) => (
      <Due
        key={id}
        name={name}
        isPast={useBy < today}
        useBy={useBy}
        good={t`Good until ${{ useBy: formatDay(useBy, 'EEEE d MMMM') }}.`}
      />
    ));
}

function BatchesDue({ shelf }: { shelf: readonly ShelfNote[] }) {
  return shelf.map(({ batchId, name, state, useBy, left }) => (
    <Due
      key={batchId}
      name={name}
      isPast={state === 'past'}
      useBy={useBy}
      good={t`${plural(left, { one: '# portion', other: '# portions' })}, good until ${{ useBy: formatDay(useBy, 'EEEE d MMMM') }}.`}
    />
  ));
}

interface DueProps {
  readonly name: string;
  readonly isPast: boolean;
  readonly useBy: CalendarDay;
  /** What is said of it as long as it is good. */
  readonly good: string;
}

function Due({ name, isPast, useBy, good }: DueProps) {
  return (
    <Entry
      title={isPast ? t`Throw out: ${name}` : t`Use first: ${name}`}
      text={isPast ? t`Past since ${{ useBy: formatDay(useBy, 'EEEE d MMMM') }}.` : good}
    >
      <Button label={t`To the shelf`} hint={t`To the shelf, ${name}`} onPress={() => router.push('/shelf')} />
    </Entry>
  );
}
