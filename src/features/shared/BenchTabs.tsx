import { t } from '@/core/base/language';
import { PlaceTabs } from './PlaceTabs';

const TABS = [
  { href: '/bench', label: t`Recipes` },
  { href: '/shelf', label: t`Shelf` },
  { href: '/pantry', label: t`Pantry` },
] as const;

/** The three rooms of the bench. */
export function BenchTabs({ here }: { here: (typeof TABS)[number]['href'] }) {
  return <PlaceTabs label={t`Bench`} tabs={TABS} here={here} />;
}
