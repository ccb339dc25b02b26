/** Most steps: after these no interval of doubles gets narrower, for 0.618 to this power is under 1e-16. */
const MOST = 100;

/**
 * Place of the least value of a function with one valley, by golden section.
 *
 * @param tolerance - width at which the search ends
 */
export function goldenMinimum(f: (x: number) => number, from: number, to: number, tolerance: number): number {
  const share = (Math.sqrt(5) - 1) / 2;
  let a = from;
  let b = to;
  let x1 = b - share * (b - a);
  let x2 = a + share * (b - a);
  let f1 = f(x1);
  let f2 = f(x2);
  for (let i = 0; i < MOST && b - a > tolerance; i += 1) {
    if (f1 < f2) {
      b = x2;
      x2 = x1;
      f2 = f1;
      x1 = b - share * (b - a);
      f1 = f(x1);
    } else {
      a = x1;
      x1 = x2;
      f1 = f2;
      x2 = a + share * (b - a);
      f2 = f(x2);
    }
  }
  return (a + b) / 2;
}
