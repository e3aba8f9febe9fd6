/** What went wrong with outside input, said so that a person can act on it. */
export interface Problem {
  /** Stable, for programs and tests. */
  readonly code: string;
  /** One plain sentence for the person. */
  readonly message: string;
  /** Where in the input, as a dotted path; empty for the input as a whole. */
  readonly path: string;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly [Problem, ...Problem[]] };

export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

export function failed(code: string, message: string, path = ''): Result<never> {
  return { ok: false, problems: [{ code, message, path }] };
}

/** For a state that cannot be reached unless the program itself is wrong. Never for outside input. */
export function invariant(condition: unknown, message: string): asserts condition {
  if (!condition) throw new Error(`Broken invariant: ${message}`);
}
