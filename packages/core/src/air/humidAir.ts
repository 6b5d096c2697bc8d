/**
 * Moist air at sea level: what the booth's air can carry, and where it turns to water.
 *
 *   p_s = 610.94 exp(17.625 t / (t + 243.04))                              [air-1]
 *   t_d = 243.04 a / (17.625 − a),  a = ln RH + 17.625 t / (t + 243.04)    [air-2]
 *   w   = 0.62198 e / (P − e),  e = RH p_s                                 [air-3]
 *   p_s(t_w) − 6.6e-4 (1 + 1.15e-3 t_w) P (t − t_w) − e = 0                [air-4]
 *
 * Source  alduchov-1996 (Magnus form, −40 to 50 °C within 0.4 %); ferrel-1886 for the psychrometer
 *         coefficient
 * Holds   −30 to 60 °C, 1 to 100 % relative humidity, 101.325 kPa
 * Ignores altitude; ice below 0 °C
 */
import { STANDARD_ATMOSPHERE_PA } from '../units/physical.ts';

export type HumidAir = { airTemperatureC: number; relativeHumidityPercent: number };

/** The Magnus form's two constants. [air-1] */
const MAGNUS = 17.625;
const MAGNUS_C = 243.04;

/** Saturation vapour pressure over water, Pa. [air-1] */
export const saturationPressurePa = (temperatureC: number): number =>
  610.94 * Math.exp((MAGNUS * temperatureC) / (temperatureC + MAGNUS_C));

/** Partial pressure of the water in this air, Pa. */
export const vapourPressurePa = ({ airTemperatureC, relativeHumidityPercent }: HumidAir): number =>
  (relativeHumidityPercent / 100) * saturationPressurePa(airTemperatureC);

/** Temperature at which this air begins to wet a surface, °C. [air-2] */
export function dewPointC({ airTemperatureC, relativeHumidityPercent }: HumidAir): number {
  const a =
    Math.log(relativeHumidityPercent / 100) +
    (MAGNUS * airTemperatureC) / (airTemperatureC + MAGNUS_C);
  return (MAGNUS_C * a) / (MAGNUS - a);
}

/** Water carried by each kilogram of dry air, g/kg. [air-3] */
export function humidityRatioGPerKg(air: HumidAir): number {
  const vapourPa = vapourPressurePa(air);
  return (1000 * 0.62198 * vapourPa) / (STANDARD_ATMOSPHERE_PA - vapourPa);
}

/** A and b of the psychrometer, per °C. [air-4] */
const PSYCHROMETER_PER_C = 6.6e-4;
const PSYCHROMETER_WARMER_PER_C = 1.15e-3;
const WET_BULB_WITHIN_C = 1e-12;

/**
 * Temperature a wet surface in moving air falls to, °C. [air-4] What is left over of it rises with
 * the temperature, ever steeper: from the air's own, Newton's steps come down to it and never pass.
 */
export function wetBulbC(air: HumidAir): number {
  const vapourPa = vapourPressurePa(air);
  const { airTemperatureC } = air;
  const coolingPaPerC = PSYCHROMETER_PER_C * STANDARD_ATMOSPHERE_PA;
  let wetC = airTemperatureC;
  for (let step = 0; step < 30; step += 1) {
    const saturatedPa = saturationPressurePa(wetC);
    const warmer = 1 + PSYCHROMETER_WARMER_PER_C * wetC;
    const dropC = airTemperatureC - wetC;
    const excessPa = saturatedPa - coolingPaPerC * warmer * dropC - vapourPa;
    const slopePaPerC =
      (saturatedPa * MAGNUS * MAGNUS_C) / (wetC + MAGNUS_C) ** 2 -
      coolingPaPerC * (PSYCHROMETER_WARMER_PER_C * dropC - warmer);
    const byC = excessPa / slopePaPerC;
    wetC -= byC;
    if (Math.abs(byC) < WET_BULB_WITHIN_C) break;
  }
  return wetC;
}
