/**
 * How quickly a grade dries here, against how quickly this job wants it. Index 1 = right, above =
 * too fast.
 *
 *   T_e  = w T_panel + (1−w) T_air                                   [index-1]
 *   E    = p̄(x, T_e)/P_REF · (k_F(v)/k_F(0.3))^0.2                   [index-2]
 *   E*   = job · finish · school · (1 − 0.35 clamp((RH−0.65)/0.25))  [index-3]
 *   E_wb = [p_s(T_wb) − RH p_s(T)] k_W(v) / (same at 22 °C, 50 %, 0.3 m/s)   [index-4]
 *
 * Source  ours, MODEL 3.2: physical form, constants fitted to practice
 */
import { SHEET_AIR_SPEED_M_PER_S } from '../air/airMovement.ts';
import {
  saturationPressurePa,
  vapourPressurePa,
  wetBulbC,
  type HumidAir,
} from '../air/humidAir.ts';
import { clamp } from '../numerics/rounding.ts';
import type { Finish, JobSize, Substrate } from '../trade/vocabulary.ts';
import { transferCoefficientMPerS } from './massTransfer.ts';
import {
  blendPressurePa,
  FAST,
  REFERENCE_PRESSURE_PA,
  WATER_AIR_DIFFUSIVITY_M2_PER_S,
} from './solvents.ts';

export const FINISH_AIMS = ['gloss', 'speed'] as const;
export type FinishAim = (typeof FINISH_AIMS)[number];

/**
 * The temperature the film works at: metal holds it more to the air than plastic does. [index-1]
 */
export function effectiveTemperatureC(at: {
  airTemperatureC: number;
  panelTemperatureC?: number;
  substrate?: Substrate;
}): number {
  const panelShare = (at.substrate ?? 'metal') === 'metal' ? 0.6 : 0.75;
  return (
    panelShare * (at.panelTemperatureC ?? at.airTemperatureC) +
    (1 - panelShare) * at.airTemperatureC
  );
}

const IN_SHEET_AIR_M_PER_S = transferCoefficientMPerS(
  FAST.airDiffusivityM2PerS,
  SHEET_AIR_SPEED_M_PER_S,
);
/** How much quicker (or slower) solvent leaves in this air than in the sheet's. */
export const airGain = (airSpeedMPerS: number): number =>
  transferCoefficientMPerS(FAST.airDiffusivityM2PerS, airSpeedMPerS) / IN_SHEET_AIR_M_PER_S;

/** Still air is worth no grade, or half a one: painters hardly change their reducer for it. */
const AIR_COUNTS = 0.2;
/** E: 1 is a grade at its own temperature in a downdraft. [index-2] */
export const solventEvaporation = (at: {
  slowFraction: number;
  effectiveC: number;
  airSpeedMPerS: number;
}): number =>
  (blendPressurePa(at.slowFraction, at.effectiveC) / REFERENCE_PRESSURE_PA) *
  airGain(at.airSpeedMPerS) ** AIR_COUNTS;

const JOB: Record<JobSize, number> = { spot: 1.2, panel: 1.0, side: 0.85, overall: 0.7 };
const FINISH: Record<Finish, number> = {
  solid: 1,
  metallic: 0.95,
  silver: 0.95,
  pearl: 0.95,
  flake: 0.95,
  candy: 0.9,
  fluorescent: 1,
};
const SCHOOL: Record<FinishAim | 'sheet', number> = { sheet: 1, gloss: 0.88, speed: 1.15 };
const PRIMER_FACTOR = 1.1;

/**
 * E*: how quickly this job wants the film to dry. A big job, an effect colour and damp air want it
 * slower. [index-3]
 */
export function wantedEvaporation(job: {
  jobSize: JobSize;
  finish?: Finish;
  stage: string;
  preference?: FinishAim;
  relativeHumidityPercent: number;
}): number {
  const finish = job.stage === 'primer' ? PRIMER_FACTOR : FINISH[job.finish ?? 'solid'];
  const humidity = 1 - 0.35 * clamp((job.relativeHumidityPercent / 100 - 0.65) / 0.25, 0, 1);
  return JOB[job.jobSize] * finish * SCHOOL[job.preference ?? 'sheet'] * humidity;
}

const waterDrive = (air: HumidAir, airSpeedMPerS: number): number =>
  Math.max(0, saturationPressurePa(wetBulbC(air)) - vapourPressurePa(air)) *
  transferCoefficientMPerS(WATER_AIR_DIFFUSIVITY_M2_PER_S, airSpeedMPerS);

const SHEET_WATER_DRIVE = waterDrive(
  { airTemperatureC: 22, relativeHumidityPercent: 50 },
  SHEET_AIR_SPEED_M_PER_S,
);

/**
 * E_wb: 1 is waterborne at 22 °C, 50 % and the sheet's air; moving air counts for more than heat.
 * [index-4]
 */
export const waterEvaporation = (air: HumidAir, airSpeedMPerS: number): number =>
  waterDrive(air, airSpeedMPerS) / SHEET_WATER_DRIVE;
