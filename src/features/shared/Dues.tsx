import { View } from 'react-native';
import { formatDay } from '@/core/measures';
import type { Due } from '@/core/planning';
import { Small, Strong } from '@/ui';

/** Overdue and too soon, at a glance. */
export function Dues({ dues }: { dues: readonly Due[] }) {
  return (
    <View role="list" aria-label="Since when, and when again" className="gap-1" testID="dues">
      {dues.map((due) => (
        <View key={due.what} role="listitem" className="flex-row flex-wrap items-baseline gap-x-2">
          <Strong>{due.what.charAt(0).toUpperCase() + due.what.slice(1)}</Strong>
          <Small className={due.overdueBy > 0 ? 'font-strong text-ink' : ''}>{dueWords(due)}</Small>
        </View>
      ))}
    </View>
  );
}

function dueWords({ since, tooSoonFor, allowedFrom, plannedOn, overdueBy }: Due): string {
  const ago =
    since === null ? 'never yet' : since === 0 ? 'today' : since === 1 ? 'yesterday' : `${since} days ago`;
  const late = overdueBy > 0 ? `, overdue by ${overdueBy === 1 ? 'a day' : `${overdueBy} days`}` : '';
  const may = tooSoonFor > 0 ? ` · too soon until ${formatDay(allowedFrom, 'EEE d MMM')}` : '';
  const planned = plannedOn === null ? ' · none planned' : ` · planned ${formatDay(plannedOn, 'EEE d MMM')}`;
  return `${ago}${late}${may}${planned}`;
}
