/** Figures of a gun that are possible but unlike its kind: asked about, never refused (WORK C001, C110, C114). */
import type { Gun } from './gun.ts';
import { GUN_CLASSES } from './gunClasses.ts';
import type { Params } from '../outcome/told.ts';

export type Doubt = { code: string; params: Params };

const FAR_OVER = 1.6;
const FAR_UNDER = 0.55;
const LARGEST_NOZZLE_MM: Partial<Record<Gun['class'], number>> = { mini: 1.5, airbrush: 1 };
const SMALLEST_NOZZLE_MM = 1;

export function doubtsAbout(gun: Gun): Doubt[] {
  const usual = GUN_CLASSES[gun.class];
  const doubts: Doubt[] = [];
  const { ratedInletKPa, capKPaAtRated, ratedAirFlowLPerMin } = gun;
  if (ratedInletKPa !== undefined && ratedInletKPa > usual.inletKPa * FAR_OVER)
    doubts.push({ code: 'rated-inlet-high', params: { ratedInletKPa, usualInletKPa: usual.inletKPa } });
  if (ratedInletKPa !== undefined && ratedInletKPa < usual.inletKPa * FAR_UNDER)
    doubts.push({
      code: 'rated-inlet-like-cap',
      params: { ratedInletKPa, usualInletKPa: usual.inletKPa, usualCapKPa: usual.capKPa },
    });
  if (capKPaAtRated !== undefined && capKPaAtRated > usual.capKPa * FAR_OVER)
    doubts.push({ code: 'rated-cap-high', params: { capKPaAtRated, usualCapKPa: usual.capKPa } });
  if (
    ratedAirFlowLPerMin !== undefined &&
    (ratedAirFlowLPerMin > usual.airFlowLPerMin * 2 || ratedAirFlowLPerMin < usual.airFlowLPerMin / 2)
  )
    doubts.push({ code: 'rated-air-unlike', params: { ratedAirFlowLPerMin, usualAirFlowLPerMin: usual.airFlowLPerMin } });
  const largest = LARGEST_NOZZLE_MM[gun.class];
  const odd = gun.nozzlesMm.find((mm) => (largest === undefined ? mm < SMALLEST_NOZZLE_MM : mm > largest));
  if (odd !== undefined) doubts.push({ code: 'nozzle-unlike', params: { nozzleMm: odd } });
  return doubts;
}
