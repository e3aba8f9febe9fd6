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
  window.addEventListener('popstate', goes);
  return () => window.removeEventListener('popstate', goes);
}

interface KeptScroll {
  readonly ref: RefObject<ScrollView | null>;
  readonly onScroll: (event: NativeSyntheticEvent<NativeScrollEvent>) => void;
  readonly onContentSizeChange: (width: number, height: number) => void;
  readonly scrollEventThrottle: number;
}

/** A page that is come back to stands where it was left, as soon as it is long enough again. */
export function useKeptScroll(): KeptScroll {
  const ref = useRef<ScrollView>(null);
  const address = useRef(here());
  const wanted = useRef(isGoingBack ? (known.get(here()) ?? 0) : 0);
  useEffect(() => {
    isGoingBack = false;
  }, []);
  return {
    ref,
    scrollEventThrottle: 100,
    onScroll: ({ nativeEvent }) => {
      if (wanted.current === 0) known.set(address.current, nativeEvent.contentOffset.y);
    },
    onContentSizeChange: (_, height) => {
      if (wanted.current === 0 || height < wanted.current + window.innerHeight / 2) return;
      const y = wanted.current;
      wanted.current = 0;
      ref.current?.scrollTo({ y, animated: false });
    },
  };
}
