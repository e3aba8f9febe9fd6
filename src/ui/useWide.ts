import { useLayoutEffect } from 'react';
import { useWindowDimensions } from 'react-native';
import { usePageZoom } from './useAppearance';

/** From this width on there is a rail and more than one pane. CSS pixels. */
const WIDE_FROM = 1024;
/** Below this width no drawing fits beside its words: a phone with text at twice its size. CSS pixels. */
const CRAMPED_BELOW = 280;

/** Of the window, in pixels of the page as it is enlarged. */
function usePageWidth(): number {
  return useWindowDimensions().width / usePageZoom();
}

export function useWide(): boolean {
  return usePageWidth() >= WIDE_FROM;
}

/** Lets classes know (`wide:flex-row`); a branch is only needed where other things are drawn, not the same ones elsewhere. */
export function useWideClass(): void {
  const wide = useWide();
  useLayoutEffect(() => {
    document.documentElement.classList.toggle('wide', wide);
  }, [wide]);
}

export function useCramped(): boolean {
  return usePageWidth() < CRAMPED_BELOW;
}
