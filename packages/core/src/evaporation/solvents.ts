/**
 * The three solvents that stand for every blend, its head, its middle and its tail, and a reducer's
 * grade as one share.
 *
 *   p_i(T) = p_i,20 exp(−ΔH/R (1/T − 1/293.15))                 [solvent-1]
 *   p̄(x,T) = exp((1−x) ln p_F + x ln p_S)                       [solvent-2]
 *   x(T_d) = (ln p_F − ln P_REF) / (ln p_F − ln p_S) at T_d      [solvent-3]
 *   tail T = max(0, x − 0.20), middle M = min(2(x − T), 1 − T), head the rest           [solvent-4]
 *   pace = (p̄(x,21 °C)/p̄(0.35,21 °C))^ω                                               [solvent-5]
 *
 * The middle's pressure is the geometric mean of the other two, so that x = M/2 + T keeps p̄
 * however a blend is cut.
 *
 * Source  clausius-clapeyron; the figures are fitted to practice, not measured (docs/MODEL.md)
 * Ignores non-ideal mixtures; nothing quicker than RER 2.67 can be represented
 */
import { quickExp } from '../numerics/quickExp.ts';
import { clamp } from '../numerics/rounding.ts';
import { GAS_CONSTANT_J_PER_MOL_K, REFERENCE_K, kelvin } from '../units/physical.ts';

/** Pressure in Pa, as its logarithm: that is what a blend is worked out with. */
type Solvent = {
  lnPressureAt20C: number;
  heatOfVaporisationJPerMol: number;
  airDiffusivityM2PerS: number;
  molarKgPerMol: number;
};
export const FAST: Solvent = {
  lnPressureAt20C: Math.log(3100),
  heatOfVaporisationJPerMol: 40_000,
  airDiffusivityM2PerS: 8.5e-6,
  molarKgPerMol: 0.10266,
};
export const MIDDLE: Solvent = {
  lnPressureAt20C: Math.log(787),
  heatOfVaporisationJPerMol: 43_000,
  airDiffusivityM2PerS: 7.6e-6,
  molarKgPerMol: 0.1139,
};
export const SLOW: Solvent = {
  lnPressureAt20C: Math.log(200),
  heatOfVaporisationJPerMol: 46_000,
  airDiffusivityM2PerS: 6.8e-6,
  molarKgPerMol: 0.12555,
};
export const WATER_AIR_DIFFUSIVITY_M2_PER_S = 2.45e-5;
export const WATER_MOLAR_KG_PER_MOL = 0.01802;

/** The volatiles that stand for every paint's, in the order in which films are worked out. */
export const VOLATILES = ['water', 'fast', 'middle', 'slow'] as const;
export type Volatile = (typeof VOLATILES)[number];
export type SolventName = Exclude<Volatile, 'water'>;
export const SOLVENTS: Record<SolventName, Solvent> = { fast: FAST, middle: MIDDLE, slow: SLOW };
/** One figure for each of them. */
export const eachVolatile = (of: (name: Volatile) => number): Record<Volatile, number> => ({
  water: of('water'),
  fast: of('fast'),
  middle: of('middle'),
  slow: of('slow'),
});
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
  middle: {
    molarVolumeM3PerMol: 128e-6,
    densityKgPerM3: 890,
    latentHeatJPerKg: 0.385e6,
    airDiffusivityM2PerS: MIDDLE.airDiffusivityM2PerS,
    interaction: 0.45,
    mobility: 0.8,
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
  solvent.lnPressureAt20C -
  (solvent.heatOfVaporisationJPerMol / GAS_CONSTANT_J_PER_MOL_K) *
    (1 / kelvin(temperatureC) - 1 / REFERENCE_K);

/** Vapour pressure of one of them alone, Pa. [solvent-1] */
export const solventPressurePa = (solvent: Solvent, temperatureC: number): number =>
  quickExp(logPressurePa(solvent, temperatureC));

/**
 * Vapour pressure of a blend, Pa. `slowFraction` is the tail and half of the middle, by volume.
 * [solvent-2]
 */
export const blendPressurePa = (slowFraction: number, temperatureC: number): number =>
  Math.exp(
    (1 - slowFraction) * logPressurePa(FAST, temperatureC) +
      slowFraction * logPressurePa(SLOW, temperatureC),
  );

/** Slow share of a medium reducer, and the temperature it is right at. */
export const MEDIUM_SLOW_FRACTION = 0.35;
export const MEDIUM_GRADE_C = 22.2;

/** The pressure every well chosen grade has at its own temperature, Pa. */
export const REFERENCE_PRESSURE_PA = blendPressurePa(MEDIUM_SLOW_FRACTION, MEDIUM_GRADE_C);

/** Slow share of a grade made for `designC`. [solvent-3] */
export function slowFractionForDesign(designC: number): number {
  const fast = logPressurePa(FAST, designC);
  const slow = logPressurePa(SLOW, designC);
  return clamp((fast - Math.log(REFERENCE_PRESSURE_PA)) / (fast - slow), 0.02, 0.98);
}

/** Evaporation rate relative to n-butyl acetate at 25 °C. */
export const relativeEvaporationRate = (slowFraction: number): number =>
  blendPressurePa(slowFraction, 25) / BUTYL_ACETATE_PA;

export type Cut = Record<SolventName, number>;
/**
 * Where the tail of a blend begins, and the tail of what a paint brings itself: a maker keeps it
 * short.
 */
const TAIL_FROM = 0.2;
const OWN_TAIL = 0.16;
const cutWithTail = (slowFraction: number, slow: number): Cut => {
  const middle = clamp(2 * (slowFraction - slow), 0, 1 - slow);
  return { fast: 1 - middle - slow, middle, slow };
};
/** A grade by volume: what makes it slower is tail for head. [solvent-4] */
export const cutOfGrade = (slowFraction: number): Cut =>
  cutWithTail(slowFraction, Math.max(0, slowFraction - TAIL_FROM));
/** What paint and untold hardener bring. */
export const cutOfPaint = (slowFraction: number): Cut =>
  cutWithTail(slowFraction, Math.min(OWN_TAIL, slowFraction));

const PACE_C = 21;
/**
 * How much quicker all of a film goes with this grade in it than with a medium one; `bite` is the
 * class's ω. [solvent-5]
 */
export const paceOfGrade = (slowFraction: number, bite: number): number =>
  (blendPressurePa(slowFraction, PACE_C) / blendPressurePa(MEDIUM_SLOW_FRACTION, PACE_C)) ** bite;

/** How much one grade slower changes the slow share. */
export const SLOW_FRACTION_PER_STEP = 0.13;
