import { PlaceTabs } from '../shared/PlaceTabs';

const TABS = [
  { href: '/strand', label: 'Now' },
  { href: '/strand/works', label: 'What works' },
  { href: '/strand/trials', label: 'Trials' },
  { href: '/strand/log', label: 'Log' },
] as const;

/** The four rooms of the strand. */
export function StrandTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return <PlaceTabs label="Strand" tabs={TABS} here={here} />;
}
