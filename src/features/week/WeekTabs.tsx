import { t } from '@/core/base/language';
import { PlaceTabs } from '../shared/PlaceTabs';

const TABS = [
  { href: '/week', label: t`Plan` },
  { href: '/week/days', label: t`Days` },
  { href: '/week/try', label: t`Try out` },
  { href: '/week/rules', label: t`Rules` },
] as const;

/** The four rooms of the week. */
export function WeekTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return <PlaceTabs label={t`Week`} tabs={TABS} here={here} />;
}
