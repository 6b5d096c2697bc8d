/**
 * Figures of a gun that are possible but unlike its kind: asked about, never refused.
 */
import { GUNS } from '../trade/gunClasses.ts';
import type { Gun } from './gun.ts';
import type { DoubtCode } from '../outcome/askCodes.ts';
import type { Params } from '../outcome/verdicts.ts';

export type ImplausibleFigure = { code: DoubtCode; params: Params };

const FAR_OVER = 1.6;
const FAR_UNDER = 0.55;

/** Figures of this gun that are possible but unlike its kind, each as a question. */
export function implausibleFigures(gun: Gun): ImplausibleFigure[] {
  const usual = GUNS[gun.class];
  const doubts: ImplausibleFigure[] = [];
  const { ratedInletKPa, capKPaAtRated, ratedAirFlowLPerMin } = gun;
  if (ratedInletKPa !== undefined && ratedInletKPa > usual.inletKPa * FAR_OVER)
    doubts.push({
      code: 'rated-inlet-high',
      params: { ratedInletKPa, usualInletKPa: usual.inletKPa },
    });
  if (ratedInletKPa !== undefined && ratedInletKPa < usual.inletKPa * FAR_UNDER)
    doubts.push({
      code: 'rated-inlet-like-cap',
      params: { ratedInletKPa, usualInletKPa: usual.inletKPa, usualCapKPa: usual.capKPa },
    });
  if (capKPaAtRated !== undefined && capKPaAtRated > usual.capKPa * FAR_OVER)
    doubts.push({ code: 'rated-cap-high', params: { capKPaAtRated, usualCapKPa: usual.capKPa } });
  if (
    ratedAirFlowLPerMin !== undefined &&
    (ratedAirFlowLPerMin > usual.airFlowLPerMin * 2 ||
      ratedAirFlowLPerMin < usual.airFlowLPerMin / 2)
  )
    doubts.push({
      code: 'rated-air-unlike',
      params: { ratedAirFlowLPerMin, usualAirFlowLPerMin: usual.airFlowLPerMin },
    });
  const [smallestMm, largestMm] = usual.usualNozzlesMm;
  const odd = gun.nozzlesMm.find((mm) => mm < smallestMm || mm > largestMm);
  if (odd !== undefined) doubts.push({ code: 'nozzle-unlike', params: { nozzleMm: odd } });
  return doubts;
}
