/**
 * How long until the gun is back beside what it laid: overspray of the next passes falls on that.
 *
 *   lap = 2 (length/v + 0.6 s);   lying and wider than an arm reaches   20 s + (width/2/step)(length/v + 0.6 s)     [lap-1]
 *
 * Source  ours (MODEL-2, 4): out and home again; of a roof the far half is laid from the other side, after the walk round
 */
import type { CoatPlan } from './foresee.ts';

const TURN_SECONDS = 0.6;
const WALK_ROUND_SECONDS = 20;
const ARM_REACHES_M = 0.9;
/** Flatter than this it is leaned over, not stood before. */
const LYING_UNDER_DEG = 45;
const USUAL_LENGTH_M = 1;

/** Where the round of the whole job does not tell. [lap-1] */
export function lapSecondsOf({ panel, slopeDeg, coats }: Pick<CoatPlan, 'panel' | 'slopeDeg' | 'coats'>, stepMm: number): number {
  if (panel.lapSeconds !== undefined) return panel.lapSeconds;
  const passSeconds = (panel.lengthM ?? USUAL_LENGTH_M) / coats.at(-1)!.settings.gunSpeedMPerS + TURN_SECONDS;
  const widthM = panel.heightM ?? 0;
  if (slopeDeg >= LYING_UNDER_DEG || widthM <= ARM_REACHES_M) return 2 * passSeconds;
  return WALK_ROUND_SECONDS + (widthM / 2 / (stepMm / 1000)) * passSeconds;
}
