import { plural, t } from '@lingui/core/macro';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { formatDay } from '@/core/base/measures';
import type { Due } from '@/core/plan/planning';
import { Small, Strong } from '@/ui';

const needNames = perLanguage((): Record<Due['what'], string> => ({
  protein: t`Protein`,
  'strong protein': t`Strong protein`,
  moisture: t`Moisture`,
  'main treatment': t`Main treatment`,
}));

/** Overdue and too soon, at a glance. */
export function Dues({ dues }: { dues: readonly Due[] }) {
  return (
    <View role="list" aria-label={t`Since when, and when again`} className="gap-1" testID="dues">
      {dues.map((due) => (
        <View key={due.what} role="listitem" className="flex-row flex-wrap items-baseline gap-x-2">
          <Strong>{needNames()[due.what]}</Strong>
          <Small className={due.overdueBy > 0 ? 'font-strong text-ink' : ''}>{dueWords(due)}</Small>
        </View>
      ))}
    </View>
  );
}

function dueWords({ since, tooSoonFor, allowedFrom, plannedOn, overdueBy }: Due): string {
  const ago =
    since === null
      ? t`not yet`
      : since === 0
        ? t`today`
        : since === 1
          ? t`yesterday`
          : t`${plural(since, { one: '# day', other: '# days' })} ago`;
  const late = overdueBy > 0 ? t`, overdue by ${plural(overdueBy, { one: 'a day', other: '# days' })}` : '';
  const may =
    tooSoonFor > 0 ? t` · too soon until ${{ allowedFrom: formatDay(allowedFrom, 'EEE d MMM') }}` : '';
  const planned =
    plannedOn === null
      ? t` · none planned`
      : t` · planned ${{ plannedOn: formatDay(plannedOn, 'EEE d MMM') }}`;
  return `${ago}${late}${may}${planned}`;
}
