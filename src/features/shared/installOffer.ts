/** What Chromium's browsers offer once a page may be installed; others have it in their menu. */
export interface InstallOffer extends Event {
  readonly prompt: () => Promise<unknown>;
}

/** The browser offers it once, when a page is opened: it is kept for a person who looks for it. */
export const kept: { offer: InstallOffer | null } = { offer: null };

export function keepInstallOffer(): void {
  addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    kept.offer = event as InstallOffer;
  });
}
