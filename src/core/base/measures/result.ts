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

/** What a schema says of one part of an input. */
export interface SchemaIssue {
  readonly code?: string | undefined;
  readonly message: string;
  readonly path: readonly PropertyKey[];
}

/** The failure that a schema's issues make, each named as `wordedAs` says: by the field the person sees, for example. */
export function failedBySchema(
  issues: readonly SchemaIssue[],
  wordedAs: (issue: SchemaIssue) => Pick<Problem, 'path'> & Partial<Problem>,
): Result<never> {
  const [first, ...others] = issues.map((issue): Problem => ({
    code: issue.code ?? 'invalid',
    message: issue.message,
    ...wordedAs(issue),
  }));
  invariant(first, 'a schema that failed has at least one issue');
  return { ok: false, problems: [first, ...others] };
}

/** For a state that cannot be reached unless the program itself is wrong. Never for outside input. */
export function invariant(condition: unknown, message: string): asserts condition {
  if (!condition) throw new Error(`Broken invariant: ${message}`);
}
