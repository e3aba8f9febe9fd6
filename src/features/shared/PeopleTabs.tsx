import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { PlaceTabs } from './PlaceTabs';

const tabs = perLanguage(
  () =>
    [
      { href: '/people', label: t`People` },
      { href: '/people/opinions', label: t`Protein` },
      { href: '/people/settings', label: t`Settings` },
      { href: '/people/backup', label: t`Backup & export` },
    ] as const,
);

/** The rooms of heads and settings. */
export function PeopleTabs({ here }: { here: ReturnType<typeof tabs>[number]['href'] }) {
  return <PlaceTabs label={t`People and settings`} tabs={tabs()} here={here} />;
}
