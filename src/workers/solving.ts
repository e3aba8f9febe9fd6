import highsLoader from 'highs';
import { solverFrom, type SolveProgramme } from '@/core/base/programme';
import {
  makeFromPantry,
  substitutesFor,
  type PantryRecipe,
  type StockedIngredient,
  type Substitute,
  type WishId,
} from '@/core/kitchen/making';
import { effortLimits } from '@/core/plan/agenda';
import type { Plan } from '@/core/plan/planning';
import {
  answerOf,
  decidedProblem,
  problemOf,
  type PlanAnswer,
  type PlanQuestion,
} from '@/core/plan/question';
import {
  TRYOUT_RHYTHMS,
  tryRhythm,
  solveSchedule,
  searchSchedule,
  weekSearch,
  questionLimits,
  answerWhatIf,
  type OwnPart,
  type RhythmTryout,
  type WhatIfAnswer,
  type WhatIfQuestion,
} from '@/core/plan/scheduling';
import type { WeighedLine } from '@/core/recipe/larder';
import type { School, Science } from '@/core/records/shapes';

export interface SubstituteQuestion {
  readonly lines: readonly WeighedLine[];
  /** Index of the recipe line that is missing. */
  readonly replaced: number;
  readonly stock: readonly StockedIngredient[];
  readonly school: School;
  readonly science: Science;
}

export interface PantryQuestion {
  readonly wish: WishId;
  readonly stock: readonly StockedIngredient[];
  readonly school: School;
  readonly science: Science;
}

let loading: Promise<SolveProgramme> | undefined;

/** The solver is 3.5 MB, 860 KB compressed: it is fetched when first asked for. A worker's own address is no place to look beside. */
function solver(): Promise<SolveProgramme> {
  loading ??= highsLoader({
    locateFile: (file) => new URL(`/solver/${file}`, globalThis.location.origin).href,
  }).then((highs) => solverFrom(highs, () => performance.now()));
  // What could not be fetched once, without a network, is fetched again at the next question.
  loading.catch(() => (loading = undefined));
  return loading;
}

export interface WhatIfRequest extends PlanQuestion {
  /** The plans that the answer is held against. */
  readonly plans: readonly Plan[];
  readonly whatIf: WhatIfQuestion;
}

export interface RhythmQuestion extends PlanQuestion {
  readonly headId: string;
  readonly own: readonly OwnPart[];
}

/** What is heard of a plan while it is worked at. */
export type PlanNews =
  | { readonly what: 'first'; readonly answer: PlanAnswer }
  /** How far the best so far may be from the best possible. */
  | { readonly what: 'gap'; readonly gap: number };

/** Whatever needs the solver: plans, questions about them, recipes put together. */
export const solverApi = {
  /** The plan that the search finds by itself. */
  firstPlan: (question: PlanQuestion): PlanAnswer => {
    const problem = decidedProblem(problemOf(question), question.records);
    return answerOf(question, searchSchedule(problem), problem);
  },
  /**
   * The best plan; the search's where the solver cannot be loaded.
   * @param wantsFirst whether the search's plan is of use until then
   */
  plan: async (
    question: PlanQuestion,
    wantsFirst: boolean,
    report: (news: PlanNews) => void,
  ): Promise<PlanAnswer> => {
    const problem = decidedProblem(problemOf(question), question.records);
    const first = weekSearch(problem);
    const inWords = () => answerOf(question, searchSchedule(problem, first), problem);
    if (wantsFirst) report({ what: 'first', answer: inWords() });
    const solve = await solver().catch(() => null);
    if (!solve) return inWords();
    const schedule = solveSchedule(
      problem,
      solve,
      {
        ...effortLimits(question.effort, question.weeks),
        onProgress: ({ gap }) => report({ what: 'gap', gap }),
      },
      first,
    );
    return answerOf(question, schedule, problem);
  },
  whatIf: async ({ plans, whatIf, ...question }: WhatIfRequest): Promise<WhatIfAnswer> =>
    answerWhatIf(
      problemOf(question),
      plans,
      whatIf,
      await solver(),
      questionLimits(question.effort, question.weeks),
    ),
  /** The tool's advice and every rhythm that can be made of her recipes, lived over the weeks of the question. */
  rhythms: ({ headId, own, ...question }: RhythmQuestion): RhythmTryout[] => {
    const problem = problemOf(question);
    const index = problem.heads.findIndex(({ head }) => head.headId === headId);
    return TRYOUT_RHYTHMS.flatMap((id) => tryRhythm(problem, index, id, own) ?? []);
  },
  substitutes: async ({
    lines,
    replaced,
    stock,
    school,
    science,
  }: SubstituteQuestion): Promise<Substitute[]> =>
    substitutesFor(lines, replaced, stock, school, await solver(), science),
  fromPantry: async ({ wish, stock, school, science }: PantryQuestion): Promise<PantryRecipe[]> =>
    makeFromPantry(wish, stock, school, await solver(), science),
};

export type SolverApi = typeof solverApi;
