/**
 * How quick the hand must be for the wet film that is wanted.
 *
 *   v = Q · transfer · [φ + (1−φ)(1−loss)] / (film · step)          [speed-1]
 *
 * Source  volume balance of parallel passes; transfer and loss in flight are the class's usual shares (MODEL 5, 16.1),
 *         until the landing itself is computed
 */
import { MATERIALS, type MaterialClass } from '../material/classes.ts';
import type { GunClass } from './gun.ts';
import { GUN_CLASSES } from './gunClasses.ts';

/** What an arm can hold steady over a panel, m/s. */
export const HAND_M_PER_S = { slowest: 0.25, quickest: 0.8 } as const;

export type Film = { gunClass: GunClass; materialClass: MaterialClass; solids: number; fluidMlPerMin: number; stepMm: number };

/** Hand speed for a wet film as landed, m/s. [speed-1] */
export function handSpeedMPerS({ gunClass, materialClass, solids, fluidMlPerMin, stepMm }: Film, wetFilmUm: number): number {
  const arrives = solids + (1 - solids) * (1 - MATERIALS[materialClass].lossInFlight);
  const landedM3PerS = (fluidMlPerMin / 6e7) * GUN_CLASSES[gunClass].transferFraction * arrives;
  return landedM3PerS / ((wetFilmUm / 1e6) * (stepMm / 1000));
}
