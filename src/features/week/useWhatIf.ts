import { t } from '@lingui/core/macro';
import { useRef, useState } from 'react';
import { Stopped, TookTooLong } from '@/core/base/measures';
import type { WhatIfAnswer, WhatIfQuestion } from '@/core/plan/scheduling';
import type { HeadAnswer } from '@/store';
import { askScheduler } from '@/workers';

/** One question about the plan, and its answer once it is there. */
export interface WhatIf {
  readonly asked: WhatIfQuestion | null;
  readonly answer: WhatIfAnswer | null;
  readonly failure: string | null;
  readonly ask: (whatIf: WhatIfQuestion) => void;
  readonly close: () => void;
}

/** Asks by solving again, off the main thread; only the last question counts. */
export function useWhatIf({ question, plans }: Pick<HeadAnswer, 'question' | 'plans'>): WhatIf {
  const [asked, setAsked] = useState<WhatIfQuestion | null>(null);
  const [answer, setAnswer] = useState<WhatIfAnswer | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const latest = useRef<WhatIfQuestion | null>(null);
  const isLatest = (whatIf: WhatIfQuestion) => latest.current === whatIf;

  const ask = (whatIf: WhatIfQuestion) => {
    latest.current = whatIf;
    setAsked(whatIf);
    setAnswer(null);
    setFailure(null);
    askScheduler('whatIf', { ...question, plans, whatIf })
      .then((found) => {
        if (isLatest(whatIf)) setAnswer(found);
      })
      .catch((error: unknown) => {
        if (!isLatest(whatIf)) return;
        if (error instanceof Stopped) setFailure(t`The plan has changed meanwhile: ask again.`);
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
