/**
 * The fan on the panel: its width, and how the paint lies across it.
 *
 *   g = (1 − e^(−2 p_cap/p_design))/(1 − e^−2);  round = R0 + 0.26 z;  open = W0 + 2 z tan g
 *                                                                                           [fan-1]
 *   W = round + φ max(0, open − round)                                                      [fan-2]
 *   f(s) = (1−w) B(s,β)/I(β) + w/2 (B((s−½)/½,2) + B((s+½)/½,2))/(½ I(2)),  s = 2y/W,
 *     B = (1−s²)^b,
 *   I(b) = √π Γ(b+1)/Γ(b+1.5)                                                               [fan-3]
 *   load l = ln(Q ρ/(m_horn U)/λ0);  β = clamp(2 e^(l/2), 1.1, 5);
 *     split w = clamp(0.7(−l − 0.45), 0, 0.85)
 *                                                                                           [fan-4]
 *
 * Source  beta profile: balkan-1999; width and load fitted (MODEL 10)
 */
import type { GunFacts } from '../trade/gunFacts.ts';
import { clamp } from '../numerics/rounding.ts';
import { gamma } from '../numerics/gamma.ts';

const ROUND_GROWTH = 0.26;

/** Width at a distance, m. [fan-1, fan-2] */
export function fanWidthM(
  { fanAtCapM, capKPa: designCapKPa }: Pick<GunFacts, 'fanAtCapM' | 'capKPa'>,
  at: { distanceM: number; capKPa: number; hornShare: number; fanTangent: number },
): number {
  const spreadByPressure = (1 - Math.exp((-2 * at.capKPa) / designCapKPa)) / (1 - Math.exp(-2));
  const round = fanAtCapM.round + ROUND_GROWTH * at.distanceM;
  const open = fanAtCapM.open + 2 * at.distanceM * at.fanTangent * spreadByPressure;
  return round + at.hornShare * Math.max(0, open - round);
}

/** Depth of the fan at right angles to its width, m. */
export const fanHeightM = (
  { fanAtCapM }: Pick<GunFacts, 'fanAtCapM'>,
  { distanceM, hornShare }: { distanceM: number; hornShare: number },
): number => (fanAtCapM.round + ROUND_GROWTH * distanceM) * (1 - 0.35 * hornShare);

export type FanShape = { beta: number; split: number };

/** Shape for a load: over nought the middle is heavy, well under it the fan splits. [fan-4] */
export const fanShape = (load: number): FanShape => ({
  beta: clamp(2 * Math.exp(0.5 * load), 1.1, 5),
  split: clamp(0.7 * (-load - 0.45), 0, 0.85),
});

/** ∫ (1−s²)^b ds over (−1, 1), by Γ. */
const hill = (s: number, exponent: number): number =>
  Math.abs(s) < 1 ? (1 - s ** 2) ** exponent : 0;
const hillArea = (exponent: number): number =>
  (Math.sqrt(Math.PI) * gamma(exponent + 1)) / gamma(exponent + 1.5);

/** ∫ (1−s²)² over a hill half as wide. */
const SIDE_AREA = 0.5 * hillArea(2);

/** Paint across the fan at s = 2y/W, with area 1 over (−1, 1). [fan-3] */
export function fanProfile({ beta, split }: FanShape): (s: number) => number {
  const [middle, side] = [hillArea(beta), SIDE_AREA];
  // Most fans are whole: then there are no side hills to work out.
  if (split <= 0) return (s) => hill(s, beta) / middle;
  return (s) =>
    ((1 - split) * hill(s, beta)) / middle +
    ((split / 2) * (hill((s - 0.5) / 0.5, 2) + hill((s + 0.5) / 0.5, 2))) / side;
}
