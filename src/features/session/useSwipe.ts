import { useRef } from 'react';
import type { ViewProps } from 'react-native';

/** How far across the screen, as a share of its width: a touch that slips is none. */
const FAR = 0.4;
/** How straight: up and down is to scroll. Share of the way across. */
const STRAIGHT = 0.5;

interface Swipes {
  readonly onLeft: () => void;
  readonly onRight: () => void;
}

/** A wide stroke across the screen with one finger, for hands that hit no button. */
export function useSwipe({ onLeft, onRight }: Swipes): Pick<ViewProps, 'onTouchStart' | 'onTouchEnd'> {
  const from = useRef<{ readonly pageX: number; readonly pageY: number } | null>(null);
  return {
    onTouchStart: ({ nativeEvent: { touches, changedTouches } }) => {
      from.current = touches.length === 1 ? (changedTouches[0] ?? null) : null;
    },
    onTouchEnd: ({ nativeEvent: { changedTouches } }) => {
      const [begun, ended] = [from.current, changedTouches[0]];
      from.current = null;
      if (!begun || !ended) return;
      const across = ended.pageX - begun.pageX;
      const isWide = Math.abs(across) >= FAR * window.innerWidth;
      if (!isWide || Math.abs(ended.pageY - begun.pageY) > STRAIGHT * Math.abs(across)) return;
      if (across < 0) onLeft();
      else onRight();
    },
  };
}
