/** What a change of a later plan comes to on the setting as it stands there. */
import type { PlanChange } from '@orthochrom/contract/shop/finding.ts';

type Move = NonNullable<PlanChange['move']>;

/**
 * A knob stays within its travel and air within sense; undefined where the step would lead nowhere.
 */
const BOUNDS: Record<Move['setting'], [number, number]> = {
  nozzleMm: [0.3, 3],
  inletKPa: [40, 500],
  fluidTurnsOut: [0.25, 12],
  fanTurnsOut: [0, 12],
  distanceMm: [60, 400],
  overlapPercent: [0, 90],
  wetFilmUm: [5, 400],
};

export function movedTo({ setting, by, times }: Move, value: number): number | undefined {
  const to = times === undefined ? value + (by ?? 0) : value * times;
  const [least, most] = BOUNDS[setting];
  return Number.isFinite(to) && to >= least && to <= most && to !== value ? to : undefined;
}
