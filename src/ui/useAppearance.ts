import { useEffect, useSyncExternalStore } from 'react';

let zoom = 1;
const listeners = new Set<() => void>();

function listen(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** How much everything on the page is enlarged; 1 where nothing is chosen. */
export function usePageZoom(): number {
  return useSyncExternalStore(listen, () => zoom);
}

/**
 * Puts the size of text and the wish for stillness on the page.
 * @param sizePercent 100 and up: everything grows with the text, so that nothing is cut off
 */
export function useAppearance(sizePercent: number, isStill: boolean): void {
  useEffect(() => {
    zoom = sizePercent / 100;
    document.documentElement.style.zoom = String(zoom);
    listeners.forEach((listener) => listener());
  }, [sizePercent]);
  useEffect(() => {
    document.documentElement.classList.toggle('still', isStill);
  }, [isStill]);
}
