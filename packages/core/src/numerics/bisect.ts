/**
 * Plain bisection; robust where Newton would need derivatives.
 * @param f continuous, with a change of sign between `from` and `to`
 * @returns the midpoint of the last interval, after `steps` halvings
 */
/** Where `f` is nought between two ends. */
export function bisect(f: (x: number) => number, from: number, to: number, steps = 60): number {
  let a = from;
  let b = to;
  const rising = f(b) > f(a);
  for (let i = 0; i < steps; i++) {
    const middle = (a + b) / 2;
    if (f(middle) > 0 === rising) b = middle;
    else a = middle;
  }
  return (a + b) / 2;
}
