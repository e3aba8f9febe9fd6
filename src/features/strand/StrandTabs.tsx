import { t } from '@/core/base/language';
import { PlaceTabs } from '../shared/PlaceTabs';

const TABS = [
  { href: '/strand', label: t`Now` },
  { href: '/strand/works', label: t`What works` },
  { href: '/strand/trials', label: t`Trials` },
  { href: '/strand/log', label: t`Log` },
] as const;

/** The four rooms of the strand. */
export function StrandTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return <PlaceTabs label={t`Strand`} tabs={TABS} here={here} />;
}
