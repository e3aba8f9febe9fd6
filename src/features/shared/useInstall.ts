import { useSyncExternalStore } from 'react';

/** What Chromium's browsers offer once a page may be installed; others have it in their menu. */
interface InstallOffer extends Event {
  readonly prompt: () => Promise<unknown>;
}

let offer: InstallOffer | null = null;
const listeners = new Set<() => void>();
const tell = (next: InstallOffer | null) => {
  offer = next;
  listeners.forEach((listener) => listener());
};

/** Keeps the browser's offer for later: it is made when a person looks for it, not when she comes in. */
export function keepInstallOffer(): void {
  globalThis.addEventListener?.('beforeinstallprompt', (event) => {
    event.preventDefault();
    tell(event as InstallOffer);
  });
  globalThis.addEventListener?.('appinstalled', () => tell(null));
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** @returns null where the browser offers nothing */
export function useInstall(): (() => void) | null {
  const now = useSyncExternalStore(
    subscribe,
    () => offer,
    () => null,
  );
  if (!now) return null;
  return () => {
    tell(null);
    void now.prompt();
  };
}
