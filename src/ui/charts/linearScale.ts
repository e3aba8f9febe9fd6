type Span = readonly [from: number, to: number];

/**
 * From figures to places on a drawing, in a straight line; what lies beyond the domain stays at its edge. The scale package
 * brings thirty kilobytes of other scales with this one to the first screen.
 */
export function linearScale([low, high]: Span, [from, to]: Span): (value: number) => number {
  const length = high - low;
  return (value) => {
    const share = length === 0 ? 0.5 : (value - low) / length;
    return from + Math.min(1, Math.max(0, share)) * (to - from);
  };
}
