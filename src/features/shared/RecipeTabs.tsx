import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { PlaceTabs } from './PlaceTabs';

const tabs = perLanguage(
  () =>
    [
      { href: '/recipes', label: t`Recipes` },
      { href: '/shelf', label: t`Shelf` },
      { href: '/pantry', label: t`Pantry` },
    ] as const,
);

/** The three rooms of *Recipes*. */
export function RecipeTabs({ here }: { here: ReturnType<typeof tabs>[number]['href'] }) {
  return <PlaceTabs label={t`Recipes`} tabs={tabs()} here={here} />;
}
