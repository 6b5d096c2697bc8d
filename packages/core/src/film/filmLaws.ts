/**
 * How a drying film behaves at one place in it: how quickly solvent moves, how hard the polymer
 * holds it, how thick it is.
 *
 *   g = (1+c) v/(v+c);
 *     ln D = ln D_d + ln(D_w/D_d) g − [15e3 + 75e3(1−g)]/R (1/T − 1/293.15) − 3 α²
 *                                                                                          [film-1]
 *   a_c = φ_c exp(q + χ q²),  q = 1 − v, water at most 1                                   [film-2]
 *   η = η(φ,T) · (0.6/(0.6−α))²,  the exponent of cure at most 23                          [film-3]
 *   dα/dt = k Q10^((t−20)/10) φ^1.5 (1−α)²                                                 [film-4]
 *
 * Source  free-volume shape after vrentas-duda-1977 in a fitted form; flory-1942 and huggins-1942;
 *         castro-macosko-1980
 *         the late turn to glass after dibenedetto-1987, from memory
 * Ignores strike-in, partition by activity between unlike layers
 */
import type { MaterialFacts, FilmFacts } from '../trade/materialFacts.ts';
import { quickExp } from '../numerics/quickExp.ts';
import { flowEnergyJPerMol, mooneyOf } from '../material/rheology.ts';
import { GAS_CONSTANT_J_PER_MOL_K, REFERENCE_K } from '../units/physical.ts';

/** Conversion at which the film sets for good. */
const GEL = 0.6;
const MOST_CURE_LN = 23;
export const MOBILE_J_PER_MOL = 15e3;
export const TIGHT_J_PER_MOL = 75e3;
export const CURE_HINDERS = 3;

/** What a coat's cells have in common, worked out once. */
export type FilmConstants = {
  lnDry: number;
  lnSpan: number;
  bend: number;
  mooneyA: number;
  mooneyB: number;
  solventEnergy: number;
  solidsEnergy: number;
};
/** @param pace of the coat: how much quicker all of it goes */
export function filmConstants(material: MaterialFacts, data: FilmFacts, pace = 1): FilmConstants {
  const { a, b } = mooneyOf(material);
  const atNone = flowEnergyJPerMol(material, 0);
  return {
    lnDry: Math.log(data.dryDiffusivityM2PerS * pace),
    lnSpan: Math.log(data.wetDiffusivityM2PerS / data.dryDiffusivityM2PerS),
    bend: data.diffusionBend,
    mooneyA: a,
    mooneyB: b,
    solventEnergy: atNone,
    solidsEnergy: flowEnergyJPerMol(material, 1) - atNone,
  };
}

/** 1/(R T) − 1/(R 293.15), mol/J. */
export const coldness = (temperatureK: number): number =>
  (1 / temperatureK - 1 / REFERENCE_K) / GAS_CONSTANT_J_PER_MOL_K;

/**
 * ln of the quick solvent's diffusivity, m²/s, where `volatile` is the volume share that is not
 * solids. [film-1]
 */
export function lnDiffusivity(
  film: FilmConstants,
  volatile: number,
  cold: number,
  cure: number,
): number {
  const g = ((1 + film.bend) * volatile) / (volatile + film.bend);
  return (
    film.lnDry +
    film.lnSpan * g -
    (MOBILE_J_PER_MOL + TIGHT_J_PER_MOL * (1 - g)) * cold -
    CURE_HINDERS * cure * cure
  );
}

/** Activity over volume share. [film-2] */
export const activityFactor = (solids: number, interaction: number): number =>
  quickExp(solids + interaction * solids * solids);

/** Viscosity without structure, Pa s. [film-3] */
export function filmPaS(film: FilmConstants, solids: number, cold: number, cure: number): number {
  const thickened =
    cure <= 0
      ? 0
      : cure >= GEL
        ? MOST_CURE_LN
        : Math.min(MOST_CURE_LN, 2 * Math.log(GEL / (GEL - cure)));
  return (
    1e-3 *
    Math.exp(
      (film.mooneyA * solids) / (1 - film.mooneyB * solids) +
        (film.solventEnergy + film.solidsEnergy * solids) * cold +
        thickened,
    )
  );
}

/** Conversion after a step, the second-order law solved within it. [film-4] */
export const curedAfter = (cure: number, ratePerS: number, seconds: number): number =>
  1 - 1 / (1 / (1 - cure) + ratePerS * seconds);
