import isEqual from 'fast-deep-equal';
import { startTransition, useEffect, useState } from 'react';
import { judgedText, type JudgedText } from '@/core/kitchen/formulation';
import { selectLarderContents, useAppSelector } from '@/store';
import { askJudgement } from '@/workers';
import { useHead } from '../shared/useHead';
import { useReading } from '../shared/useReading';

interface Typed {
  readonly start: string;
  readonly now: () => string;
  /** @returns how to be told no more */
  readonly onChange: (changed: (text: string) => void) => () => void;
}

/**
 * Lines, verdict and cautions of what is typed, read in a worker: a step behind the typing, and of texts that came while
 * it was reading only the last. Whoever draws it draws after the key.
 * @param typed stays the same as long as the form does
 */
export function useJudged(typed: Typed): JudgedText {
  const head = useHead();
  const means = useReading();
  const contents = useAppSelector(selectLarderContents);
  // The first is read on the page: nothing is typed yet that it could hold up.
  const [judged, setJudged] = useState(() => judgedText(typed.start, { ...means, head }));

  useEffect(() => {
    let current = true;
    let reading = false;
    let next: string | null = null;
    const read = async (text: string): Promise<void> => {
      reading = true;
      const answer =
        (await askJudgement({ text, cup: means.cup, own: means.own, head }, contents).catch(() => null)) ??
        judgedText(text, { ...means, head });
      reading = false;
      if (!current) return;
      startTransition(() => setJudged((before) => (isEqual(before, answer) ? before : answer)));
      if (next === null) return;
      const waiting = next;
      next = null;
      void read(waiting);
    };
    const ask = (text: string) => {
      if (reading) next = text;
      else void read(text);
    };
    // Tells the worker, ahead of the first key, what recipes can be made of.
    ask(typed.now());
    const end = typed.onChange(ask);
    return () => {
      current = false;
      end();
    };
  }, [typed, contents, means, head]);
  return judged;
}
