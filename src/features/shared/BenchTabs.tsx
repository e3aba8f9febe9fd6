import { PlaceTabs } from './PlaceTabs';

const TABS = [
  { href: '/bench', label: 'Recipes' },
  { href: '/shelf', label: 'Shelf' },
  { href: '/pantry', label: 'Pantry' },
] as const;

/** The three rooms of the bench. */
export function BenchTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return <PlaceTabs label="Bench" tabs={TABS} here={here} />;
}
