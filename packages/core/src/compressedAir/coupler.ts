/**
 * A coupler as iso-6358 describes any short restriction: sonic conductance C and critical pressure
 * ratio b.
 *
 *   Q = C p1                                         p2/p1 ≤ b (choked:
 *     only the absolute pressure before it counts)
 *   Q = C p1 √(1 − ((p2/p1 − b)/(1 − b))²)           above                              [coupler-1]
 *
 * Source  iso-6358; C and b of the two kinds are typical, not any maker's
 */
export const COUPLER_KINDS = ['standard', 'highFlow'] as const;
export type CouplerKind = (typeof COUPLER_KINDS)[number];

type Restriction = { conductanceM3PerSPa: number; criticalRatio: number };
export const COUPLERS: Record<CouplerKind, Restriction> = {
  standard: { conductanceM3PerSPa: 4.5e-8, criticalRatio: 0.35 },
  highFlow: { conductanceM3PerSPa: 11e-8, criticalRatio: 0.3 },
};

/** Free air that passes, m³/s, from absolute pressures. [coupler-1] */
export function restrictionFlow(
  { conductanceM3PerSPa, criticalRatio }: Restriction,
  beforePa: number,
  afterPa: number,
): number {
  const ratio = afterPa / beforePa;
  if (ratio >= 1) return 0;
  if (ratio <= criticalRatio) return conductanceM3PerSPa * beforePa;
  return (
    conductanceM3PerSPa *
    beforePa *
    Math.sqrt(1 - ((ratio - criticalRatio) / (1 - criticalRatio)) ** 2)
  );
}

/**
 * Absolute pressure before it that lets this much pass against `afterPa`; the inverse of
 * `restrictionFlow`.
 */
export function restrictionInletPa(
  { conductanceM3PerSPa, criticalRatio: b }: Restriction,
  afterPa: number,
  flowM3PerS: number,
): number {
  if (flowM3PerS <= 0) return afterPa;
  const c = (flowM3PerS * (1 - b)) / conductanceM3PerSPa;
  const before =
    (-b * afterPa + Math.sqrt(b ** 2 * afterPa ** 2 + (1 - 2 * b) * (afterPa ** 2 + c ** 2))) /
    (1 - 2 * b);
  return afterPa / before < b ? flowM3PerS / conductanceM3PerSPa : before;
}
