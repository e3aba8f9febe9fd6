import { useWindowDimensions } from 'react-native';

/** From this width on there is a rail and more than one pane. CSS pixels. */
const WIDE_FROM = 1024;
/** Below this width no drawing fits beside its words: a phone with text at twice its size. CSS pixels. */
const CRAMPED_BELOW = 280;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}

export function useCramped(): boolean {
  return useWindowDimensions().width < CRAMPED_BELOW;
}
