import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { PlaceTabs } from '../shared/PlaceTabs';

const tabs = perLanguage(
  () =>
    [
      { href: '/week', label: t`Plan` },
      { href: '/week/days', label: t`Days` },
      { href: '/week/try', label: t`What if?` },
      { href: '/week/rules', label: t`Rules` },
    ] as const,
);

/** The four rooms of the week. */
export function WeekTabs({ here }: { here: ReturnType<typeof tabs>[number]['href'] }) {
  return <PlaceTabs label={t`Week`} tabs={tabs()} here={here} />;
}
