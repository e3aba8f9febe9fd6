import { expose } from 'comlink';
import { speak } from '@/core/base/language';
import { speechOf } from '@/core/base/translation';
import type { Answers, Spoken } from './clientOf';

/**
 * A worker's side. What it answers with is loaded only when it has been told which language is spoken: many texts are
 * put together once, when their module is read.
 */
export function answers(load: () => Answers): void {
  let api: Answers | undefined;
  expose({
    begin: (spoken: Spoken | null) => {
      speak(spoken && speechOf(spoken.language, spoken.texts));
      api = load();
    },
    answer: (name: string, ...question: never[]) => api?.[name]?.(...question),
  });
}
