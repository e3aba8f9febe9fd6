export function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value));
}

export function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}

export function mean(values: readonly number[]): number {
  return values.length === 0 ? 0 : sum(values) / values.length;
}

/** Rounds to a fixed number of decimals and never shows "-0". */
export function rounded(value: number, decimals = 0): number {
  const factor = 10 ** decimals;
  const result = Math.round(value * factor) / factor;
  return result === 0 ? 0 : result;
}

/**
 * Rising, levelling-off answer to a growing amount: amount / (amount + half).
 * @param amount 0 or more
 * @param half the amount that gives one half; more than 0, same unit
 * @returns 0 (none) to 1 (never quite reached)
 */
export function saturating(amount: number, half: number): number {
  return amount <= 0 ? 0 : amount / (amount + half);
}
