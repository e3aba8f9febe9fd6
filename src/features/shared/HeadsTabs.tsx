import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { PlaceTabs } from './PlaceTabs';

const tabs = perLanguage(
  () =>
    [
      { href: '/heads', label: t`People` },
      { href: '/heads/schools', label: t`Protein` },
      { href: '/heads/settings', label: t`Settings` },
      { href: '/heads/keeping', label: t`Backup & export` },
    ] as const,
);

/** The rooms of heads and settings. */
export function HeadsTabs({ here }: { here: ReturnType<typeof tabs>[number]['href'] }) {
  return <PlaceTabs label={t`People and settings`} tabs={tabs()} here={here} />;
}
