import { expose } from 'comlink';
import { speak } from '@/core/base/language';
import { speechOf } from '@/core/base/translation';
import type { Answers, Spoken } from './clientOf';

/** A worker's side: what it answers, in the language that the page speaks. */
export function answers(api: Answers): void {
  expose({
    speak: (spoken: Spoken | null) => speak(spoken && speechOf(spoken.language, spoken.messages)),
    answer: (name: string, ...question: never[]) => api[name]?.(...question),
  });
}
