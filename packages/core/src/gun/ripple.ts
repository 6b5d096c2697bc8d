/**
 * How even parallel passes lie: the profile summed over its neighbours, and what an unsteady hand adds.
 *
 *   cv = spread of Σ f(2(y − kP)/W) 2/W over one step P, 200 points                              [ripple-1]
 *   cv_hand = σ_y √(P I2), I2 = ∫ (d(2f/W)/dy)² dy;   σ_y = 4 mm √(W/0.22);   total = hypot       [ripple-2]
 *
 * Source  superposition; Campbell's theorem for the hand's shot noise; σ_y is judgement (MODEL 10)
 */
const POINTS = 200;
const DIFFERENCES = 400;

export type Ripple = { passes: number; hand: number; total: number };

/** Where nobody measured the hand, its wander in m over a fan this wide. */
export const handWanderM = (fanWidth: number): number => 0.004 * Math.sqrt(fanWidth / 0.22);

/** Coefficients of variation of the film, shares of its mean. [ripple-1, ripple-2] */
export function rippleOf(
  profile: (s: number) => number,
  { fanWidthM, stepM, wanderM = handWanderM(fanWidthM) }: { fanWidthM: number; stepM: number; wanderM?: number },
): Ripple {
  const reach = Math.ceil(fanWidthM / stepM) + 1;
  const filmAt = (y: number): number => {
    let sum = 0;
    for (let k = -reach; k <= reach; k++) sum += (profile((2 * (y - k * stepM)) / fanWidthM) * 2) / fanWidthM;
    return sum;
  };
  const film = Array.from({ length: POINTS }, (_, i) => filmAt(((i + 0.5) / POINTS) * stepM));
  const mean = film.reduce((sum, h) => sum + h, 0) / POINTS;
  const passes = Math.sqrt(film.reduce((sum, h) => sum + (h - mean) ** 2, 0) / POINTS) / mean;
  const width = fanWidthM / DIFFERENCES;
  let slopeSquared = 0;
  for (let i = 0; i < DIFFERENCES; i++) {
    const [a, b] = [-1 + (2 * i) / DIFFERENCES, -1 + (2 * (i + 1)) / DIFFERENCES];
    slopeSquared += (((profile(b) - profile(a)) * 2) / fanWidthM / width) ** 2 * width;
  }
  const hand = wanderM * Math.sqrt(stepM * slopeSquared);
  return { passes, hand, total: Math.hypot(passes, hand) };
}
