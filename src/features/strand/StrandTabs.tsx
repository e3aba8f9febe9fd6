import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { PlaceTabs } from '../shared/PlaceTabs';

const tabs = perLanguage(
  () =>
    [
      { href: '/strand', label: t`Now` },
      { href: '/strand/works', label: t`What works` },
      { href: '/strand/trials', label: t`Trials` },
      { href: '/strand/log', label: t`Log` },
    ] as const,
);

/** The four rooms of the strand. */
export function StrandTabs({ here }: { here: ReturnType<typeof tabs>[number]['href'] }) {
  return <PlaceTabs label={t`Hair`} tabs={tabs()} here={here} />;
}
