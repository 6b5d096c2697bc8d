/**
 * Deviations of what was measured twice.
 *
 *   s = s₁ s₂/√(s₁² + s₂²)                                                            [deviation-1]
 *
 * Source  weighted mean of two independent normal measurements (nist-sematech-2012, 2.5)
 */

/** What two measurements of one thing leave unknown; never more than either. [deviation-1] */
export const combinedSd = (first: number, second: number): number =>
  (first * second) / Math.hypot(first, second);
