/** A stretch of days of the plan, by their place from its first; `end` is not in it. */
export interface Span {
  readonly start: number;
  readonly end: number;
}
