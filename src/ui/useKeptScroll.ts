import { useEffect, useRef, type RefObject } from 'react';
import type { NativeScrollEvent, NativeSyntheticEvent, ScrollView } from 'react-native';

/** How far each page was scrolled, by its address. */
const known = new Map<string, number>();
let isGoingBack = false;

const here = () => window.location.pathname + window.location.search;

/** Whether the browser goes back or forward: only then a page stands where it was left. Called once. */
export function watchGoingBack(): () => void {
  const goes = () => {
    isGoingBack = true;
  };
  // Before the router, which draws the page at once.
  window.addEventListener('popstate', goes, { capture: true });
  return () => window.removeEventListener('popstate', goes, { capture: true });
}

interface KeptScroll {
  readonly ref: RefObject<ScrollView | null>;
  readonly onScroll: (event: NativeSyntheticEvent<NativeScrollEvent>) => void;
  readonly scrollEventThrottle: number;
}

/** How long a page that is come back to may take to be as long as it was, milliseconds. */
const PATIENCE_MS = 3000;

/** A page that is come back to stands where it was left, as soon as it is long enough again. */
export function useKeptScroll(): KeptScroll {
  const ref = useRef<ScrollView>(null);
  const isWaiting = useRef(false);
  useEffect(() => {
    const y = isGoingBack ? (known.get(here()) ?? 0) : 0;
    isGoingBack = false;
    if (y === 0) return;
    isWaiting.current = true;
    const begun = performance.now();
    let frame = 0;
    const stand = () => {
      const node = ref.current?.getScrollableNode() as HTMLElement | undefined;
      if (node && node.scrollHeight - node.clientHeight >= y) node.scrollTop = y;
      else if (performance.now() - begun < PATIENCE_MS) {
        frame = requestAnimationFrame(stand);
        return;
      }
      isWaiting.current = false;
    };
    stand();
    return () => cancelAnimationFrame(frame);
  }, []);
  return {
    ref,
    scrollEventThrottle: 100,
    // By the address now: when it was drawn first, the router had not said it yet.
    onScroll: ({ nativeEvent }) => {
      if (!isWaiting.current) known.set(here(), nativeEvent.contentOffset.y);
    },
  };
}
