import { t } from '@lingui/core/macro';
import { lazy, Suspense, type ComponentType } from 'react';
import { Screen } from '@/ui';

/**
 * A screen whose code is fetched when it is first opened. Screens of one place share their code, and without this all of
 * it would come with the first screen of the application.
 */
export function lazyScreen<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
): ComponentType<Props> {
  const Loaded = lazy(async () => ({ default: await load() }));
  return function LazyScreen(props: Props) {
    return (
      <Suspense fallback={<Screen headline={t`One moment`}>{null}</Screen>}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}
