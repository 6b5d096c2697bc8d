/**
 * The gamma function.
 *
 *   Γ(x) = √(2π) t^(x−½) e^(−t) Σ cᵢ/(x−1+i),  t = x + 6.5                                [gamma-1]
 *
 * Source  lanczos-1964, g = 7, nine coefficients: within 1e−14
 * Holds   x > 0
 */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313,
  -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6,
  1.5056327351493116e-7,
];

/** Γ(x). [gamma-1] */
export function gamma(x: number): number {
  if (x < 0.5) return gamma(x + 1) / x;
  const shifted = x - 1;
  const t = shifted + 7.5;
  let sum = LANCZOS[0]!;
  for (let i = 1; i < LANCZOS.length; i++) sum += LANCZOS[i]! / (shifted + i);
  return Math.sqrt(2 * Math.PI) * t ** (shifted + 0.5) * Math.exp(-t) * sum;
}
