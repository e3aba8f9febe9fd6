import { useEffect } from 'react';
import SpeechRecognition, { useSpeechRecognition } from 'react-speech-recognition';
import { currentTag } from '@/core/base/language';

/** What is spoken, as it is understood, while it listens; `can` is false where the browser hears nothing. */
export function useDictation(onHeard: (text: string) => void) {
  const { listening, browserSupportsSpeechRecognition: can } = useSpeechRecognition({
    commands: [{ command: '*', callback: (heard: string) => onHeard(heard.trim()) }],
  });
  useEffect(() => () => void SpeechRecognition.abortListening(), []);
  return {
    can,
    listens: listening,
    start: () => void SpeechRecognition.startListening({ continuous: true, language: currentTag() }),
    stop: () => void SpeechRecognition.stopListening(),
  };
}
