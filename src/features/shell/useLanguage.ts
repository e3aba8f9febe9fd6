import { useEffect, useSyncExternalStore } from 'react';
import { currentLanguage, currentTag, onSpeak } from '@/core/base/language';
import { languageSpoken, selectPrefs, selectStatus, useAppSelector, useAppStore } from '@/store';
import { speakChosen } from '@/store/startLanguage';

/**
 * Speaks the language that is chosen, from the moment on at which it is.
 * @returns the tag of what is spoken: whoever shows texts is drawn anew by it
 */
export function useLanguage(): string {
  const store = useAppStore();
  const { language } = useAppSelector(selectPrefs);
  const isKnown = useAppSelector(selectStatus) !== 'loading';
  useEffect(() => onSpeak(() => store.dispatch(languageSpoken(currentLanguage()))), [store]);
  useEffect(() => {
    if (isKnown) void speakChosen(language);
  }, [language, isKnown]);
  return useSyncExternalStore(onSpeak, currentTag);
}
