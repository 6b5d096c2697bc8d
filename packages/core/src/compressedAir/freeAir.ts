/**
 * Air as a gas on its way to the gun. Flow is always free air: litres a minute at 20 °C and one
 * atmosphere.
 *
 *   μ(T) = 1.716e−5 (T/273.15)^1.5 · 383.55/(T + 110.4)                              [freeair-1]
 *
 * Source  iso-8778 (ANR); sutherland-1893
 */
import { REFERENCE_K, STANDARD_ATMOSPHERE_PA, CELSIUS_OFFSET } from '../units/physical.ts';
export const AIR_GAS_CONSTANT_J_PER_KG_K = 287.05;
export const FREE_AIR_KG_PER_M3 =
  STANDARD_ATMOSPHERE_PA / (AIR_GAS_CONSTANT_J_PER_KG_K * REFERENCE_K);

/** Pa absolute, of a gauge pressure in kPa. */
export const absolutePa = (gaugeKPa: number): number => gaugeKPa * 1000 + STANDARD_ATMOSPHERE_PA;
/** Gauge kPa, of Pa absolute. */
export const gaugeKPa = (absolute: number): number => (absolute - STANDARD_ATMOSPHERE_PA) / 1000;
/** m³/s of free air, of L/min. */
export const m3PerS = (litresPerMinute: number): number => litresPerMinute / 60_000;
/** L/min of free air, of m³/s. */
export const litresPerMinute = (flowM3PerS: number): number => flowM3PerS * 60_000;

/** Dynamic viscosity of air, Pa s. [freeair-1] */
export const airViscosityPaS = (temperatureK: number): number =>
  (1.716e-5 * (temperatureK / CELSIUS_OFFSET) ** 1.5 * 383.55) / (temperatureK + 110.4);
