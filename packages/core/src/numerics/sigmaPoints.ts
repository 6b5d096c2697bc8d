/**
 * Carries what is not known through a model: two tries for each unknown, far enough out to feel the
 * bend.
 *
 *   2n+1 points, ±√(n+κ) σ along each axis; weights κ/(n+κ) and ½/(n+κ)                   [sigma-1]
 *
 * Source  julier-uhlmann-1997, κ = 1.5; no chance in it, so the same input gives the same digits
 */
const KAPPA = 1.5;

export type Point<K extends string> = { at: Record<K, number>; weight: number };

/**
 * Points for independent unknowns whose logarithms have these deviations about 0; an unknown
 * without any has none.
 */
export function sigmaPoints<K extends string>(logSd: Record<K, number>): Point<K>[] {
  const names = Object.keys(logSd) as K[];
  const moving = names.filter((name) => logSd[name] > 0);
  const spread = Math.sqrt(moving.length + KAPPA);
  const still = Object.fromEntries(names.map((name) => [name, 1])) as Record<K, number>;
  const each = 0.5 / (moving.length + KAPPA);
  return [
    { at: still, weight: moving.length === 0 ? 1 : KAPPA / (moving.length + KAPPA) },
    ...moving.flatMap((name) =>
      [-1, 1].map((sign) => ({
        at: { ...still, [name]: Math.exp(sign * spread * logSd[name]) },
        weight: each,
      })),
    ),
  ];
}

/** Mean and deviation of what the points gave. */
export function momentsOf(
  values: readonly number[],
  weights: readonly number[],
): { mean: number; sd: number } {
  const total = weights.reduce((sum, w) => sum + w, 0);
  const mean = values.reduce((sum, value, i) => sum + value * weights[i]!, 0) / total;
  const variance =
    values.reduce((sum, value, i) => sum + weights[i]! * (value - mean) ** 2, 0) / total;
  return { mean, sd: Math.sqrt(Math.max(0, variance)) };
}
