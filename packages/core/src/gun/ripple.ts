/**
 * How even parallel passes lie: the profile summed over its neighbours, and what an unsteady hand
 * adds.
 *
 *   cv = spread of Σ f(2(y − kP)/W) 2/W over one step P, 200 points                      [ripple-1]
 *   cv_hand = σ_y √(P I2), I2 = ∫ (d(2f/W)/dy)² dy;   σ_y = 4 mm √(W/0.22);   total = hypot
 *                                                                                        [ripple-2]
 *
 * Source  superposition; Campbell's theorem (campbell-1909) for the hand's shot noise; σ_y is
 *         judgement (MODEL 10)
 */
const POINTS = 200;
const DIFFERENCES = 400;

export type Ripple = { passes: number; hand: number; total: number };

/** Where nobody measured the hand, its wander in m over a fan this wide. */
export const handWanderM = (fanWidth: number): number => 0.004 * Math.sqrt(fanWidth / 0.22);

/** Coefficients of variation of the film, shares of its mean. [ripple-1, ripple-2] */
export function rippleOf(
  profile: (s: number) => number,
  {
    fanWidthM,
    stepM,
    wanderM = handWanderM(fanWidthM),
    points = POINTS,
    differences = DIFFERENCES,
  }: { fanWidthM: number; stepM: number; wanderM?: number; points?: number; differences?: number },
): Ripple {
  // Only passes whose fan reaches this line; one more each side for a fan that a tilt has moved.
  const filmAt = (y: number): number => {
    let sum = 0;
    const [first, last] = [
      Math.floor((y - fanWidthM / 2) / stepM) - 1,
      Math.ceil((y + fanWidthM / 2) / stepM) + 1,
    ];
    for (let k = first; k <= last; k++) sum += profile((2 * (y - k * stepM)) / fanWidthM);
    return (sum * 2) / fanWidthM;
  };
  const film = Array.from({ length: points }, (_, i) => filmAt(((i + 0.5) / points) * stepM));
  const mean = film.reduce((sum, h) => sum + h, 0) / points;
  const passes = Math.sqrt(film.reduce((sum, h) => sum + (h - mean) ** 2, 0) / points) / mean;
  const width = fanWidthM / differences;
  let slopeSquared = 0;
  let before = profile(-1);
  for (let i = 1; i <= differences; i++) {
    const here = profile(-1 + (2 * i) / differences);
    slopeSquared += (((here - before) * 2) / fanWidthM / width) ** 2 * width;
    before = here;
  }
  const hand = wanderM * Math.sqrt(stepM * slopeSquared);
  return { passes, hand, total: Math.hypot(passes, hand) };
}
