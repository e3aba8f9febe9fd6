import { useWindowDimensions } from 'react-native';

/** From this width on there is a rail and more than one pane. CSS pixels. */
const WIDE_FROM = 1024;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}
