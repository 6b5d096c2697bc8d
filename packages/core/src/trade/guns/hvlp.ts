import { CFM_L_PER_MIN, PSI_KPA } from '../../units/physical.ts';
import type { GunFacts } from '../gunFacts.ts';

export const HVLP_KINDS = {
  low: { inletKPa: 138, airFlowLPerMin: 340 },
  high: { inletKPa: 200, airFlowLPerMin: 430 },
} as const satisfies GunFacts['kinds'];

export const hvlp: GunFacts = {
  isGuess: false,
  isBoundAtCap: true,
  inletKPa: 20 * PSI_KPA,
  capKPa: 9.5 * PSI_KPA,
  airFlowLPerMin: 12 * CFM_L_PER_MIN,
  kinds: HVLP_KINDS,
  ringShare: 0.55,
  suctionPa: 7500,
  headM: 0.09,
  fanTangent: 0.64,
  fanAtCapM: { open: 0.025, round: 0.012 },
  dropFactor: 1.1,
  landingFactor: 1,
  evenKgPerS: 2.3e-3,
  hasFanKnob: true,
  transferFraction: 0.68,
  dropWindowShare: 1,
  isSmall: false,
  cupMl: 600,
  fullFluidTurns: 4,
  usualNozzlesMm: [1, 3.5],
  distanceMm: 150,
  nearestMm: 120,
  practice: {
    primer: { inletKPa: [138, 193], nozzleMm: [1.4, 1.8], needleTurnsOfFour: 3.5 },
    buildPrimer: { inletKPa: [138, 193], nozzleMm: [1.8, 2.2], needleTurnsOfFour: 3.5 },
    sealer: { inletKPa: [124, 179], nozzleMm: [1.2, 1.4], needleTurnsOfFour: 2.75 },
    waterborneSealer: { inletKPa: [124, 179], nozzleMm: [1.3, 1.4], needleTurnsOfFour: 2.75 },
    base: { inletKPa: [103, 152], nozzleMm: [1.2, 1.4], needleTurnsOfFour: 2.75 },
    waterborneBase: { inletKPa: [110, 179], nozzleMm: [1.2, 1.3], needleTurnsOfFour: 2.75 },
    clear: { inletKPa: [138, 193], nozzleMm: [1.2, 1.4], needleTurnsOfFour: 2.75 },
    singleStage: { inletKPa: [131, 186], nozzleMm: [1.3, 1.4], needleTurnsOfFour: 2.75 },
  },
};
