import { PlaceTabs } from '../shared/PlaceTabs';

const TABS = [
  { href: '/week', label: 'Plan' },
  { href: '/week/days', label: 'Days' },
  { href: '/week/try', label: 'Try out' },
  { href: '/week/rules', label: 'Rules' },
] as const;

/** The four rooms of the week. */
export function WeekTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return <PlaceTabs label="Week" tabs={TABS} here={here} />;
}
