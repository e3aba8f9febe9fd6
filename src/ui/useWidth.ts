import { useCallback, useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

/** The laid-out width of a view, for drawings that fill it; 0 until it is known. */
export function useWidth(): {
  readonly width: number;
  readonly onLayout: (event: LayoutChangeEvent) => void;
} {
  const [width, setWidth] = useState(0);
  const onLayout = useCallback(
    (event: LayoutChangeEvent) => setWidth(Math.round(event.nativeEvent.layout.width)),
    [],
  );
  return { width, onLayout };
}
