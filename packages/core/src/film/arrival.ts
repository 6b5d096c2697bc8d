/**
 * What of its solvent a coat still holds as it lands, where no gun tells.
 *
 *   loss = usual loss · min(2.2, E(mix, today)/E(class, 22.2 °C))                       [arrival-1]
 *   Σ f_c e^(−τ r_c) = 1 − loss,  r_c = D_c Δp_c M_c at 20 °C, the quick one 1;
 *     share_c = e^(−τ r_c)
 *                                                                                       [arrival-2]
 *
 * Source  ours (MODEL 11), on the rates of the drops' drying
 */
import { type MaterialClass, MATERIALS } from '../trade/materialClasses.ts';
import { saturationPressurePa, vapourPressurePa, wetBulbC } from '../air/humidAir.ts';
import { solventEvaporation } from '../evaporation/evaporationIndex.ts';
import {
  eachVolatile,
  FAST,
  MEDIUM_GRADE_C,
  SOLVENTS,
  solventPressurePa,
  VOLATILES,
  WATER_AIR_DIFFUSIVITY_M2_PER_S,
  WATER_MOLAR_KG_PER_MOL,
  type Volatile,
} from '../evaporation/solvents.ts';
import type { Mixture } from '../material/mixture.ts';
import { bisect } from '../numerics/bisect.ts';

export type Arrived = Record<Volatile, number>;

const MOST_LOSS = 2.2;
const at20 = { airTemperatureC: 20, relativeHumidityPercent: 50 };
const QUICK = FAST.airDiffusivityM2PerS * 0.8 * solventPressurePa(FAST, 20) * FAST.molarKgPerMol;
const RATES: Arrived = eachVolatile((name) => {
  if (name === 'water')
    return (
      (WATER_AIR_DIFFUSIVITY_M2_PER_S *
        (saturationPressurePa(wetBulbC(at20)) - vapourPressurePa(at20)) *
        WATER_MOLAR_KG_PER_MOL) /
      QUICK
    );
  const solvent = SOLVENTS[name];
  return (
    (solvent.airDiffusivityM2PerS * 0.8 * solventPressurePa(solvent, 20) * solvent.molarKgPerMol) /
    QUICK
  );
});

/** Shares still there, when `arrivedShare` of all the volatile is. [arrival-2] */
export function splitArrival(
  { volatile }: Pick<Mixture, 'volatile'>,
  arrivedShare: number,
): Arrived {
  const left = (tau: number) =>
    VOLATILES.reduce((sum, name) => sum + volatile[name] * Math.exp(-tau * RATES[name]), 0);
  const tau = bisect((t) => arrivedShare - left(t), 0, 60);
  return eachVolatile((name) => Math.exp(-tau * RATES[name]));
}

/** Loss in flight of a standard coat in this air, share of the volatile. [arrival-1] */
export function usualLoss(
  materialClass: MaterialClass,
  { slowFraction }: Pick<Mixture, 'slowFraction'>,
  { effectiveC, airSpeedMPerS }: { effectiveC: number; airSpeedMPerS: number },
): number {
  if (MATERIALS[materialClass].waterFraction !== undefined)
    return MATERIALS[materialClass].film.usualLoss;
  const today = solventEvaporation({ slowFraction, effectiveC, airSpeedMPerS });
  const standard = solventEvaporation({
    slowFraction: MATERIALS[materialClass].slowFraction,
    effectiveC: MEDIUM_GRADE_C,
    airSpeedMPerS,
  });
  return MATERIALS[materialClass].film.usualLoss * Math.min(MOST_LOSS, today / standard);
}
