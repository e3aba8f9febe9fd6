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
    <View role="list" aria-label={t`Last time and next time`} testID="dues">
      {dues.map((due) => (
        <View key={due.what} role="listitem" className="border-t border-line py-1.5">
          <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
            <Strong>{needNames()[due.what]}</Strong>
            <Small className={due.overdueBy > 0 ? 'font-strong text-ink' : ''}>{lastAndNext(due)}</Small>
          </View>
          {due.overdueBy > 0 ? (
            <Small className="font-strong text-ink">
              {t`overdue by ${plural({ days: due.overdueBy }, { one: 'a day', other: '# days' })}`}
            </Small>
          ) : due.tooSoonFor > 0 ? (
            <Small>{t`too soon until ${{ allowedFrom: formatDay(due.allowedFrom, 'EEE d MMM') }}`}</Small>
          ) : null}
        </View>
      ))}
    </View>
  );
}

function lastAndNext({ since, plannedOn }: Due): string {
  const last =
    since === null
      ? t`not yet`
      : since === 0
        ? t`today`
        : since === 1
          ? t`yesterday`
          : t`${plural(since, { one: '# day', other: '# days' })} ago`;
  return plannedOn === null
    ? t`${last} · next not planned`
    : t`${last} · next ${{ planned: formatDay(plannedOn, 'EEE d MMM') }}`;
}
