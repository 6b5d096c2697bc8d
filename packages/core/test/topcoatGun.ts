import type { Gun } from '../src/gun/gun.ts';

/** An hvlp gun as its rating describes it, without any test of its own. */
export const topcoatGun: Gun = {
  class: 'hvlp',
  nozzlesMm: [1.3, 1.4],
  fullFluidTurns: 4,
  fullFanTurns: 2.5,
  ratedInletKPa: 138,
  ratedAirFlowLPerMin: 340,
  capKPaAtRated: 65.5,
  maxInletKPa: 250,
};
