/**
 * How thick a paint is, by its solids and its temperature.
 *
 *   η(φ,T) = 1e−3 exp[ A φ/(1−B φ) + (E_s + E_r φ)/R (1/T − 1/293.15) ]        [rheology-1]
 *   B = (Y φ_v − y)/(φ_v (Y − y)), A = Y (1−B), y = ln(η_v/1e−3), Y = ln(η_dry/1e−3)   [rheology-2]
 *
 * Source  mooney-1951 for the solids, Arrhenius for the temperature; constants fitted, not measured
 *         (MODEL 4, 5)
 */
import type { MaterialFacts } from '../trade/materialFacts.ts';
import { bisect } from '../numerics/bisect.ts';
import { GAS_CONSTANT_J_PER_MOL_K, REFERENCE_C, kelvin } from '../units/physical.ts';

const WATER_PA_S = 1e-3;

/** A and B of the Mooney form. [rheology-2] */
export function mooneyOf({ standardSolids, standardPaS, dryPaS }: MaterialFacts): {
  a: number;
  b: number;
} {
  const standard = Math.log(standardPaS / WATER_PA_S);
  const dry = Math.log(dryPaS / WATER_PA_S);
  const b = (dry * standardSolids - standard) / (standardSolids * (dry - standard));
  return { a: dry * (1 - b), b };
}

/** Energy by which this paint's flow answers to temperature, J/mol. */
export const flowEnergyJPerMol = (
  { flowEnergyJPerMol: { solvent, solids } }: MaterialFacts,
  solidsFraction: number,
): number => solvent + solids * solidsFraction;

/** Factor on viscosity from one temperature to another. */
export const temperatureFactor = (energyJPerMol: number, fromC: number, toC: number): number =>
  Math.exp((energyJPerMol / GAS_CONSTANT_J_PER_MOL_K) * (1 / kelvin(toC) - 1 / kelvin(fromC)));

/** Viscosity at rest, Pa s. [rheology-1] */
export function viscosityPaS(
  material: MaterialFacts,
  solids: number,
  temperatureC: number,
): number {
  const { a, b } = mooneyOf(material);
  return (
    WATER_PA_S *
    Math.exp((a * solids) / (1 - b * solids)) *
    temperatureFactor(flowEnergyJPerMol(material, solids), REFERENCE_C, temperatureC)
  );
}

/** Solids share at which this paint is as thick as that at 20 °C. */
export const solidsAtViscosity = (material: MaterialFacts, wantedPaS: number): number =>
  bisect((solids) => viscosityPaS(material, solids, REFERENCE_C) - wantedPaS, 0, 1);
