import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { Workbox } from 'workbox-window';
import { Body, Button } from '@/ui';
import { whenIdle } from './whenIdle';

/** So often a page that stays open looks for a new version. */
const LOOK_EVERY_MS = 3_600_000;

/**
 * Keeps the application in the browser, so that it opens with the server gone, and offers a new version when there is one.
 * It is never forced: what is on screen stays until she takes it.
 */
export function NewVersion() {
  const [waiting, setWaiting] = useState<Workbox | null>(null);
  const [later, setLater] = useState(false);
  useEffect(() => keptInBrowser(setWaiting), []);
  if (!waiting || later) return null;
  return (
    <View
      role="status"
      className="flex-row flex-wrap items-center gap-3 border-b border-line bg-raised px-5 py-2"
    >
      <View className="min-w-column-l flex-1">
        <Body>{t`A new version is here. Your records stay as they are.`}</Body>
      </View>
      <Button
        label={t`Use it`}
        hint={t`Use the new version now`}
        onPress={() => waiting.messageSkipWaiting()}
      />
      <Button tone="quiet" label={t`Later`} hint={t`The new version later`} onPress={() => setLater(true)} />
    </View>
  );
}

/** Not while it is being developed: the old code would be served. @returns a function that ends looking */
function keptInBrowser(onWaiting: (workbox: Workbox) => void): () => void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return () => undefined;
  let ended = false;
  let looking: ReturnType<typeof setInterval> | undefined;
  const begin = async () => {
    const { Workbox } = await import('workbox-window');
    if (ended) return;
    const workbox = new Workbox('/sw.js');
    workbox.addEventListener('waiting', () => onWaiting(workbox));
    // Another version has taken over because somebody asked for it, here or in another tab.
    workbox.addEventListener('controlling', ({ isUpdate }) => {
      // In the middle of a wash day this is not on screen, and nothing is reloaded.
      if (isUpdate && !ended) window.location.reload();
    });
    try {
      await workbox.register();
      looking = setInterval(() => void workbox.update().catch(() => undefined), LOOK_EVERY_MS);
    } catch {
      // A browser that keeps no workers, in a private window for example: it works while the server is there.
    }
  };
  // The first screen comes first.
  const callOff = whenIdle(() => void begin());
  return () => {
    ended = true;
    callOff();
    clearInterval(looking);
  };
}
