/**
 * Rounds parts of a sum so that they still add up: each to a step, those that are nearest to the next step take what is
 * left over.
 *
 * @param step - above 0
 * @returns multiples of the step whose sum is that of the parts, rounded
 */
export function roundedSum(parts: readonly number[], step: number): number[] {
  const whole = parts.reduce((sum, part) => sum + part, 0);
  const rounded = parts.map((part) => Math.round(part / step));
  let over = rounded.reduce((sum, part) => sum + part, 0) - Math.round(whole / step);
  while (over !== 0) {
    const by = over > 0 ? -1 : 1;
    // How far a part is from what it would be then.
    const cost = rounded.map((part, i) => Math.abs(part + by - parts[i] / step));
    const i = cost.indexOf(Math.min(...cost));
    rounded[i] += by;
    over += by;
  }
  return rounded.map((part) => part * step || 0);
}
