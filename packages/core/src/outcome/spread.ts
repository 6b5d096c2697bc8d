/**
 * An 80 % interval around a predicted quantity; `value` is the median (the mean for a probability).
 */
export type Spread = { value: number; low: number; high: number };
export type Band = [low: number, high: number];

/**
 * 0.90 quantile of the normal distribution: the ends of an 80 % interval lie this many deviations
 * out.
 */
export const Z_80 = 1.2815515655446004;

/**
 * The spread of a quantity whose logarithm is normal.
 * @param median in the quantity's own unit
 * @param logSd standard deviation of its natural logarithm (MODEL 15, priors)
 */
export function logNormalSpread(median: number, logSd: number): Spread {
  const factor = Math.exp(Z_80 * logSd);
  return { value: median, low: median / factor, high: median * factor };
}

/** Applies a non-decreasing function to the whole spread. */
export const mapSpread = ({ value, low, high }: Spread, f: (x: number) => number): Spread => ({
  value: f(value),
  low: f(low),
  high: f(high),
});
