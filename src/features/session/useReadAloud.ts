import { useEffect } from 'react';
import { currentTag } from '@/core/base/language';
import { prefsChanged, selectPrefs, useAppDispatch, useAppSelector } from '@/store';

/** Reads a text when it changes, where the browser has a voice and she wants it. */
export function useReadAloud(text: string): {
  readonly aloud: boolean;
  readonly setAloud: (aloud: boolean) => void;
  readonly canSpeak: boolean;
  /** Reads it once, whether or not she wants each read. */
  readonly again: () => void;
} {
  const { aloud } = useAppSelector(selectPrefs);
  const dispatch = useAppDispatch();
  const canSpeak = typeof speechSynthesis !== 'undefined';
  useEffect(() => {
    if (!aloud || !canSpeak || text === '') return;
    say(text);
    return () => speechSynthesis.cancel();
  }, [text, aloud, canSpeak]);
  return {
    aloud,
    setAloud: (wanted) => dispatch(prefsChanged({ aloud: wanted })),
    canSpeak,
    again: () => {
      if (canSpeak && text !== '') say(text);
    },
  };
}

function say(text: string): void {
  speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  said.lang = currentTag();
  speechSynthesis.speak(said);
}
