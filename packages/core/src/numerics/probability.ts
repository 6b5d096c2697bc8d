/** Links between a scale and a probability. Source: abramowitz-stegun-1964, 7.1.26, for Φ */
/** Φ by abramowitz-stegun-1964, 7.1.26: within 1.5e−7. */
export function normalShare(x: number): number {
  const z = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const poly =
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  const erf = 1 - poly * Math.exp(-z * z);
  return x >= 0 ? 0.5 * (1 + erf) : 0.5 * (1 - erf);
}
/** A probability, of log odds. */
export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
/** Log odds, of a probability between 0 and 1. */
export const logit = (p: number): number => Math.log(p / (1 - p));
