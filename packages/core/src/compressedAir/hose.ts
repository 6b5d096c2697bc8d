/**
 * Pressure lost in a hose: compressible, at one temperature.
 *
 *   p1² = p2² + G² R T [ f L/d + K + 2 ln(p1/p2) ],  G = Q ρ_n/A, Re = G d/μ            [hose-1]
 *   f = 8 [ (8/Re)^12 + (A+B)^−1.5 ]^(1/12)                                              [hose-2]
 *
 * Source  Darcy–Weisbach for isothermal gas; churchill-1977 for the friction factor, laminar to
 *         rough
 * Holds   outlet speed well under that of sound; inside wall as smooth as a clean rubber hose
 */
import { AIR_GAS_CONSTANT_J_PER_KG_K, airViscosityPaS, FREE_AIR_KG_PER_M3 } from './freeAir.ts';
import { REFERENCE_K } from '../units/physical.ts';

export type Hose = { innerDiameterMm: number; lengthM: number };

const ROUGHNESS_M = 1e-5;
/** Both hose ends together, in velocity heads. */
const END_LOSSES = 2;
const ITERATIONS = 60;
const SOUND_M_PER_S = 343;

/** Darcy friction factor. [hose-2] */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  const a = (2.457 * Math.log(1 / ((7 / reynolds) ** 0.9 + 0.27 * relativeRoughness))) ** 16;
  const b = (37_530 / reynolds) ** 16;
  return 8 * ((8 / reynolds) ** 12 + (a + b) ** -1.5) ** (1 / 12);
}

/**
 * Absolute pressure at the wall end that leaves `outletPa` at the gun end while this much free air
 * flows. [hose-1]
 */
export function hoseInletPa(
  { innerDiameterMm, lengthM }: Hose,
  outletPa: number,
  flowM3PerS: number,
  temperatureK = REFERENCE_K,
): number {
  if (flowM3PerS <= 0) return outletPa;
  const diameter = innerDiameterMm / 1000;
  const massFlux = (flowM3PerS * FREE_AIR_KG_PER_M3) / ((Math.PI * diameter ** 2) / 4);
  const reynolds = (massFlux * diameter) / airViscosityPaS(temperatureK);
  const heads =
    (frictionFactor(reynolds, ROUGHNESS_M / diameter) * lengthM) / diameter + END_LOSSES;
  let inletPa = outletPa;
  for (let i = 0; i < ITERATIONS; i++)
    inletPa = Math.sqrt(
      outletPa ** 2 +
        massFlux ** 2 *
          AIR_GAS_CONSTANT_J_PER_KG_K *
          temperatureK *
          (heads + 2 * Math.log(inletPa / outletPa)),
    );
  return inletPa;
}

/**
 * Speed of the air as it leaves the hose, as a share of the speed of sound: near 1 the relation
 * says too little loss.
 */
export function hoseOutletMach(
  { innerDiameterMm }: Hose,
  outletPa: number,
  flowM3PerS: number,
  temperatureK = REFERENCE_K,
): number {
  const area = (Math.PI * (innerDiameterMm / 1000) ** 2) / 4;
  const density = outletPa / (AIR_GAS_CONSTANT_J_PER_KG_K * temperatureK);
  return (flowM3PerS * FREE_AIR_KG_PER_M3) / density / area / SOUND_M_PER_S;
}
