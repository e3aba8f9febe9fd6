import { useEffect, useRef, type RefObject } from 'react';
import type { ScrollView } from 'react-native';

/** How far each page was scrolled, by its address. */
const known = new Map<string, number>();
/** When the browser went back or forward last, milliseconds of the page's own clock. */
let wentBackAt = -Infinity;
/** A page that is drawn so soon after is the one that was gone to; one that is still fetched is drawn twice. */
const SOON_MS = 2000;

const here = () => window.location.pathname + window.location.search;

/** Whether the browser goes back or forward: only then a page stands where it was left. Called once. */
export function watchGoingBack(): () => void {
  const goes = () => {
    wentBackAt = performance.now();
  };
  // Before the router, which draws the page at once.
  window.addEventListener('popstate', goes, { capture: true });
  return () => window.removeEventListener('popstate', goes, { capture: true });
}

/** How long a page that is come back to may take to be as long as it was, milliseconds. */
const PATIENCE_MS = 3000;

/**
 * A page that is come back to stands where it was left, as soon as it is long enough again.
 * @returns for the view that scrolls
 */
export function useKeptScroll(): RefObject<ScrollView | null> {
  const ref = useRef<ScrollView>(null);
  useEffect(() => {
    const node = ref.current?.getScrollableNode() as HTMLElement | undefined;
    if (!node) return;
    const begun = performance.now();
    const y = begun - wentBackAt < SOON_MS ? (known.get(here()) ?? 0) : 0;
    let frame = 0;
    // The browser's own event: the view's comes a tenth of a second late. By the address now, which the router tells after
    // the page is drawn.
    const keep = () => known.set(here(), node.scrollTop);
    const stand = () => {
      if (node.scrollHeight - node.clientHeight < y && performance.now() - begun < PATIENCE_MS) {
        frame = requestAnimationFrame(stand);
        return;
      }
      if (y > 0) node.scrollTop = y;
      node.addEventListener('scroll', keep, { passive: true });
    };
    stand();
    return () => {
      cancelAnimationFrame(frame);
      node.removeEventListener('scroll', keep);
    };
  }, []);
  return ref;
}
