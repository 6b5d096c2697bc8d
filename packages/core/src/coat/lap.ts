/**
 * How long until the gun is back beside what it laid: overspray of the next passes falls on that.
 *
 *   lap = 2 (length/v + 0.6 s);   lying and wider than an arm reaches
 *     20 s + (width/2/step)(length/v + 0.6 s)
 *                                                                                           [lap-1]
 *
 * Source  ours (MODEL 3.2): out and home again; of a roof the far half is laid from the other
 *         side, after the walk round
 */
const TURN_SECONDS = 0.6;
const WALK_ROUND_SECONDS = 20;
const ARM_REACHES_M = 0.9;
/** Flatter than this it is leaned over, not stood before. */
const LYING_UNDER_DEG = 45;
const USUAL_LENGTH_M = 1;

export type Surface = {
  lengthM?: number | undefined;
  heightM?: number | undefined;
  slopeDeg: number;
};
export type Passing = { gunSpeedMPerS: number; stepMm: number };

/** Until the gun is back beside what it laid on this panel. [lap-1] */
export function panelLapSeconds(
  { lengthM = USUAL_LENGTH_M, heightM: widthM = 0, slopeDeg }: Surface,
  pass: Passing,
): number {
  const passSeconds = lengthM / pass.gunSpeedMPerS + TURN_SECONDS;
  if (Math.abs(slopeDeg) >= LYING_UNDER_DEG || widthM <= ARM_REACHES_M) return 2 * passSeconds;
  return WALK_ROUND_SECONDS + (widthM / 2 / (pass.stepMm / 1000)) * passSeconds;
}
