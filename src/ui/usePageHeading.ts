import { useEffect, useRef, type RefObject } from 'react';
import type { Text } from 'react-native';

const NAME = 'Velvet Rhythm';

/** The page that was opened first keeps its focus where the browser put it. */
const firstPath = typeof window === 'undefined' ? null : window.location.pathname;
let hasMoved = false;

/**
 * Names the page by its headline and, after a change of place, brings whoever listens to it or goes by keyboard there:
 * else the focus stays on what is gone. A field that took the focus keeps it.
 * @returns for the headline
 */
export function usePageHeading(headline: string): RefObject<Text | null> {
  const heading = useRef<Text>(null);
  useEffect(() => {
    document.title = `${headline} · ${NAME}`;
  }, [headline]);
  useEffect(() => {
    // The router tells the address after the page is drawn.
    const timer = setTimeout(() => {
      hasMoved ||= window.location.pathname !== firstPath;
      const element = heading.current as unknown as HTMLElement | null;
      const focused = document.activeElement;
      const isLost = focused === document.body || focused?.closest('[role="navigation"]');
      if (!hasMoved || !element || !isLost) return;
      element.tabIndex = -1;
      element.focus({ preventScroll: true });
    }, 0);
    return () => clearTimeout(timer);
  }, []);
  return heading;
}
