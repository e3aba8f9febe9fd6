import { useEffect, useRef, type RefObject } from 'react';
import type { ScrollView } from 'react-native';

/** How far each page was scrolled, by its address. */
const known = new Map<string, number>();
/** When the browser went back or forward last, milliseconds of the page's own clock. */
let wentBackAt = -Infinity;
/** The page that was drawn last, and when. */
let latest: { readonly drawnAt: number; readonly stand: () => void } | null = null;

/** A page that is drawn so soon after is the one that was gone to; one that is still fetched is drawn twice. */
const SOON_MS = 2000;
/** The router now and then sees the address before the browser tells of it, and the page is there a frame earlier. */
const EARLY_MS = 250;
/** How long a page may take to be as long as it was. */
const PATIENCE_MS = 3000;

const here = () => window.location.pathname + window.location.search;

// Only a page that is gone back or forward to stands where it was left.
if (typeof window !== 'undefined')
  window.addEventListener('popstate', () => {
    wentBackAt = performance.now();
    if (latest && wentBackAt - latest.drawnAt < EARLY_MS) latest.stand();
  });

/**
 * A page that is come back to stands where it was left, as soon as it is long enough again.
 * @returns for the view that scrolls
 */
export function useKeptScroll(): RefObject<ScrollView | null> {
  const ref = useRef<ScrollView>(null);
  useEffect(() => {
    const node = ref.current?.getScrollableNode() as HTMLElement | undefined;
    if (!node) return;
    const drawnAt = performance.now();
    let frame = 0;
    const stand = () => {
      const y = known.get(here()) ?? 0;
      const isLong = node.scrollHeight - node.clientHeight >= y;
      if (isLong) node.scrollTop = y;
      else if (performance.now() - drawnAt < PATIENCE_MS) frame = requestAnimationFrame(stand);
    };
    // The browser's own event: the view's comes a tenth of a second late. By the address now, which the router tells after
    // the page is drawn.
    const keep = () => known.set(here(), node.scrollTop);
    node.addEventListener('scroll', keep, { passive: true });
    latest = { drawnAt, stand };
    if (drawnAt - wentBackAt < SOON_MS) stand();
    return () => {
      cancelAnimationFrame(frame);
      node.removeEventListener('scroll', keep);
    };
  }, []);
  return ref;
}
