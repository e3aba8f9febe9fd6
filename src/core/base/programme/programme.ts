/** A linear programme with binary variables, in terms of names. */
export interface Programme {
  readonly minimise: Terms;
  /** Added to the objective whatever the answer is. */
  readonly constant?: number;
  readonly constraints: readonly Constraint[];
  /** Variables that are not named here lie between 0 and infinity. */
  readonly bounds: readonly Bound[];
  /** Names of the variables that are 0 or 1. */
  readonly binary: readonly string[];
}

export type Terms = readonly { readonly name: string; readonly factor: number }[];

export interface Bound {
  readonly name: string;
  readonly low: number;
  readonly high: number;
}

export interface Constraint {
  readonly terms: Terms;
  readonly is: '<=' | '>=' | '=';
  readonly value: number;
}

export interface Solution {
  /** "optimal": proven to within the gap that was asked for; "feasible": the time was over before. */
  readonly status: 'optimal' | 'feasible' | 'infeasible' | 'failed';
  readonly values: Readonly<Record<string, number>>;
  readonly objective: number;
  /** No answer is better than this; minus infinity where the time was too short to prove any. */
  readonly bound: number;
}

export interface SolveOptions {
  /** Seconds after which the best answer so far is taken. */
  readonly seconds: number;
  /** Relative distance from the best possible answer that is good enough. */
  readonly gap: number;
  /** An answer to begin with; what is not named is left to the solver. */
  readonly start?: Readonly<Record<string, number>>;
  /** Told of the best answer and the bound from time to time. */
  readonly onProgress?: (progress: SolveProgress) => void;
}

export interface SolveProgress {
  readonly seconds: number;
  /** Infinity while there is no answer. */
  readonly gap: number;
}

/** Where programmes are solved: a worker in the browser, the same package in tests and on the command line. */
export type SolveProgramme = (programme: Programme, options?: Partial<SolveOptions>) => Solution;

/** What small questions are given; a person waits. */
export const SOLVE_DEFAULTS = { seconds: 5, gap: 1e-4 } as const;
