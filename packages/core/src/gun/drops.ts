/**
 * How fine the air breaks the paint up: pneumatic atomisation, ring air only.
 *
 *   t1 = 5.36e−3 σ^0.41 η^0.32 / [(ρ_e U²)^0.57 A_ring^0.36 ρ^0.16]                       [drops-1]
 *   t2 = 3.44e−3 (η²/(ρσ))^0.17 F/U^0.54,  ALR = m_ring/(Q ρ),  F = 1/ALR under 3, else ⅓ √(3/ALR)
 *                                                                                         [drops-2]
 *   D32 = C · 0.83 (t1 + t2);  sizes Rosin–Rammler, q 2.2, 40 classes of equal volume     [drops-3]
 *   e = m_ring U²/(2 Q ρ), q = clamp(2.2 (e/55 kJ/kg)^0.35, 1.3, 2.4), X = D32 Γ(1−1/q),
 *     V_c = exp(−(95 µm/X)^q)
 *                                                                                         [drops-4]
 *
 * Source  kim-marshall-1971, made continuous at ALR 3 (MODEL 9, from memory: check against the
 *         paper); C fitted;
 *         spectra after rosin-rammler-1933,
 *     their width by the work on the paint fitted (MODEL 9)
 * Holds   5–120 mPa s, ALR 0.3–15, air 180–460 m/s; ±30 % on an unmeasured gun
 */
import { AIR_GAS_CONSTANT_J_PER_KG_K } from '../compressedAir/freeAir.ts';
import { STANDARD_ATMOSPHERE_PA, kelvin } from '../units/physical.ts';
import type { CapFlow } from './airCap.ts';
import { clamp } from '../numerics/rounding.ts';
import { gamma } from '../numerics/gamma.ts';

const SHARPNESS = 2.2;
const SIZE_CLASSES = 40;
const ENOUGH_AIR = 3;

export type DropsInput = {
  air: CapFlow;
  airC: number;
  ringM2: number;
  fluidM3PerS: number;
  densityKgPerM3: number;
  viscosityPaS: number;
  surfaceTensionNPerM: number;
  /** Of the gun over the correlation. */
  dropFactor: number;
};

/** Sauter mean diameter, m. [drops-1, drops-2, drops-3] */
export function sauterM(input: DropsInput): number {
  const {
    air,
    ringM2,
    fluidM3PerS,
    densityKgPerM3: rho,
    viscosityPaS: eta,
    surfaceTensionNPerM: sigma,
  } = input;
  const { jetMPerS: jet } = air;
  const jetDensity =
    STANDARD_ATMOSPHERE_PA /
    (AIR_GAS_CONSTANT_J_PER_KG_K *
      kelvin(input.airC) *
      (STANDARD_ATMOSPHERE_PA / (air.capKPa * 1000 + STANDARD_ATMOSPHERE_PA)) ** (0.4 / 1.4));
  const byJet =
    (5.36e-3 * sigma ** 0.41 * eta ** 0.32) /
    ((jetDensity * jet ** 2) ** 0.57 * ringM2 ** 0.36 * rho ** 0.16);
  const airToPaint = air.ringKgPerS / (fluidM3PerS * rho);
  const bySupply =
    airToPaint < ENOUGH_AIR ? 1 / airToPaint : (1 / 3) * Math.sqrt(ENOUGH_AIR / airToPaint);
  const byThickness = (3.44e-3 * (eta ** 2 / (rho * sigma)) ** 0.17 * bySupply) / jet ** 0.54;
  return input.dropFactor * 0.83 * (byJet + byThickness);
}

const USUAL_WORK_J_PER_KG = 55_000;
const WIDTH_BY_WORK = 0.35;
const WIDTHS: [number, number] = [1.3, 2.4];
/** Larger ones lie as spots of 2 to 6 mm, which no levelling reaches. */
const TOO_BIG_M = 95e-6;

/**
 * Share of the paint in drops too big to flow out: it is the few big ones that make low air coarse,
 * not the mean. [drops-4]
 */
export function coarseShareOf({
  sauter,
  workJPerKg,
}: {
  sauter: number;
  workJPerKg: number;
}): number {
  const width = clamp(SHARPNESS * (workJPerKg / USUAL_WORK_J_PER_KG) ** WIDTH_BY_WORK, ...WIDTHS);
  return Math.exp(-((TOO_BIG_M / (sauter * gamma(1 - 1 / width))) ** width));
}

/** Work of the ring's air on the paint, J/kg. [drops-4] */
export const workJPerKg = (air: CapFlow, fluidKgPerS: number): number =>
  (air.ringKgPerS * air.jetMPerS ** 2) / (2 * fluidKgPerS);

/** Of each class of equal volume over the Sauter mean. [drops-3] */
const SIZES_OVER_SAUTER = Array.from(
  { length: SIZE_CLASSES },
  (_, i) => gamma(1 - 1 / SHARPNESS) * (-Math.log(1 - (i + 0.5) / SIZE_CLASSES)) ** (1 / SHARPNESS),
);
/** Diameters of classes of equal volume, m. */
export const dropSizesM = (sauter: number): number[] =>
  SIZES_OVER_SAUTER.map((size) => size * sauter);
