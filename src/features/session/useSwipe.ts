import { useRef } from 'react';
import type { GestureResponderEvent, ViewProps } from 'react-native';

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
  const from = useRef<{ readonly x: number; readonly y: number } | null>(null);
  const at = ({ nativeEvent }: GestureResponderEvent) => ({ x: nativeEvent.pageX, y: nativeEvent.pageY });
  const touchOf = (event: GestureResponderEvent) => {
    const touch = event.nativeEvent.changedTouches?.[0];
    return touch ? { x: touch.pageX, y: touch.pageY } : at(event);
  };
  return {
    onTouchStart: (event) => {
      const isOne = (event.nativeEvent.touches?.length ?? 1) === 1;
      from.current = isOne ? touchOf(event) : null;
    },
    onTouchEnd: (event) => {
      const begun = from.current;
      from.current = null;
      if (!begun) return;
      const ended = touchOf(event);
      const across = ended.x - begun.x;
      const isWide = Math.abs(across) >= FAR * window.innerWidth;
      if (!isWide || Math.abs(ended.y - begun.y) > STRAIGHT * Math.abs(across)) return;
      if (across < 0) onLeft();
      else onRight();
    },
  };
}
