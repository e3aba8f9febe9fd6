import { t } from '@/core/base/language';
import { PlaceTabs } from './PlaceTabs';

const TABS = [
  { href: '/heads', label: t`Heads` },
  { href: '/heads/schools', label: t`Schools` },
  { href: '/heads/settings', label: t`Settings` },
  { href: '/heads/keeping', label: t`Keeping` },
] as const;

/** The rooms of heads and settings. */
export function HeadsTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return <PlaceTabs label={t`Heads and settings`} tabs={TABS} here={here} />;
}
