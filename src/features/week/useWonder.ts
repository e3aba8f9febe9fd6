import { useRef, useState } from 'react';
import { t } from '@/core/language';
import { Stopped, TookTooLong } from '@/core/measures';
import type { Wondered, Wondering } from '@/core/scheduling';
import type { HeadAnswer } from '@/store';
import { askScheduler } from '@/workers';

/** One question about the plan, and its answer once it is there. */
export interface Wonder {
  readonly asked: Wondering | null;
  readonly answer: Wondered | null;
  readonly failure: string | null;
  readonly ask: (wondering: Wondering) => void;
  readonly close: () => void;
}

/** Asks by solving again, off the main thread; only the last question counts. */
export function useWonder({ question, plans }: Pick<HeadAnswer, 'question' | 'plans'>): Wonder {
  const [asked, setAsked] = useState<Wondering | null>(null);
  const [answer, setAnswer] = useState<Wondered | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const latest = useRef<Wondering | null>(null);
  const isLatest = (wondering: Wondering) => latest.current === wondering;

  const ask = (wondering: Wondering) => {
    latest.current = wondering;
    setAsked(wondering);
    setAnswer(null);
    setFailure(null);
    askScheduler('wonder', { ...question, plans, wondering })
      .then((found) => {
        if (isLatest(wondering)) setAnswer(found);
      })
      .catch((error: unknown) => {
        if (!isLatest(wondering)) return;
        if (error instanceof Stopped) setFailure(t`The plan was worked out anew meanwhile: ask again.`);
        else if (error instanceof TookTooLong) setFailure(error.message);
        else setFailure(t`The question needs the solver, and it could not be loaded.`);
      });
  };
  const close = () => {
    latest.current = null;
    setAsked(null);
    setAnswer(null);
    setFailure(null);
  };
  return { asked, answer, failure, ask, close };
}
