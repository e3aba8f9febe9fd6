import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { PlaceTabs } from '../shared/PlaceTabs';

const tabs = perLanguage(
  () =>
    [
      { href: '/hair', label: t`Now` },
      { href: '/hair/works', label: t`What works` },
      { href: '/hair/trials', label: t`Trials` },
      { href: '/hair/log', label: t`Log` },
    ] as const,
);

/** The four rooms of the strand. */
export function HairTabs({ here }: { here: ReturnType<typeof tabs>[number]['href'] }) {
  return <PlaceTabs label={t`Hair`} tabs={tabs()} here={here} />;
}
