import { colorScheme, useColorScheme as useNativewindScheme } from 'nativewind';
import { useEffect } from 'react';
import { useColorScheme } from 'react-native';
import tokens from './tokens.json';

export type TokenName = keyof typeof tokens.light;
export type ThemeChoice = 'system' | 'light' | 'dark';

/** Token values of the theme in force, for drawings; everything else uses the classes. */
export function useTokens(): Record<TokenName, string> {
  const { colorScheme: scheme } = useNativewindScheme();
  return tokens[scheme === 'dark' ? 'dark' : 'light'];
}

/** Puts the chosen theme on the page; "system" follows the device while the page is open. */
export function useTheme(choice: ThemeChoice): void {
  const device = useColorScheme() === 'dark' ? 'dark' : 'light';
  const theme = choice === 'system' ? device : choice;
  useEffect(() => {
    colorScheme.set(theme);
    document.querySelector('meta[name="theme-color"]')?.setAttribute('content', tokens[theme].paper);
  }, [theme]);
}
