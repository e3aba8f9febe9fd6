import { PlaceTabs } from './PlaceTabs';

const TABS = [
  { href: '/heads', label: 'Heads' },
  { href: '/heads/schools', label: 'Schools' },
  { href: '/heads/settings', label: 'Settings' },
  { href: '/heads/keeping', label: 'Keeping' },
] as const;

/** The rooms of heads and settings. */
export function HeadsTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return <PlaceTabs label="Heads and settings" tabs={TABS} here={here} />;
}
