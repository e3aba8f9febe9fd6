import { View } from 'react-native';
import { t } from '@/core/base/language';
import { formatDay } from '@/core/base/measures';
import type { Due } from '@/core/plan/planning';
import { Small, Strong } from '@/ui';

const NAMES: Record<Due['what'], string> = {
  protein: t`Protein`,
  'strong protein': t`Strong protein`,
  moisture: t`Moisture`,
  'main treatment': t`Main treatment`,
};

/** Overdue and too soon, at a glance. */
export function Dues({ dues }: { dues: readonly Due[] }) {
  return (
    <View role="list" aria-label={t`Since when, and when again`} className="gap-1" testID="dues">
      {dues.map((due) => (
        <View key={due.what} role="listitem" className="flex-row flex-wrap items-baseline gap-x-2">
          <Strong>{NAMES[due.what]}</Strong>
          <Small className={due.overdueBy > 0 ? 'font-strong text-ink' : ''}>{dueWords(due)}</Small>
        </View>
      ))}
    </View>
  );
}

function dueWords({ since, tooSoonFor, allowedFrom, plannedOn, overdueBy }: Due): string {
  const ago =
    since === null
      ? t`never yet`
      : since === 0
        ? t`today`
        : since === 1
          ? t`yesterday`
          : t`${since} days ago`;
  const late = overdueBy > 0 ? t`, overdue by ${overdueBy === 1 ? t`a day` : t`${overdueBy} days`}` : '';
  const may = tooSoonFor > 0 ? t` · too soon until ${formatDay(allowedFrom, 'EEE d MMM')}` : '';
  const planned =
    plannedOn === null ? t` · none planned` : t` · planned ${formatDay(plannedOn, 'EEE d MMM')}`;
  return `${ago}${late}${may}${planned}`;
}
