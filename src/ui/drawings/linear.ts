/** A straight scale. */
export type Linear = (value: number) => number;

/**
 * A straight scale through two points. Two lines of arithmetic of our own: the package's scale brings colours, dates and formats with it, a tenth of a
 * page's script.
 * @param isClamped whether what lies outside stands at the edge
 * @example linear([0, 10], [100, 0])(5); // 50
 */
export function linear(
  [fromA, fromB]: readonly [number, number],
  [toA, toB]: readonly [number, number],
  isClamped = false,
): Linear {
  return (value) => {
    const share = (value - fromA) / (fromB - fromA);
    return toA + (toB - toA) * (isClamped ? Math.min(1, Math.max(0, share)) : share);
  };
}
