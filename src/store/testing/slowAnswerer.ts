import type { HairState } from '@/core/hair/state';
import type { HairQuestion, PlanAnswer, PlanQuestion } from '@/core/plan/question';
import type { Answerer } from '..';

/** One question for a plan that is still open. */
interface Open {
  readonly question: PlanQuestion;
  readonly first: ((answer: PlanAnswer) => void) | null;
  readonly gap: (gap: number) => void;
  readonly resolve: (answer: PlanAnswer) => void;
  readonly reject: (error: unknown) => void;
}

/** A plan with nothing but a headline, for each head asked about. */
export const answerFor = ({ heads, today }: PlanQuestion, name: string) =>
  ({
    plans: heads.map(({ head: { headId } }) => ({ headId, headline: name })),
    relaxations: [],
    shelf: [],
    today: [],
    agreed: heads.map(({ head: { headId } }) => ({
      headId,
      agreement: { asOf: today, assignments: [], heads: 1 },
      note: null,
    })),
  }) as unknown as PlanAnswer;

/** Answers when a test says so. */
export function slowAnswerer() {
  const estimated: string[] = [];
  const open: Open[] = [];
  let stopped = 0;
  const answerer: Answerer = {
    estimate: async ({ head }: HairQuestion) => {
      estimated.push(head.headId);
      return { headId: head.headId, turn: estimated.length } as unknown as HairState;
    },
    firstPlan: async (question) => answerFor(question, 'searched at the end'),
    plan: (question, first, gap) =>
      new Promise((resolve, reject) => open.push({ question, first, gap, resolve, reject })),
    stopPlan: () => stopped++,
  };
  const lastOpen = () => {
    const last = open.at(-1);
    if (!last) throw new Error('no plan was asked for');
    return last;
  };
  return { answerer, estimated, open, lastOpen, stopped: () => stopped };
}
