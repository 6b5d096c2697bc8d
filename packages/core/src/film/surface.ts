/** What the surface of a film and the air exchange: volatiles off, vapour back, warmth. */
import { saturationPressurePa, vapourPressurePa, type HumidAir } from '../air/humidAir.ts';
import { heatTransferWPerM2K } from '../evaporation/heatTransfer.ts';
import { transferCoefficientMPerS } from '../evaporation/massTransfer.ts';
import {
  IN_FILM,
  SOLVENTS,
  solventPressurePa,
  VOLATILES,
  type Volatile,
} from '../evaporation/solvents.ts';
import { clamp } from '../numerics/rounding.ts';
import { activityFactor } from './filmLaws.ts';
import type { Stack, VolatileCells } from './stack.ts';
import { GAS_CONSTANT_J_PER_MOL_K, kelvin } from '../units/physical.ts';

/** What one volatile's rows have in common in a step. */
export type Row = {
  mobility: number;
  perSecond: number;
  leaves: number;
  drive: number;
  back: number;
};

export type Surroundings = {
  roomAir: HumidAir;
  airSpeedMPerS: number;
  substrate: 'metal' | 'plastic' | 'composite';
};

const HEAT_CAPACITY_J_PER_M2_K = { metal: 2900, plastic: 5100, composite: 5100 } as const;
/** Water under a solvent-borne top hardly enters it. */
const WATER_UNDER_SOLVENT = 3.2;

/** What the air does, worked out once for a room and a speed. */
export type AirOver = {
  /** m/s, by volatile. */
  carries: Float64Array;
  vapourPa: number;
  airC: number;
  heatWPerM2K: number;
  capacity: number;
};
/** What the air over a film carries away, per volatile; `evaporation` multiplies it. */
export function airOver(
  { roomAir, airSpeedMPerS, substrate }: Surroundings,
  evaporation: number,
): AirOver {
  const carries = (name: Volatile) =>
    transferCoefficientMPerS(IN_FILM[name].airDiffusivityM2PerS, airSpeedMPerS);
  return {
    carries: Float64Array.from(VOLATILES, (name) => carries(name) * evaporation),
    vapourPa: vapourPressurePa(roomAir),
    airC: roomAir.airTemperatureC,
    heatWPerM2K: heatTransferWPerM2K(airSpeedMPerS),
    capacity: HEAT_CAPACITY_J_PER_M2_K[substrate],
  };
}

/** What drives a volatile off the surface, and what the air gives back; written to its row. */
export function driveOff(
  row: Row,
  { index, name, film }: VolatileCells,
  { coats, surface }: Stack,
  { carries, vapourPa }: AirOver,
  { panelC, atSurface, freely }: { panelC: number; atSurface: number; freely: number },
): void {
  const top = coats[coats.length - 1]!;
  const carried =
    (carries[index]! * film.molarVolumeM3PerMol) / (GAS_CONSTANT_J_PER_MOL_K * kelvin(panelC));
  if (name !== 'water') {
    row.drive = top.pace * carried * solventPressurePa(SOLVENTS[name], panelC) * freely;
    row.back = 0;
    return;
  }
  // Water is never more active than water.
  const free =
    atSurface *
    activityFactor(atSurface, top.isWaterborne ? film.interaction : WATER_UNDER_SOLVENT);
  const share = surface[index]!;
  row.drive = carried * saturationPressurePa(panelC) * (share * free > 1 ? 1 / share : free);
  row.back = carried * vapourPa;
}

/** The panel's temperature after a step, °C: what the air gives it and evaporation takes. */
export function panelAfter(
  beforeC: number,
  air: AirOver,
  { volatiles }: Stack,
  fluxes: Float64Array,
  seconds: number,
): number {
  let cools = 0;
  for (const { index, film } of volatiles)
    cools += fluxes[index]! * film.densityKgPerM3 * film.latentHeatJPerKg;
  const inertia = air.capacity / seconds;
  return clamp(
    (inertia * beforeC + air.heatWPerM2K * air.airC - cools) / (inertia + air.heatWPerM2K),
    -60,
    250,
  );
}
