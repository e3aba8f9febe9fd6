import { useEffect, useRef, useState } from 'react';
import { currentTag } from '@/core/base/language';

/** What the browsers that hear have in common; the standard is not in TypeScript's library. */
interface Recognition {
  lang: string;
  continuous: boolean;
  onresult: ((event: RecognitionEvent) => void) | null;
  onend: (() => void) | null;
  onerror: (() => void) | null;
  start(): void;
  stop(): void;
}
interface RecognitionEvent {
  readonly resultIndex: number;
  readonly results: ArrayLike<ArrayLike<{ readonly transcript: string }>>;
}
type RecognitionClass = new () => Recognition;

/** The browser's own, where it has one. */
function recognitionOf(scope: typeof globalThis): RecognitionClass | undefined {
  const { SpeechRecognition, webkitSpeechRecognition } = scope as {
    readonly SpeechRecognition?: RecognitionClass;
    readonly webkitSpeechRecognition?: RecognitionClass;
  };
  return SpeechRecognition ?? webkitSpeechRecognition;
}

export const canDictate = (): boolean => recognitionOf(globalThis) !== undefined;

/** What is spoken, sentence by sentence, while it listens. */
export function useDictation(onHeard: (text: string) => void) {
  const [listens, setListens] = useState(false);
  const running = useRef<Recognition | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  const stop = () => running.current?.stop();
  const start = () => {
    const Recognizer = recognitionOf(globalThis);
    if (!Recognizer || running.current) return;
    const recognition = new Recognizer();
    recognition.lang = currentTag();
    recognition.continuous = true;
    recognition.onresult = ({ results, resultIndex }) => {
      const heard = Array.from(results)
        .slice(resultIndex)
        .map((result) => result[0]?.transcript.trim() ?? '')
        .filter(Boolean);
      if (heard.length > 0) onHeard(heard.join('. '));
    };
    const ended = () => {
      running.current = null;
      setListens(false);
    };
    recognition.onend = ended;
    recognition.onerror = ended;
    running.current = recognition;
    recognition.start();
    setListens(true);
  };
  return { listens, start, stop };
}
