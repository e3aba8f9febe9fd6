/** Digamma and trigamma by upward recurrence to 6 and the asymptotic series (Abramowitz & Stegun 6.3.18, 6.4.12); error < 1e-9 for x > 0. */
const SERIES_FROM = 6;

function digamma(x: number): number {
  if (x < SERIES_FROM) return digamma(x + 1) - 1 / x;
  const square = 1 / (x * x);
  return Math.log(x) - 0.5 / x - square * (1 / 12 - square * (1 / 120 - square * (1 / 252 - square / 240)));
}

function trigamma(x: number): number {
  if (x < SERIES_FROM) return trigamma(x + 1) + 1 / (x * x);
  const square = 1 / (x * x);
  return 1 / x + square / 2 + (square / x) * (1 / 6 - square * (1 / 30 - square * (1 / 42 - square / 30)));
}

/**
 * What a count says about the logarithm of its rate: the posterior of log λ under Jeffreys' prior is that of a
 * log-gamma variable with shape count + ½, whose mean is ψ(shape) and whose variance is ψ′(shape).
 * @param count 0 or more
 * @param days exposure, more than 0
 */
export function logRate(count: number, days: number): { readonly mean: number; readonly variance: number } {
  const shape = count + 0.5;
  return { mean: digamma(shape) - Math.log(days), variance: trigamma(shape) };
}
