/**
 * Paint through the tip: suction of the air and the height of the cup against nozzle, needle gap
 * and viscosity.
 *
 *   lift x = turns/full · 3 mm;  gap g = min(x sin 12°, d/(2 cos 12°));
 *     mean ring d_m = d − g cos 12°
 *                                                                                         [fluid-1]
 *   Δp = ρ g h + suction (p_cap/p_design)^0.6 + cup;  a = ρ/(2 C_d²) (1/A_b² + 1/A_ann²)
 *   b = η [128·1.5e−3/(π d⁴) + 12·0.2e−3/(π d_m g³)];  Q = C_q (−b + √(b² + 4 a Δp))/(2a)
 *                                                                                         [fluid-2]
 *
 * Source  Bernoulli with a discharge coefficient, Hagen–Poiseuille bore, lubrication gap; suction
 *         fitted (MODEL 8)
 * Holds   gravity and siphon cups; tips of one size differ by up to twice, which is what a catch
 *         test is for
 */
import { GRAVITY_M_PER_S2, radians } from '../units/physical.ts';
const NEEDLE_TRAVEL_M = 3e-3;
const NEEDLE_HALF_ANGLE = radians(12);
const DISCHARGE = 0.75;
const BORE_LENGTH_M = 1.5e-3;
const SEAT_LENGTH_M = 0.2e-3;
const SUCTION_EXPONENT = 0.6;
/** A needle that is all but shut lets nothing through that could be told. */
const LEAST_GAP_M = 1e-7;

export type FluidInput = {
  nozzleMm: number;
  fluidTurnsOut: number;
  fullFluidTurns: number;
  densityKgPerM3: number;
  /** At the shear of the tip. */
  viscosityPaS: number;
  headM: number;
  suctionPa: number;
  capKPa: number;
  designCapKPa: number;
  /** Under nought where the cup's vent is blocked. */
  cupPa?: number;
  /** Measured over modelled, from a catch test. */
  flowFactor?: number;
};

/**
 * Volume flow of paint, m³/s; nought where nothing drives it or the needle is shut. [fluid-1,
 * fluid-2]
 */
export function fluidM3PerS(input: FluidInput): number {
  const { densityKgPerM3: density, viscosityPaS, flowFactor = 1 } = input;
  const bore = input.nozzleMm / 1000;
  const lift =
    (Math.min(input.fluidTurnsOut, input.fullFluidTurns) / input.fullFluidTurns) * NEEDLE_TRAVEL_M;
  const gap = Math.min(
    lift * Math.sin(NEEDLE_HALF_ANGLE),
    bore / (2 * Math.cos(NEEDLE_HALF_ANGLE)),
  );
  const drive =
    density * GRAVITY_M_PER_S2 * input.headM +
    input.suctionPa * (Math.max(input.capKPa, 0) / input.designCapKPa) ** SUCTION_EXPONENT +
    (input.cupPa ?? 0);
  if (drive <= 0 || gap < LEAST_GAP_M) return 0;
  const ringDiameter = bore - gap * Math.cos(NEEDLE_HALF_ANGLE);
  const ringArea = Math.PI * gap * ringDiameter;
  const boreArea = (Math.PI * bore ** 2) / 4;
  const a = (density / 2 / DISCHARGE ** 2) * (1 / boreArea ** 2 + 1 / ringArea ** 2);
  const b =
    viscosityPaS *
    ((128 * BORE_LENGTH_M) / (Math.PI * bore ** 4) +
      (12 * SEAT_LENGTH_M) / (Math.PI * ringDiameter * gap ** 3));
  return (flowFactor * (-b + Math.sqrt(b ** 2 + 4 * a * drive))) / (2 * a);
}
