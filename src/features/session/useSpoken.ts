import { useEffect, useState } from 'react';
import SpeechRecognition, { useSpeechRecognition } from 'react-speech-recognition';
import { currentTag } from '@/core/base/language';
import { spokenIn, type Spoken } from './spoken';

/**
 * Hears what is said to a step, where the browser can; the microphone is asked for when it is switched on, and its refusal changes
 * nothing. Never needed.
 */
export function useSpoken(onSaid: (what: Spoken) => void): {
  readonly canHear: boolean;
  readonly listens: boolean;
  readonly setListens: (listens: boolean) => void;
} {
  const [wanted, setWanted] = useState(false);
  const said = (heard: string) => {
    const what = spokenIn(heard);
    if (what) onSaid(what);
  };
  const { listening, browserSupportsSpeechRecognition: canHear } = useSpeechRecognition({
    commands: [{ command: '*', callback: (heard: string) => said(heard) }],
  });
  useEffect(() => {
    if (!wanted) return;
    void SpeechRecognition.startListening({ continuous: true, language: currentTag() });
    return () => void SpeechRecognition.abortListening();
  }, [wanted]);
  return { canHear, listens: wanted && listening, setListens: setWanted };
}
