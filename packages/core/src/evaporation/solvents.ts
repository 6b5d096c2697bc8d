/**
 * The two solvents that stand for every blend, and the grade of a reducer as one share of the slow one.
 *
 *   p_i(T) = p_i,20 exp(−ΔH/R (1/T − 1/293.15))                 [solvent-1]
 *   p̄(x,T) = exp((1−x) ln p_F + x ln p_S)                       [solvent-2]
 *   x(T_d) = (ln p_F − ln P_REF) / (ln p_F − ln p_S) at T_d      [solvent-3]
 *
 * Source  Clausius–Clapeyron; the figures are fitted to practice, not measured (docs/MODEL.md)
 * Ignores non-ideal mixtures; nothing quicker than RER 2.67 can be represented
 */
import { clamp } from '../numerics/rounding.ts';

const GAS_CONSTANT_J_PER_MOL_K = 8.314462618;
const ZERO_C_K = 273.15;
const REFERENCE_K = 293.15;

type Solvent = {
  pressureAt20CPa: number;
  heatOfVaporisationJPerMol: number;
  airDiffusivityM2PerS: number;
  molarKgPerMol: number;
};
export const FAST: Solvent = {
  pressureAt20CPa: 3100,
  heatOfVaporisationJPerMol: 40_000,
  airDiffusivityM2PerS: 8.5e-6,
  molarKgPerMol: 0.10266,
};
export const SLOW: Solvent = {
  pressureAt20CPa: 200,
  heatOfVaporisationJPerMol: 46_000,
  airDiffusivityM2PerS: 6.8e-6,
  molarKgPerMol: 0.12555,
};
export const WATER_AIR_DIFFUSIVITY_M2_PER_S = 2.45e-5;
export const WATER_MOLAR_KG_PER_MOL = 0.01802;

/** The three volatiles that stand for every paint's, in the order in which films are worked out. */
export const VOLATILES = ['water', 'fast', 'slow'] as const;
export type Volatile = (typeof VOLATILES)[number];
export type InFilm = {
  molarVolumeM3PerMol: number;
  densityKgPerM3: number;
  latentHeatJPerKg: number;
  airDiffusivityM2PerS: number;
  /** How the polymer holds it: Flory–Huggins. */
  interaction: number;
  /** How quickly it moves through the film, against the quick solvent. */
  mobility: number;
};
export const IN_FILM: Record<Volatile, InFilm> = {
  water: {
    molarVolumeM3PerMol: 18.02e-6,
    densityKgPerM3: 1000,
    latentHeatJPerKg: 2.45e6,
    airDiffusivityM2PerS: WATER_AIR_DIFFUSIVITY_M2_PER_S,
    interaction: 1.6,
    mobility: 2.5,
  },
  fast: {
    molarVolumeM3PerMol: 118e-6,
    densityKgPerM3: 870,
    latentHeatJPerKg: 0.4e6,
    airDiffusivityM2PerS: FAST.airDiffusivityM2PerS,
    interaction: 0.45,
    mobility: 1,
  },
  slow: {
    molarVolumeM3PerMol: 135e-6,
    densityKgPerM3: 930,
    latentHeatJPerKg: 0.37e6,
    airDiffusivityM2PerS: SLOW.airDiffusivityM2PerS,
    interaction: 0.45,
    mobility: 0.55,
  },
};

/** Vapour pressure of n-butyl acetate at 25 °C as used by RER, Pa. */
const BUTYL_ACETATE_PA = 1530;

const logPressurePa = (solvent: Solvent, temperatureC: number): number =>
  Math.log(solvent.pressureAt20CPa) -
  (solvent.heatOfVaporisationJPerMol / GAS_CONSTANT_J_PER_MOL_K) * (1 / (temperatureC + ZERO_C_K) - 1 / REFERENCE_K);

/** Vapour pressure of one of the two alone, Pa. [solvent-1] */
export const solventPressurePa = (solvent: Solvent, temperatureC: number): number =>
  Math.exp(logPressurePa(solvent, temperatureC));

/** Vapour pressure of a blend, Pa. `slowFraction` is the share by volume of the slow solvent. [solvent-2] */
export const blendPressurePa = (slowFraction: number, temperatureC: number): number =>
  Math.exp((1 - slowFraction) * logPressurePa(FAST, temperatureC) + slowFraction * logPressurePa(SLOW, temperatureC));

/** The pressure every well chosen grade has at its own temperature, Pa. */
export const REFERENCE_PRESSURE_PA = blendPressurePa(0.35, 22.2);

/** Slow share of a grade made for `designC`. [solvent-3] */
export function slowFractionForDesign(designC: number): number {
  const fast = logPressurePa(FAST, designC);
  const slow = logPressurePa(SLOW, designC);
  return clamp((fast - Math.log(REFERENCE_PRESSURE_PA)) / (fast - slow), 0.02, 0.98);
}

/** Evaporation rate relative to n-butyl acetate at 25 °C. */
export const relativeEvaporationRate = (slowFraction: number): number => blendPressurePa(slowFraction, 25) / BUTYL_ACETATE_PA;

/** How much one grade slower changes the slow share. */
export const SLOW_FRACTION_PER_STEP = 0.13;
