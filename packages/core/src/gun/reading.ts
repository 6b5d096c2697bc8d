/** A pressure as a painter reads it: how much, in what, where, and with the trigger how. */
import type { Carrier, Stage, Trust } from '../trade/vocabulary.ts';
import type { Line } from '../compressedAir/airline.ts';
import type { Gun } from './gun.ts';
import type { GunModel } from './gunModel.ts';
import type { GunSheet } from './preferences.ts';
import type { MaterialClass } from '../trade/materialClasses.ts';

export const PRESSURE_UNITS = ['kPa', 'bar', 'psi'] as const;
/** Where a gauge sits, and whether air was flowing: five pressures share one word. */
export const READ_AT = ['wall', 'inlet', 'cap', 'unknown'] as const;
export const FLOWING = ['yes', 'no', 'unknown'] as const;
export type PressureInput = {
  value: number;
  unit: (typeof PRESSURE_UNITS)[number];
  at: (typeof READ_AT)[number];
  flowing: (typeof FLOWING)[number];
  gun: Gun;
  stage?: Stage;
  carrier?: Carrier;
  class?: MaterialClass;
  sheet?: GunSheet;
  /** The set in use: tests belong to it. Absent: the gun's first. */
  nozzleMm?: number;
  airline?: Line;
  gaugeTrust?: Trust;
  fanTurnsOut?: number;
  restValue?: number;
  wantedInletKPa?: number;
  capLimitKPa?: number;
};

export type PressureAtGun = PressureInput & { model: GunModel; fanTurnsOut: number };
