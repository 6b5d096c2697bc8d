/**
 * The clock the painter sees: the sheet's minutes moved by today's air, film and grade.
 *
 *   t = sheet · F · (h/h_sheet)^b                                          [flash-1]
 *   solvent     F = [E(T_e, 0.3)/E(medium, T_sheet)]^−a · [k_F(v)/k_F(0.3)]^−d   [flash-2]
 *   waterborne  F = [E_wb/E_wb(T_sheet, RH_sheet, 0.3)]^−c                 [flash-3]
 *
 * Source  ours, MODEL 12.1: exponents fitted to a drying engine at 15–30 °C and 0.8–1.2 of the
 *         sheet's film
 * Holds   15–35 °C; ±35 % on an unknown shop
 */
import type { Substrate } from '../trade/vocabulary.ts';
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import { airSpeedMPerSOf, SHEET_AIR_SPEED_M_PER_S } from '../air/airMovement.ts';
import type { Climate } from '../air/climate.ts';
import {
  airGain,
  effectiveTemperatureC,
  solventEvaporation,
  waterEvaporation,
} from '../evaporation/evaporationIndex.ts';
import { SLOW_FRACTION_PER_STEP, slowFractionForDesign } from '../evaporation/solvents.ts';
import { DESIGN_OF_SPEED_C } from '../reducer/grade.ts';

/** Slow share of a medium grade. */
const MEDIUM_SLOW_FRACTION = slowFractionForDesign(DESIGN_OF_SPEED_C.medium);

/** Steps slower than a medium grade, as the clock counts them: the slow share turned round. */
export const stepsFromMedium = (slowFraction: number): number =>
  (slowFraction - MEDIUM_SLOW_FRACTION) / SLOW_FRACTION_PER_STEP;

export type FlashFactors = {
  temperature: number;
  air: number;
  grade: number;
  film: number;
  total: number;
};
export type SheetConditions = { atC: number; atHumidityPercent?: number; wetFilmUm?: number };

/**
 * How today moves the sheet's minutes, factor by factor, so that each can be shown. Over 1 is
 * longer.
 */
export function flashFactors(input: {
  materialClass: MaterialClass;
  climate: Climate;
  sheet: SheetConditions;
  wetFilmUm?: number;
  /** Over a medium grade, which is the sheet's at its own temperature. */
  gradeStepsSlower?: number;
  substrate?: Substrate;
}): FlashFactors {
  const { flashFit, carrier } = MATERIALS[input.materialClass];
  const { evaporation, film: filmExponent, air: airExponent } = flashFit;
  const airSpeedMPerS = airSpeedMPerSOf(input.climate);
  const film =
    input.wetFilmUm && input.sheet.wetFilmUm
      ? (input.wetFilmUm / input.sheet.wetFilmUm) ** filmExponent
      : 1;
  if (carrier === 'waterborne') {
    const { temperature, air } = waterFactors(input.climate, input.sheet, {
      exponent: evaporation,
      airSpeedMPerS,
    });
    return { temperature, air, grade: 1, film, total: temperature * air * film };
  }
  const rate = (effectiveC: number, steps: number) =>
    solventEvaporation({
      slowFraction: MEDIUM_SLOW_FRACTION + SLOW_FRACTION_PER_STEP * steps,
      effectiveC,
      airSpeedMPerS: SHEET_AIR_SPEED_M_PER_S,
    });
  const effectiveC = effectiveTemperatureC({
    ...input.climate,
    ...(input.substrate ? { substrate: input.substrate } : {}),
  });
  const temperature = (rate(effectiveC, 0) / rate(input.sheet.atC, 0)) ** -evaporation;
  const grade =
    (rate(effectiveC, input.gradeStepsSlower ?? 0) / rate(effectiveC, 0)) ** -evaporation;
  const air = airGain(airSpeedMPerS) ** -airExponent;
  return { temperature, air, grade, film, total: temperature * air * grade * film };
}

/** Water goes with the air: its warmth and damp against the sheet's, and how it moves. */
function waterFactors(
  climate: Climate,
  { atC, atHumidityPercent = 50 }: SheetConditions,
  { exponent, airSpeedMPerS }: { exponent: number; airSpeedMPerS: number },
): Pick<FlashFactors, 'temperature' | 'air'> {
  const sheetAir = { airTemperatureC: atC, relativeHumidityPercent: atHumidityPercent };
  const sheetRate = waterEvaporation(sheetAir, SHEET_AIR_SPEED_M_PER_S);
  const here = (speedMPerS: number) =>
    Math.max(waterEvaporation(climate, speedMPerS), LEAST_EVAPORATION);
  return {
    temperature: (here(SHEET_AIR_SPEED_M_PER_S) / sheetRate) ** -exponent,
    air: (here(airSpeedMPerS) / here(SHEET_AIR_SPEED_M_PER_S)) ** -exponent,
  };
}
/** Air so damp that it takes up nothing would make a wait without end. */
const LEAST_EVAPORATION = 0.02;
